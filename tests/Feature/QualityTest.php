<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use App\Stations\Station;
use App\Stations\StationDecision;
use App\Zones\Zone;
use Tests\TestCase;

final class QualityTest extends TestCase
{
    protected ?array $book = ['radish', 'kale'];

    protected function setUp(): void
    {
        parent::setUp();
        Zone::factory()->create();
        $this->actingAs($this->person());
        // A killing frost of −31 °C on July 10, 2005: a spike, doubted.
        $text = (string) preg_replace(
            '/^2005-07-10,[^,]*/m',
            '2005-07-10,-31.0',
            (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv')),
        );
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->textFile($text)],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
    }

    /** @return array<string, mixed> */
    private function decision(bool $accepted, string $date = '2005-07-10', ?int $replaces = null): array
    {
        return [
            'date' => $date,
            'element' => 'minimum',
            'accepted' => $accepted,
            'note' => 'The observer remembers it.',
            'replaces' => $replaces,
        ];
    }

    private function lastFreezeOf2005(): ?string
    {
        $seasons = array_column(
            $this->getJson('/api/zones/test-basin/climate')->assertOk()->json('data.climate.thresholds.1.seasons'),
            null,
            'season',
        );

        return $seasons[2005]['last_date'];
    }

    public function test_a_doubted_value_is_listed_with_its_neighbours(): void
    {
        $values = $this->getJson('/api/zones/test-basin/quality')->assertOk()->json('data.values');
        self::assertCount(1, $values);
        self::assertSame(['2005-07-10', 'minimum', 'spike'], [$values[0]['date'], $values[0]['element'], $values[0]['doubts'][0]]);
        self::assertSame(
            ['2005-07-08', '2005-07-09', '2005-07-10', '2005-07-11', '2005-07-12'],
            array_column($values[0]['around'], 'date'),
        );
        self::assertEquals(-31, $values[0]['around'][2]['minimum']);
        self::assertNull($values[0]['decision']);
    }

    public function test_accepting_it_reaches_every_sum_at_once_and_can_be_undone(): void
    {
        $before = $this->lastFreezeOf2005();
        self::assertNotSame('2005-07-10', $before);
        $this->postJson('/api/zones/test-basin/quality', $this->decision(true))->assertStatus(202);
        self::assertSame('2005-07-10', $this->lastFreezeOf2005());
        $value = $this->getJson('/api/zones/test-basin/quality')->json('data.values.0');
        self::assertSame(
            [true, 'The observer remembers it.', 'Educator'],
            [$value['decision']['accepted'], $value['decision']['note'], $value['decision']['by']],
        );

        $this->deleteJson("/api/zones/test-basin/quality/{$value['decision']['id']}")->assertStatus(202);
        self::assertSame($before, $this->lastFreezeOf2005());
        self::assertNotNull(StationDecision::query()->firstOrFail()->undone_at, 'what was decided stays on record');
    }

    public function test_refusing_a_value_nothing_doubts_leaves_it_out(): void
    {
        $last = (string) $this->lastFreezeOf2005();
        $this->postJson('/api/zones/test-basin/quality', $this->decision(false, $last))->assertStatus(202);
        self::assertLessThan($last, (string) $this->lastFreezeOf2005());
        self::assertCount(2, $this->getJson('/api/zones/test-basin/quality')->json('data.values'));
        $this->postJson('/api/zones/test-basin/quality', $this->decision(true, $last))
            ->assertStatus(409)
            ->assertJsonPath('changed.0.by', 'Educator');
        $this->postJson('/api/zones/test-basin/quality', $this->decision(true, $last, StationDecision::query()->value('id')))->assertStatus(
            202,
        );
        self::assertSame($last, $this->lastFreezeOf2005(), 'the later word holds');
        self::assertSame(1, Station::query()->firstOrFail()->decisions()->count());
    }

    public function test_a_decision_outlives_the_next_import(): void
    {
        $this->postJson('/api/zones/test-basin/quality', $this->decision(true))->assertStatus(202);
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->textFile("date,tmin_c,tmax_c\n2013-01-01,-3,2\n")],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        self::assertSame('2005-07-10', $this->lastFreezeOf2005());
    }

    public function test_what_cannot_be_decided_is_refused_in_words(): void
    {
        $this->postJson('/api/zones/test-basin/quality', $this->decision(true, '1950-01-01'))
            ->assertUnprocessable()
            ->assertJsonPath('message', 'The record has no minimum for 1950-01-01.');
        $this->postJson('/api/zones/test-basin/quality', ['note' => ''] + $this->decision(true))
            ->assertUnprocessable()
            ->assertJsonPath('errors.note.0', 'Explain why in a few words, so others can follow.');
        $this->deleteJson('/api/zones/test-basin/quality/999')->assertNotFound();
        $this->actingAs($this->person(Role::Volunteer));
        $this->postJson('/api/zones/test-basin/quality', $this->decision(true))->assertForbidden();
        self::assertSame(0, StationDecision::query()->count());
    }
}
