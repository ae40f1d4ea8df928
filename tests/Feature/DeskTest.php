<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Record\Day;
use App\Editions\Objection;
use App\Office\Office;
use App\People\Role;
use App\People\User;
use App\Simulation\SimulatedOutlook;
use App\Simulation\SimulatedStation;
use App\Simulation\SimulatedStations;
use App\Stations\OutlookSource;
use App\Zones\Zone;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What people choose for themselves, and what needs their attention when they come to their desk. */
class DeskTest extends TestCase
{
    private function chosen(?string $units, ?string $dates, ?string $home = null): mixed
    {
        return $this->putJson('/api/profile', ['units' => $units, 'dates' => $dates, 'home_zone' => $home])
            ->assertOk()
            ->json('data.user');
    }

    public function test_who_chose_nothing_reads_as_the_office_does_and_an_office_that_chose_nothing_as_its_country(): void
    {
        $this->actingAs(User::factory()->create(['units' => null, 'dates' => null]));
        $read = fn (): array => array_values(
            array_intersect_key($this->getJson('/api/session')->json('data.user'), ['units' => 1, 'dates' => 1]),
        );
        self::assertSame(['us', 'month'], $read());
        Office::inUse()->update(['name' => 'Office', 'units' => 'metric', 'dates' => 'month']);
        self::assertSame(['metric', 'month'], $read());
        $user = $this->chosen('us', 'day');
        self::assertSame(
            ['us', 'day', ['units' => 'us', 'dates' => 'day', 'language' => null]],
            [$user['units'], $user['dates'], $user['chosen']],
        );
        $user = $this->chosen(null, null);
        self::assertSame(
            ['metric', 'month', ['units' => null, 'dates' => null, 'language' => null]],
            [$user['units'], $user['dates'], $user['chosen']],
        );
        $this->putJson('/api/profile', ['units' => 'imperial', 'dates' => null, 'home_zone' => 'nowhere'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.home_zone.0', 'There is no such zone. Choose another one.')
            ->assertJsonValidationErrorFor('units');
    }

    public function test_a_home_zone_is_kept_until_the_zone_is_gone(): void
    {
        $zone = Zone::factory()->create();
        $this->actingAs($this->person());
        self::assertSame('test-basin', $this->chosen(null, null, 'test-basin')['home_zone']);
        $zone->delete();
        self::assertNull($this->getJson('/api/session')->json('data.user.home_zone'));
    }

    public function test_refusals_are_in_the_units_and_dates_of_whoever_asks(): void
    {
        Zone::factory()->create();
        $this->actingAs($this->person());
        $refused = fn (): string => (string) $this->postJson('/api/zones/test-basin/soil-fits', [
            'figures' => [[0, 900], [10, 9], [20, 9], [30, 9]],
        ])
            ->assertUnprocessable()
            ->json('message');
        self::assertStringContainsString('900 °C', $refused());
        $this->chosen('us', null);
        self::assertStringContainsString('1,652 °F', $refused());
        self::assertStringNotContainsString('°C', $refused());
    }

    /** @return array<string, string> kinds by zone and kind, as "zone kind" => urgency */
    private function matters(string $query = ''): array
    {
        $data = $this->getJson("/api/attention{$query}")
            ->assertOk()
            ->json('data');

        return array_column(array_map(static fn (array $m): array => ["{$m['zone']} {$m['kind']}", $m['urgency']], $data['matters']), 1, 0);
    }

    public function test_a_zone_without_a_record_asks_for_one_and_only_of_those_who_can_bring_it(): void
    {
        Zone::factory()->create();
        $this->actingAs($this->person());
        self::assertSame(['test-basin no-record' => 'decide'], $this->matters());
        $this->actingAs($this->person(Role::Volunteer));
        self::assertSame([], $this->matters());
    }

    public function test_what_waits_for_somebody_in_a_zone_is_told_until_it_is_done(): void
    {
        $this->zoneWithRecord();
        self::assertSame(['test-basin record-ends' => 'decide', 'test-basin unpublished' => 'decide'], $this->matters());
        $zone = Zone::query()->firstOrFail();
        $objection = Objection::query()->create([
            'zone_id' => $zone->id,
            'idempotency_key' => 'objection-1',
            'crop' => 'radish',
            'text' => 'Too early.',
            'author' => 'Tobias',
        ]);
        self::assertArrayHasKey('test-basin comments', $this->matters());
        $objection->update(['answer' => 'It is not.', 'answered_by' => 'Wren', 'answered_at' => now()]);
        self::assertArrayNotHasKey('test-basin comments', $this->matters());
        DB::table('failed_jobs')->insert([
            'uuid' => 'one',
            'connection' => 'redis',
            'queue' => 'default',
            'payload' => '{"displayName":"App\\\\Letters\\\\SendLetter"}',
            'exception' => 'No route to host',
        ]);
        self::assertSame('decide', $this->matters()[' mail'] ?? null);
        $this->actingAs($this->person(Role::Volunteer));
        self::assertSame([], $this->matters());
    }

    public function test_frost_and_windows_of_the_week_are_told_once_the_season_is_figured(): void
    {
        config(['anthesis.today' => '2026-04-18']);
        $this->app->bind(OutlookSource::class, SimulatedOutlook::class);
        Zone::factory()->create(['slug' => 'basin-floor', 'name' => 'Basin Floor', 'latitude' => 46.7]);
        $this->actingAs($this->person());
        $text = (new SimulatedStation(SimulatedStations::climate('basin-floor') ?? self::fail('no weather')))->report(
            Day::of(1995, 1, 1),
            Day::of(2008, 1, 1),
            Day::of(2026, 4, 17),
        );
        $this->post(
            '/api/zones/basin-floor/record-imports',
            ['file' => $this->textFile($text)],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $before = $this->getJson('/api/attention')->json('data.zones.0');
        self::assertSame(['basin-floor', false, null, false], array_values($before));
        $data = $this->getJson('/api/attention?zone=basin-floor')->assertOk()->json('data');
        $frost = array_column($data['matters'], null, 'kind')['frost-tonight'];
        self::assertSame(['tonight', 0, 0], [$frost['urgency'], $frost['says']['with']['out'], $frost['says']['with']['tender']]);
        self::assertLessThan(0, $frost['says']['with']['celsius']['with']['celsius']);
        self::assertTrue($data['zones'][0]['frost']);
        self::assertIsInt($data['zones'][0]['days_ahead']);
        // What was figured for one person is known to all.
        self::assertTrue($this->getJson('/api/attention')->json('data.zones.0.figured'));
        $today = $this->getJson('/api/zones/basin-floor/today')->json('data.acts');
        $closing = array_filter($today, static fn (array $a): bool => $a['pile'] === 'last-chance' && $a['slack'] < 7);
        $told = array_column($data['matters'], null, 'kind')['last-chance']['parts'] ?? [];
        self::assertEqualsCanonicalizing(
            array_values(array_map(static fn (array $a): string => $a['name'], $closing)),
            array_map(static fn (array $p): string => $p['with']['crop'], $told),
        );
    }
}
