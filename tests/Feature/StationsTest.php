<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use App\Stations\Station;
use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\Zone;
use Tests\TestCase;

final class StationsTest extends TestCase
{
    protected ?array $book = ['radish', 'kale'];

    protected function setUp(): void
    {
        parent::setUp();
        Zone::factory()->create();
        $this->actingAs($this->person());
        // The primary station lacks the spring of 2005; a second one, 200 m higher and 1.3 °C cooler for it, has it.
        $text = (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv'));
        $this->bring((string) preg_replace('/^(2005-0[345]-\d\d),.*$/m', '$1,,', $text));
        $this->bring(
            (string) preg_replace_callback(
                '/^(\d{4}-\d\d-\d\d),(-?[\d.]+),(-?[\d.]+)/m',
                static fn (array $m): string => sprintf('%s,%.1f,%.1f', $m[1], (float) $m[2] - 1.3, (float) $m[3] - 1.3),
                $text,
            ),
            ['to_station' => 'new', 'station_name' => 'Upper mast', 'station_height_m' => 610],
        );
    }

    /** @param  array<string, mixed>  $more */
    private function bring(string $text, array $more = []): void
    {
        $this->post('/api/zones/test-basin/record-imports', ['file' => $this->textFile($text)] + $more, [
            'Accept' => 'application/json',
        ])->assertStatus(202);
        self::assertSame(ComputationState::Done, Computation::query()->latest('id')->firstOrFail()->state);
    }

    public function test_a_fall_back_fills_the_primary_stations_gaps_and_the_record_says_so(): void
    {
        $data = $this->getJson('/api/zones/test-basin/stations')->assertOk()->json('data');
        self::assertSame(['Test Basin station', 'Upper mast'], array_column($data['stations'], 'name'));
        self::assertSame([1.3, 610], [$data['stations'][1]['fit']['height'], $data['stations'][1]['height_m']]);
        self::assertEquals(0, $data['stations'][1]['fit']['minimum_bias']);
        self::assertContains(['from' => '2005-03-01', 'to' => '2005-05-31', 'station' => 'Upper mast'], $data['filled_in']);
        self::assertSame(
            'Test Basin station, filled in from Upper mast',
            Computation::query()->latest('id')->firstOrFail()->record['station'] ?? null,
        );

        $csv = (string) $this->get('/desk-files/zones/test-basin/record.csv')->assertOk()->streamedContent();
        self::assertMatchesRegularExpression('/^2005-04-10,-?[\d.]+,-?[\d.]+,"Upper mast","Upper mast"$/m', $csv);
        self::assertMatchesRegularExpression('/^2005-06-10,-?[\d.]+,-?[\d.]+,"Test Basin station","Test Basin station"$/m', $csv);
    }

    public function test_the_filled_spring_gives_the_last_freeze_the_whole_record_has(): void
    {
        $seasons = array_column($this->getJson('/api/zones/test-basin/climate')->json('data.climate.thresholds.1.seasons'), null, 'season');
        $filled = $seasons[2005]['last_date'];
        $text = (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv'));
        Zone::factory()->named('Whole Basin')->create();
        $this->post(
            '/api/zones/whole-basin/record-imports',
            ['file' => $this->textFile($text)],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $whole = array_column($this->getJson('/api/zones/whole-basin/climate')->json('data.climate.thresholds.1.seasons'), null, 'season');
        self::assertSame($whole[2005]['last_date'], $filled);
    }

    public function test_stations_are_put_in_order_named_and_set_aside_and_none_is_lost(): void
    {
        [$primary, $second] = $this->getJson('/api/zones/test-basin/stations')->json('data.stations');
        $this->putOnZone('stations', ['stations' => [['name' => 'Mast'] + $second, $primary]])->assertStatus(202);
        self::assertSame(
            ['Mast', 'Test Basin station'],
            array_column($this->getJson('/api/zones/test-basin/stations')->json('data.stations'), 'name'),
        );
        $this->putOnZone('stations', ['stations' => [$primary]])->assertStatus(202);
        $data = $this->getJson('/api/zones/test-basin/stations')->json('data');
        self::assertSame(
            [['Test Basin station'], ['Mast'], []],
            [array_column($data['stations'], 'name'), array_column($data['set_aside'], 'name'), $data['filled_in']],
        );
        self::assertSame(2, Station::query()->whereNotNull('record_id')->count());
    }

    public function test_doubts_and_files_belong_to_their_station(): void
    {
        $second = Station::query()->where('rank', 2)->firstOrFail()->id;
        $this->postJson('/api/zones/test-basin/quality', [
            'date' => '2005-04-10',
            'element' => 'minimum',
            'accepted' => false,
            'note' => 'Sensor iced.',
            'replaces' => null,
            'station' => $second,
        ])->assertStatus(202);
        self::assertCount(1, $this->getJson("/api/zones/test-basin/quality?station={$second}")->json('data.values'));
        self::assertCount(0, $this->getJson('/api/zones/test-basin/quality')->json('data.values'));
        self::assertSame(
            ['Upper mast', 'Test Basin station'],
            array_column($this->getJson('/api/zones/test-basin/record-imports')->json('data'), 'station'),
        );
        $this->getJson('/api/zones/test-basin/quality?station=999')->assertNotFound();
    }

    public function test_a_zone_leans_on_the_years_chosen(): void
    {
        $this->putOnZone('years', ['years' => 15])->assertStatus(202);
        self::assertSame(15, $this->getJson('/api/zones/test-basin')->json('data.years'));
        $this->putOnZone('years', ['years' => 12])
            ->assertUnprocessable()
            ->assertJsonPath('errors.years.0', 'Choose all years, or the latest 30, 20, 15.');
        $period = $this->getJson('/api/zones/test-basin/climate?from=2003&to=2007')->assertOk()->json('data');
        self::assertSame([2003, 2004, 2005, 2006, 2007], array_column($period['climate']['thresholds'][1]['seasons'], 'season'));
        self::assertSame(5, $period['ruler']['seasons']);
        $this->getJson('/api/zones/test-basin/climate?from=1903&to=1907')
            ->assertUnprocessable()
            ->assertJsonPath('errors.from.0', 'The record has no day between 1902-07-15 and 1907-07-14.');
        $this->getJson('/api/zones/test-basin/climate?from=2007&to=2003')
            ->assertUnprocessable()
            ->assertJsonPath('errors.to.0', 'The period ends before it starts.');
    }

    public function test_what_cannot_be_is_refused_in_words(): void
    {
        [$primary] = $this->getJson('/api/zones/test-basin/stations')->json('data.stations');
        Zone::factory()->named('Other Basin')->create();
        $this->putJson('/api/zones/other-basin/stations', ['stations' => [$primary]])
            ->assertUnprocessable()
            ->assertJsonPath('errors', ['stations.0.id' => ['That station does not belong to this zone. Reload the page.']]);
        $this->putOnZone('stations', ['stations' => []])->assertUnprocessable();
        $this->putOnZone('stations', ['stations' => [['height_m' => 99999] + $primary]])->assertUnprocessable();
        $this->actingAs($this->person(Role::Volunteer));
        $this->putOnZone('stations', ['stations' => [$primary]])->assertForbidden();
        $this->putOnZone('years', ['years' => 15])->assertForbidden();
    }
}
