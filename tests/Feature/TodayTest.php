<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Record\Day;
use Anthesis\Tests\Fixtures;
use App\Log\Bed;
use App\People\Role;
use App\Season\ZoneWater;
use App\Simulation\SimulatedOutlook;
use App\Simulation\SimulatedReports;
use App\Simulation\SimulatedStation;
use App\Simulation\SimulatedStations;
use App\Sites\Site;
use App\Stations\CollectReports;
use App\Stations\OutlookSource;
use App\Stations\RecordImport;
use App\Stations\ReportSource;
use App\Stations\Station;
use App\Zones\Zone;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What can be done today, in this season as it is; and the stations that report it. */
class TodayTest extends TestCase
{
    /** A zone of the demonstration, with its station's record up to a day. */
    private function basin(string $last): Zone
    {
        $zone = Zone::factory()->create(['slug' => 'basin-floor', 'name' => 'Basin Floor', 'latitude' => 46.7]);
        $this->actingAs($this->person());
        $text = (new SimulatedStation(SimulatedStations::climate('basin-floor') ?? self::fail('no weather')))->report(
            Day::of(1995, 1, 1),
            Day::of(2008, 1, 1),
            Day::fromIso($last),
        );
        $this->post(
            '/api/zones/basin-floor/record-imports',
            ['file' => $this->textFile($text)],
            ['Accept' => 'application/json'],
        )->assertStatus(202);

        return $zone;
    }

    private function simulated(): void
    {
        $this->app->bind(ReportSource::class, SimulatedReports::class);
        $this->app->bind(OutlookSource::class, SimulatedOutlook::class);
    }

    public function test_every_act_is_in_its_pile_on_this_season(): void
    {
        config(['anthesis.today' => '2026-04-18']);
        $this->simulated();
        $this->basin('2026-04-17');
        $today = $this->getJson('/api/zones/basin-floor/today')->assertOk()->json('data');
        self::assertSame(
            ['2026-04-18', 'season', '2026-04-17', 'simulated'],
            [$today['on'], $today['by'], $today['record_ends'], $today['outlook']['source']],
        );
        self::assertSame(range(2008, 2024), $today['members'], 'a year whose 480 days run past the record takes no part');
        self::assertSame(
            ['2026-04-18', '2026-04-24'],
            [$today['outlook']['days'][0]['date'], $today['outlook']['days'][6]['date']],
        );
        self::assertSame(
            [21, 84, 63],
            [count($today['soil']['line']), count($today['soil']['usual']), count($today['soil']['middle'])],
        );
        foreach ($today['soil']['low'] as $i => $low) {
            self::assertTrue($low <= $today['soil']['middle'][$i] && $today['soil']['middle'][$i] <= $today['soil']['high'][$i]);
        }
        $freezes = $today['freezes']['thresholds'][0]['members'];
        self::assertSame('to-come', $today['freezes']['side']);
        $fewer = $freezes;
        rsort($fewer);
        self::assertSame($fewer, $freezes, 'ever fewer are to come');
        $acts = array_column(array_filter($today['acts'], static fn (array $a): bool => $a['act'] === 'sow-outdoors'), null, 'crop');
        self::assertContains($acts['carrot']['pile'], ['go', 'hold-a-week']);
        self::assertSame(17, $acts['carrot']['of']);
        self::assertSame($acts['carrot']['harvests'], $acts['carrot']['ribbon']['harvest'][0]);
        self::assertSame('hold', $acts['bush-bean']['pile']);
        self::assertGreaterThan('2026-04-28', $acts['bush-bean']['until']);
        self::assertTrue($acts['carrot']['frost_tolerant']);
        self::assertFalse($acts['bush-bean']['frost_tolerant']);
        $garlic = array_column($today['acts'], null, 'crop')['garlic-hardneck'];
        self::assertSame(['over', '09'], [$garlic['pile'], substr($garlic['next']['first'], 0, 2)]);
    }

    public function test_a_succession_is_told_as_this_season_gives_it(): void
    {
        config(['anthesis.today' => '2026-04-18']);
        $this->simulated();
        $this->basin('2026-04-17');
        $season = fn (string $on): ?array => $this->getJson("/api/zones/basin-floor/windows/radish/succession?on={$on}&days=40")
            ->assertOk()
            ->json('data.even.season');
        $told = $season('04-10') ?? self::fail('no season');
        self::assertSame(['2026-04-10', 17], [$told['from'], $told['members']]);
        self::assertGreaterThan(0.9, max($told['middle']));
        self::assertSame(
            array_map(null, $told['low'], $told['middle'], $told['high']),
            array_map(
                static fn (float|int $a, float|int $b, float|int $c): array => [min($a, $b), $b, max($b, $c)],
                $told['low'],
                $told['middle'],
                $told['high'],
            ),
        );
        self::assertSame('2026-08-20', $season('08-20')['from'] ?? null, 'still to come');
        self::assertSame('2026-03-20', $season('03-20')['from'] ?? null, 'in the year that is under way');
    }

    public function test_water_is_told_where_there_is_rain_on_record_and_fits_the_contract(): void
    {
        config(['anthesis.today' => '2026-04-18']);
        $zone = $this->basin('2026-04-17');
        $rain = $this->getJson('/api/zones/basin-floor/rain')->assertOk()->json('data');
        self::assertSame(
            ['sand', 'sandy loam', 'loam', 'silt loam', 'clay', 'bed mix'],
            array_column($rain['grounds'], 'ground'),
        );
        $year = array_sum(array_column($rain['months'], 'mean'));
        self::assertEqualsWithDelta($year, array_sum(array_column($rain['weeks'], 'rain')), 0.03 * $year, 'months and weeks hold the same');
        $workable = $this->getJson('/api/zones/basin-floor/workable')->assertOk()->json('data');
        self::assertSame(17, $workable['of'], 'a year goes on with those of 2009 to 2025');
        self::assertTrue($workable['grounds'][2]['half'] >= '2026-04-18' && $workable['grounds'][2]['half'] < '2026-05-18');
        $water = $this->getJson('/api/zones/basin-floor/windows/radish/water?on=04-25&route=direct')->assertOk()->json('data');
        [$sand, , , , $clay] = $water['grounds'];
        self::assertGreaterThan($clay['waterings'][1], $sand['waterings'][1], 'sand is watered oftener');
        $this->getJson('/api/zones/basin-floor/windows/radish/water?on=25%20April')->assertUnprocessable();

        $told = app(ZoneWater::class)->of($zone->refresh(), Day::of(2026, 4, 18));
        self::assertSame($rain['weeks'][15], ['first' => '04-16'] + ($told['water'] ?? []), 'the sixteenth week holds 18 April');
        self::assertTrue($told['ground']['fit'] ?? null);
        self::assertSame($workable['grounds'][2]['half'], $told['ground']['half'] ?? null);
        $dry = Zone::factory()->create(['slug' => 'dry']);
        self::assertSame(['ground' => null, 'water' => null], app(ZoneWater::class)->of($dry, Day::of(2026, 4, 18)));
        $this->getJson('/api/zones/dry/workable')->assertNotFound();
    }

    public function test_what_still_fits_a_day_is_told_by_days_to_harvest(): void
    {
        config(['anthesis.today' => '2026-04-18']);
        $this->basin('2026-04-17');
        $told = fn (string $query = ''): array => $this->getJson("/api/zones/basin-floor/still-fits{$query}")->assertOk()->json('data');
        $now = $told();
        self::assertSame('2026-04-18', $now['on']);
        self::assertGreaterThan(120, $now['days_to_freeze']);
        self::assertContains('radish', array_column($now['fits'], 'crop'));
        $late = $told('?on=09-05');
        self::assertLessThan($now['days_to_freeze'], $late['days_to_freeze']);
        self::assertLessThan(count($now['fits']), count($late['fits']));
        $this->getJson('/api/zones/basin-floor/still-fits?on=soon')->assertUnprocessable();
        Zone::factory()->create(['slug' => 'dry']);
        $this->getJson('/api/zones/dry/still-fits')->assertNotFound();
    }

    public function test_windows_wait_for_workable_ground_where_a_zone_asks_for_it(): void
    {
        config(['anthesis.today' => '2026-04-18']);
        $zone = $this->basin('2026-04-17');
        $this->actingAs($this->person(Role::Educator));
        $radish = fn (): array => $this->getJson('/api/zones/basin-floor/windows/broad-bean')->assertOk()->json('data');
        $replay = static fn (array $data): array => $data['crop']['routes'][0];
        $first = static fn (array $data): string => $replay($data)['windows'][0]['first'];
        $open = $radish();
        $this->putJson('/api/zones/basin-floor/method', [
            'standard' => $zone->refresh()->standard,
            'light' => $zone->light,
            'waits_for_ground' => true,
            'version' => $zone->version,
        ])->assertStatus(202);
        $waits = $radish();
        self::assertTrue($this->getJson('/api/zones/basin-floor')->assertOk()->json('data.waits_for_ground'));
        self::assertLessThanOrEqual($first($waits), $first($open));
        // Clay is fit later than loam, and now a site's ground moves dates.
        Site::query()->where('name', 'open ground')->update(['ground' => 'clay']);
        $this->putJson('/api/zones/basin-floor/method', [
            'standard' => $zone->refresh()->standard,
            'light' => $zone->light,
            'version' => $zone->version,
        ])->assertStatus(202);
        $clay = $radish();
        self::assertGreaterThan($first($open), $first($clay));
        self::assertContains('source.wet-before', array_column(array_column($replay($clay)['derivation'], 'source'), 'key'));
    }

    public function test_water_that_is_due_is_told_bed_by_bed_from_the_log(): void
    {
        config(['anthesis.today' => '2026-06-20']);
        $this->basin('2026-06-19');
        $bed = ['garden' => 'School garden', 'bed' => 'Bed 1'];
        $log = fn (array ...$entries): TestResponse => $this->postJson('/api/zones/basin-floor/log-entries', [
            'sent_at' => 1_000,
            'by' => 'desk',
            'entries' => array_map(static fn (array $e): array => $e + ['written_at' => 1_000], $entries),
        ])->assertJsonPath('data.refused', []);
        $log(
            ['key' => 'sown-early', 'act' => 'sown', 'on' => '2026-05-10', 'crop' => 'radish', 'metres' => 4.0] + $bed,
            ['key' => 'sown-late-1', 'act' => 'sown', 'on' => '2026-06-18', 'crop' => 'radish'] + $bed,
            ['key' => 'under-cover', 'act' => 'sown', 'on' => '2026-06-01', 'crop' => 'radish', 'under_cover' => true] + $bed,
        );
        $due = fn (): array => $this->getJson('/api/zones/basin-floor/water-due')->assertOk()->json('data');
        [$told] = $due();
        self::assertSame(['Bed 1', 'loam', null], [$told['bed']['name'], $told['ground'], $told['last']]);
        self::assertEqualsCanonicalizing(
            ['sown-early', 'sown-late-1'],
            array_column($told['sowings'], 'key'),
            'not what stands under cover',
        );
        $sowings = array_column($told['sowings'], null, 'key');
        self::assertSame([true, false], [$sowings['sown-early']['water']['up'], $sowings['sown-late-1']['water']['up']]);
        $water = $sowings['sown-early']['water'];
        self::assertNull($sowings['sown-late-1']['litres'], 'nobody said how long its row is');
        $row = 4.0 * (Fixtures::crops()->find('radish')?->spacing->rowCm ?? 0.0) / 100;
        self::assertEqualsWithDelta($water['mm'] * $row, $sowings['sown-early']['litres'], 0.06);

        $log(['key' => 'watered-1', 'act' => 'watered', 'on' => '2026-06-20'] + $bed);
        $after = $due()[0];
        self::assertSame('2026-06-20', $after['last']);
        $watered = array_column($after['sowings'], null, 'key')['sown-early']['water'];
        self::assertSame(0, $watered['now']);
        self::assertGreaterThan('2026-06-20', $watered['day'] ?? '9');

        // Another garden's gauge does not count here; its own does.
        $log(['key' => 'gauge-one', 'act' => 'gauge', 'on' => '2026-06-19', 'garden' => 'Other garden', 'bed' => 'A', 'mm' => 90]);
        self::assertSame($after, $due()[0]);
        $log(
            ['key' => 'watered-2', 'act' => 'watered', 'on' => '2026-06-20', 'corrects' => 'watered-1', 'taken_back' => true],
            ['key' => 'gauge-two', 'act' => 'gauge', 'on' => '2026-06-19', 'mm' => 90] + $bed,
        );
        $rained = array_column($due()[0]['sowings'], null, 'key')['sown-early']['water'];
        self::assertSame([null, 0], [$due()[0]['last'], $rained['now']]);

        // Sand holds less.
        Bed::query()->where('name', 'Bed 1')->firstOrFail()->site?->update(['ground' => 'sand']);
        self::assertSame('sand', $due()[0]['ground']);
        Zone::factory()->create(['slug' => 'dry']);
        self::assertSame([], $this->getJson('/api/zones/dry/water-due')->assertOk()->json('data'));
    }

    public function test_another_date_is_the_records_word_alone_and_says_so(): void
    {
        config(['anthesis.today' => '2026-04-18']);
        $this->basin('2026-04-17');
        $autumn = $this->getJson('/api/zones/basin-floor/today?on=09-20')->assertOk()->json('data');
        self::assertSame(
            ['2026-09-20', 'record', null, null, null],
            [$autumn['on'], $autumn['by'], $autumn['soil'], $autumn['outlook'], $autumn['position']],
        );
        self::assertContains(array_column($autumn['acts'], null, 'crop')['garlic-hardneck']['pile'], ['go', 'hold-a-week']);
        $this->getJson('/api/zones/basin-floor/today?on=02-01')->assertJsonPath('data.on', '2027-02-01');
        $this->getJson('/api/zones/basin-floor/today?on=04-18')->assertJsonPath('data.by', 'season');
        $this->getJson('/api/zones/basin-floor/today?on=02-30')
            ->assertUnprocessable()
            ->assertJsonPath('errors.on.0', 'Enter a day of the year as MM-DD.');
        $this->getJson('/api/zones/basin-floor/today?standard=rash')->assertUnprocessable();
        $this->getJson('/api/zones/basin-floor/today?site=99')->assertUnprocessable();
    }

    public function test_without_a_record_or_with_too_short_a_one_it_says_what_to_do(): void
    {
        config(['anthesis.today' => '2026-04-18']);
        Zone::factory()->create();
        $this->actingAs($this->person());
        $this->getJson('/api/zones/test-basin/today')
            ->assertNotFound()
            ->assertJsonPath('message', 'This zone has no climate record yet. Upload a station file first.');
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $this->getJson('/api/zones/test-basin/today')
            ->assertNotFound()
            ->assertJsonPath(
                'message',
                'The record ends on 31 December 2012, too long ago to say how this season is going. Upload the days since, or choose another date to see past years.',
            );
        $this->getJson('/api/zones/test-basin/today?on=05-01')->assertOk()->assertJsonPath('data.by', 'record');
        // Ten days without a report are bridged, eleven are not.
        config(['anthesis.today' => '2013-01-11']);
        $this->getJson('/api/zones/test-basin/today')->assertOk();
        config(['anthesis.today' => '2013-01-12']);
        $this->getJson('/api/zones/test-basin/today')->assertNotFound();
    }

    public function test_stations_report_every_morning_what_was_missed_is_caught_up_and_twice_is_once(): void
    {
        config(['anthesis.today' => '2026-04-10']);
        $this->basin('2026-04-09');
        $this->simulated();
        $collect = fn (): int => app(CollectReports::class)->execute();
        self::assertSame(0, $collect(), 'all is on record');
        config(['anthesis.today' => '2026-04-18']);
        self::assertSame(1, $collect());
        $station = Station::query()->firstOrFail();
        self::assertSame('2026-04-17', $station->record?->last_day->format('Y-m-d'));
        $import = RecordImport::query()->latest('id')->firstOrFail();
        self::assertSame(['report-2026-04-10-2026-04-17.csv', 8, null], [$import->file, $import->rows, $import->user_id]);
        self::assertStringStartsWith(
            "date,tmin_c,tmax_c,rain_mm,snow_cm\n2026-04-10,",
            (string) Storage::disk('originals')->get($import->checksum),
        );
        self::assertSame(0, $collect());
        self::assertSame(2, RecordImport::query()->count());
        // The values are the station's own, whenever they are asked for.
        $all = $station->record->asRead();
        self::assertSame(
            $all->minimum[$all->days() - 8],
            (float) explode(',', explode("\n", (string) Storage::disk('originals')->get($import->checksum))[1])[1],
        );
    }

    public function test_days_that_were_not_reported_yet_are_bridged_and_said(): void
    {
        config(['anthesis.today' => '2026-04-18']);
        $this->basin('2026-04-12');
        $today = $this->getJson('/api/zones/basin-floor/today')->assertOk()->json('data');
        self::assertSame(['2026-04-12', '2026-04-18', null], [$today['record_ends'], $today['on'], $today['outlook']]);
        self::assertGreaterThan(10, array_column($today['acts'], null, 'crop')['carrot']['of']);
        // A clock that was moved back leaves out what is reported of later days.
        config(['anthesis.today' => '2026-03-01']);
        $this->getJson('/api/zones/basin-floor/today')->assertJsonPath('data.record_ends', '2026-02-28');
    }

    public function test_a_person_keeps_the_packets_they_have_to_themselves(): void
    {
        $this->actingAs($this->person(Role::Volunteer));
        $this->putJson('/api/packets/radish', ['has' => true])
            ->assertOk()
            ->assertJsonPath('data', ['radish']);
        $this->putJson('/api/packets/carrot', ['has' => true])->assertJsonPath('data', ['carrot', 'radish']);
        $this->putJson('/api/packets/carrot', ['has' => true])->assertJsonPath('data', ['carrot', 'radish']);
        $this->putJson('/api/packets/radish', ['has' => false])->assertJsonPath('data', ['carrot']);
        $this->putJson('/api/packets/radish', [])->assertUnprocessable();
        $this->putJson('/api/packets/unicorn', ['has' => true])->assertNotFound();
        $this->actingAs($this->person());
        $this->getJson('/api/packets')->assertJsonPath('data', []);
    }
}
