<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use App\Simulation\SimulatedProbe;
use App\Soil\ProbeSource;
use App\Soil\SoilReading;
use App\Soil\SoilSpot;
use App\Zones\Zone;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** Measured soil: with the timer, spot by spot, compared with the model and with normal. */
class SoilTest extends TestCase
{
    protected ?array $book = ['radish', 'kale', 'bush-bean'];

    private const FIGURES = [[0, 20.0], [10, 13.9], [20, 11.1], [30, 9.9], [45, 9.2], [60, 9.0], [80, 9.0]];

    private int $spot;

    protected function setUp(): void
    {
        parent::setUp();
        config(['anthesis.today' => '2012-04-13']);
        Zone::factory()->create();
        $this->actingAs($this->person());
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->upTo('2012-04-12')],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $this->spot = $this->addSpot('Bed 3');
    }

    private function upTo(string $last): \Illuminate\Http\UploadedFile
    {
        $lines = explode("\n", (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv')));

        return $this->textFile(
            implode(
                "\n",
                array_filter($lines, static fn (string $l): bool => substr($l, 0, 10) <= $last || str_starts_with($l, 'date')),
            ),
        );
    }

    private function addSpot(string $name, string $site = 'open ground'): int
    {
        $spots = $this->postJson('/api/zones/test-basin/soil-spots', [
            'name' => $name,
            'site' => \App\Sites\Site::query()->where('name', $site)->value('id'),
        ])
            ->assertCreated()
            ->json('data.spots');

        return array_column($spots, 'id', 'name')[$name];
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function read(array $with = []): TestResponse
    {
        return $this->postJson(
            '/api/zones/test-basin/soil-readings',
            $with + [
                'key' => uniqid('reading-'),
                'spot' => $this->spot,
                'on' => '2012-04-12',
                'hour' => 9.5,
                'depth' => 0.05,
                'figures' => self::FIGURES,
            ],
        );
    }

    public function test_figures_as_they_fall_are_fitted_and_kept_with_how_sure_they_are(): void
    {
        $fit = $this->postJson('/api/zones/test-basin/soil-fits', ['figures' => self::FIGURES])
            ->assertOk()
            ->json('data');
        self::assertEqualsWithDelta(9.0, $fit['celsius'], 0.1);
        self::assertTrue($fit['settled']);
        self::assertSame(0, SoilReading::query()->count(), 'looking keeps nothing');
        $reading = $this->read()->assertCreated()->json('data.spots.0.readings.0');
        self::assertSame(
            [round($fit['celsius'], 1), 'timer', self::FIGURES],
            [
                $reading['celsius'],
                $reading['source'],
                array_map(static fn (array $f): array => [$f[0], (float) $f[1]], $reading['figures']),
            ],
        );
        self::assertLessThan(0.3, $reading['within']);
    }

    public function test_a_reading_is_held_against_the_model_the_usual_and_what_crops_ask_for(): void
    {
        $now = $this->read(['figures' => null, 'celsius' => 19.0])
            ->assertCreated()
            ->json('data.spots.0.now');
        self::assertSame('2012-04-12', $now['on']);
        self::assertEqualsWithDelta(19.0, $now['reading'], 3.0, 'the wave of the day is taken off');
        self::assertNotSame(19.0, $now['reading']);
        $soil = $this->getJson('/api/zones/test-basin/soil')->assertOk()->json('data');
        self::assertSame(['2012-03-03', 42], [$soil['days']['first'], count($soil['days']['usual'])]);
        self::assertSame(
            $now['model'],
            round((float) $soil['days']['model'][40], 1),
            'the model of the plot is the model of the day',
        );
        $open = array_column($soil['spots'][0]['open'], null, 'crop');
        self::assertSame(
            [true, 15.0],
            [$open['bush-bean']['warm_enough'] ?? null, (float) ($open['bush-bean']['soil_min'] ?? 0)],
            'the bed is warm enough for beans, and the model says it is not',
        );
        self::assertArrayNotHasKey('radish', $open, 'both are warm enough for it');
        // An old reading says nothing about today.
        config(['anthesis.today' => '2012-04-20']);
        self::assertSame([], $this->getJson('/api/zones/test-basin/soil')->json('data.spots.0.open'));
    }

    public function test_todays_weather_is_on_record_tomorrow_and_a_reading_of_today_is_judged_meanwhile(): void
    {
        self::assertNotNull($this->read(['on' => '2012-04-13'])->json('data.spots.0.now'));
        config(['anthesis.today' => '2012-04-14']);
        $this->read(['on' => '2012-04-14'])->assertJsonPath('data.spots.0.now', null);
    }

    public function test_a_reading_sent_twice_is_kept_once_and_a_wrong_one_is_withdrawn_not_lost(): void
    {
        $this->read(['key' => 'once-and-again'])->assertCreated();
        $this->read(['key' => 'once-and-again'])->assertCreated();
        $this->read(['key' => 'once-and-again', 'figures' => null, 'celsius' => 30])
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.key.0',
                'Something else was already saved under this key. Reload the page and enter it again.',
            );
        self::assertSame(1, SoilReading::query()->count());
        $id = (int) SoilReading::query()->value('id');
        $this->actingAs($this->person(Role::Volunteer))
            ->deleteJson("/api/soil-readings/{$id}")
            ->assertForbidden();
        $own = $this->read(['on' => '2012-04-11'])->assertCreated();
        $mine = array_column($own->json('data.spots.0.readings'), 'id', 'on')['2012-04-11'];
        $this->deleteJson("/api/soil-readings/{$mine}")->assertOk();
        $this->actingAs($this->person());
        $readings = $this->deleteJson("/api/soil-readings/{$id}")
            ->assertOk()
            ->json('data.spots.0.readings');
        self::assertSame([true, true], array_column($readings, 'withdrawn'), 'both are still there');
        $this->getJson('/api/zones/test-basin/soil')->assertJsonPath('data.spots.0.now', null);
    }

    public function test_what_is_wrong_with_a_reading_is_said_and_nothing_is_kept(): void
    {
        foreach (
            [
                [['on' => '2012-04-14'], 'on', '14 April 2012 has not come yet. Give the day the reading was taken on.'],
                [['on' => 'yesterday'], 'on', 'Enter the day of the reading as YYYY-MM-DD.'],
                [['figures' => null], 'celsius', 'Type what the thermometer shows, or the figures as they move.'],
                [
                    ['figures' => null, 'celsius' => 81],
                    'celsius',
                    'A soil thermometer shows −40 to 80 °C. Check the number and its unit.',
                ],
                [['depth' => 5], 'depth', 'Enter the depth in meters, 0 to 3: five centimeters is 0.05.'],
                [
                    ['figures' => [[0, 20], [10, 15], [20, 12]]],
                    'figures',
                    '3 figures are too few to tell where they settle: read at least 4, some seconds apart.',
                ],
                [
                    ['figures' => [[0, 20], [10, 15], [10, 12], [30, 11]]],
                    'figures',
                    'Figure 3 is not later than the one before it. Give the seconds since the probe was put in, in order.',
                ],
                [['spot' => 999], 'spot', 'This zone has no such spot. Choose another one, or add it first.'],
            ] as [$with, $field, $words]
        ) {
            $this->read($with)
                ->assertUnprocessable()
                ->assertJsonPath("errors.{$field}.0", $words);
        }
        self::assertSame(0, SoilReading::query()->count());
        $this->postJson('/api/zones/test-basin/soil-spots', ['name' => '', 'site' => 1])->assertUnprocessable();
        $this->addSpot('Bed 3');
        self::assertSame(1, SoilSpot::query()->count(), 'named twice is once');
    }

    public function test_readings_of_a_spot_calibrate_its_site(): void
    {
        foreach (['2012-04-01', '2012-04-05', '2012-04-09'] as $day) {
            $this->read(['on' => $day, 'figures' => null, 'celsius' => 20.0])->assertCreated();
        }
        $found = $this->getJson("/api/soil-spots/{$this->spot}/calibration")
            ->assertOk()
            ->json('data');
        self::assertSame([3, 'open ground'], [$found['used'], $found['site']['name']]);
        self::assertGreaterThan(2.0, $found['offset']);
        self::assertLessThan($found['error_before'], $found['error_after']);
        $empty = $this->addSpot('Pots', 'container');
        $this->getJson("/api/soil-spots/{$empty}/calibration")
            ->assertNotFound()
            ->assertJsonPath('message', 'There are no readings at this spot yet.');
    }

    public function test_the_simulated_probe_settles_within_a_minute_or_two_and_says_what_it_is(): void
    {
        $this->getJson("/api/soil-spots/{$this->spot}/probe?seconds=0")->assertNotFound();
        $this->app->bind(ProbeSource::class, SimulatedProbe::class);
        $figures = [];
        foreach (range(0, 120, 10) as $seconds) {
            $figure = $this->getJson("/api/soil-spots/{$this->spot}/probe?seconds={$seconds}")
                ->assertOk()
                ->json('data');
            $figures[] = [$seconds, $figure['celsius']];
        }
        self::assertSame(['simulated', 21.0], [$figure['source'], (float) $figures[0][1]]);
        $reading = $this->read(['figures' => $figures, 'simulated' => true])
            ->assertCreated()
            ->json('data.spots.0');
        self::assertSame('simulated', $reading['readings'][0]['source']);
        self::assertEqualsWithDelta($figures[12][1], $reading['readings'][0]['celsius'], 0.2);
        self::assertLessThan(2.5, abs($reading['now']['celsius'] - $reading['now']['model']), 'a spot is a little off the model');
    }
}
