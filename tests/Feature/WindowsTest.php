<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Tests\Fixtures;
use App\People\Role;
use App\Results\Result;
use App\Results\ResultKind;
use App\Sites\Site;
use App\Windows\CropChoice;
use App\Windows\PackedRibbon;
use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\Zone;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

final class WindowsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
    }

    /** @return array<string, mixed> */
    private function radish(string $query = ''): array
    {
        return $this->getJson("/api/zones/test-basin/windows/radish{$query}")
            ->assertOk()
            ->json('data');
    }

    public function test_windows_follow_the_replay_and_carry_the_years_behind_each_day(): void
    {
        $crops = array_column($this->getJson('/api/zones/test-basin/windows')->assertOk()->json('data.crops'), null, 'slug');
        $route = $crops['radish']['routes'][0];
        self::assertSame(['replay', 'direct', '04-01'], [$crops['radish']['school'], $route['route'], $route['windows'][0]['first']]);
        self::assertSame(13, $route['ribbon']['years']);
        // Packed from the crop's evidence, in which all years of each sow day are accounted for.
        $ribbon = $this->radish()['replay'][0]['ribbon'];
        self::assertSame(PackedRibbon::of($ribbon), $route['ribbon']);
        foreach ([32, 91, 200] as $day) {
            // A sowing that never came up in the last year counts; one whose season runs past the record does not.
            self::assertContains(
                array_sum(array_map(static fn (array $counts): int => $counts[$day], $ribbon['outcomes'])),
                [13, 14],
                "all years of sow day {$day} are accounted for",
            );
        }
        self::assertSame(1, count($crops['garlic-hardneck']['routes']));
    }

    public function test_a_bolder_standard_of_proof_widens_windows_in_the_view_and_in_the_calendar(): void
    {
        $days = fn (string $query): int => array_sum(array_column($this->radish($query)['crop']['routes'][0]['windows'], 'days'));
        $reliable = $days('');
        self::assertGreaterThan($reliable, $days('?standard=bold'));
        self::assertLessThan($reliable, $days('?standard=cautious'));
        $this->putOnZone('method', ['standard' => 'bold', 'light' => 'radiation'])->assertStatus(202);
        self::assertGreaterThan($reliable, $days(''));
        self::assertSame('bold', $this->radish()['method']['standard']);
        $this->putOnZone('method', ['standard' => 'rash', 'light' => 'radiation'])->assertUnprocessable();
        $this->getJson('/api/zones/test-basin/windows?standard=rash')->assertUnprocessable();
    }

    public function test_both_schools_stand_side_by_side_with_the_difference(): void
    {
        $radish = $this->radish();
        self::assertSame(
            ['03-25', '09-08'],
            [$radish['schools'][0]['routes'][0]['windows'][0]['first'], $radish['schools'][0]['routes'][0]['windows'][0]['last']],
        );
        self::assertSame(
            [7, -7],
            [$radish['schools'][0]['differences'][0]['opens'], $radish['schools'][0]['differences'][0]['closes']],
            '1 April against the 25th, 1 September against the 8th',
        );
        self::assertSame('replay', $radish['replay'][0]['derivation'][0]['key']);
        self::assertGreaterThanOrEqual(11, $radish['replay'][0]['evidence'][0]['harvests']);
    }

    public function test_own_dates_stand_in_the_calendar_with_reason_and_author_until_undone(): void
    {
        $own = [
            'school' => 'own',
            'reason' => 'The club sows on the holiday.',
            'replaces' => null,
            'windows' => [
                ['route' => 'direct', 'first' => '02-10', 'last' => '02-20'],
                ['route' => 'direct', 'first' => '04-10', 'last' => '04-20'],
            ],
        ];
        $data = $this->postJson('/api/zones/test-basin/windows/radish/choices', $own)->assertCreated()->json('data');
        self::assertSame(
            ['own', '02-10', '02-20'],
            [$data['crop']['school'], $data['crop']['routes'][0]['windows'][0]['first'], $data['crop']['routes'][0]['windows'][0]['last']],
        );
        self::assertSame(['The club sows on the holiday.', 'Educator'], [$data['choice']['reason'], $data['choice']['by']]);
        self::assertStringStartsWith(
            (string) config('anthesis.today'),
            $data['choice']['at'],
            'decided on the day the application stands on',
        );
        self::assertSame(
            ['Sow outdoors: on 11 of these 22 days, fewer than half of the years on record came to a harvest.'],
            array_map($this->said(...), $data['disagreements']),
        );

        $this->postJson('/api/zones/test-basin/windows/radish/choices', [
            'school' => 'count-back',
            'reason' => 'Easier to explain.',
            'replaces' => $data['choice']['id'],
        ])
            ->assertCreated()
            ->assertJsonPath('data.crop.school', 'count-back')
            ->assertJsonPath('data.crop.routes.0.windows.0.first', '03-25');
        $id = CropChoice::query()->latest('id')->value('id');
        $this->deleteJson("/api/zones/test-basin/choices/{$id}")
            ->assertOk()
            ->assertJsonPath('data.crop.school', 'replay')
            ->assertJsonPath('data.choice', null);
        self::assertSame(2, CropChoice::query()->whereNotNull('undone_at')->count(), 'what was decided stays on record');
    }

    public function test_choices_without_reason_or_with_days_that_do_not_exist_are_refused(): void
    {
        $this->postJson('/api/zones/test-basin/windows/radish/choices', [
            'school' => 'own',
            'reason' => '',
            'replaces' => null,
            'windows' => [['route' => 'direct', 'first' => '02-30', 'last' => '03-10']],
        ])
            ->assertUnprocessable()
            ->assertJsonPath('errors.reason.0', 'Explain why in a few words, so others can follow.')
            ->assertJsonFragment(['windows.0.first' => ['“02-30” is not a day of the year written as MM-DD.']]);
        $this->postJson('/api/zones/test-basin/windows/unicorn/choices', [
            'school' => 'count-back',
            'reason' => 'x',
            'replaces' => null,
        ])->assertNotFound();
        $this->actingAs($this->person(Role::Volunteer));
        $this->postJson('/api/zones/test-basin/windows/radish/choices', [
            'school' => 'count-back',
            'reason' => 'x',
            'replaces' => null,
        ])->assertForbidden();
        self::assertSame(0, CropChoice::query()->count());
    }

    public function test_runs_say_what_each_year_came_to(): void
    {
        $runs = $this->getJson('/api/zones/test-basin/windows/radish/runs?route=direct')->assertOk()->json('data');
        self::assertSame(range(1999, 2012), array_column($runs['years'], 'year'));
        $names = $runs['outcomes'];
        $ribbon = $this->radish()['replay'][0]['ribbon']['outcomes'];
        foreach ([31, 100, 210, 300] as $day) {
            $harvests = array_filter($runs['years'], static fn (array $y): bool => ($names[$y['outcome'][$day]] ?? '') === 'harvest');
            self::assertCount($ribbon['harvest'][$day], $harvests, "the ribbon counts the same runs on sow day {$day}");
            foreach ($harvests as $year) {
                self::assertGreaterThan($year['up'][$day], $year['harvest'][$day]);
                self::assertGreaterThan($year['harvest'][$day], $year['end'][$day]);
            }
        }
    }

    public function test_sites_and_varieties_are_held_against_the_crop_in_open_ground(): void
    {
        $this->postJson('/api/crops/bush-bean/varieties', [
            'name' => 'Harrow Early',
            'cells' => ['maturity_days' => '42'],
            'tags' => ['quick'],
        ])->assertCreated();
        $compared = $this->getJson('/api/zones/test-basin/windows/bush-bean/compared')->assertOk()->json('data');
        $sites = array_column($compared['sites'], null, 'name');
        self::assertCount(11, $sites);
        self::assertMatchesRegularExpression('/^\d+ days earlier/', $this->said($sites['low tunnel']['phrase']));
        self::assertStringContainsString('later to open', $this->said($sites['cold pocket']['phrase']));
        self::assertSame(['Harrow Early'], array_column($compared['varieties'], 'name'));
        self::assertStringContainsString('longer at the end', $this->said($compared['varieties'][0]['phrase']));
    }

    public function test_a_site_is_computed_when_it_is_asked_for_and_anew_when_the_zone_is(): void
    {
        $tunnel = Site::query()->where('name', 'low tunnel')->value('id');
        $this->getJson("/api/zones/test-basin/windows?site={$tunnel}")->assertNotFound();
        $this->actingAs($this->person(Role::Volunteer));
        $this->postJson('/api/zones/test-basin/computations', ['site' => $tunnel])->assertStatus(202);
        self::assertSame(
            'low tunnel',
            $this->getJson("/api/zones/test-basin/windows?site={$tunnel}")
                ->assertOk()
                ->json('data.method.site'),
        );
        self::assertSame('open ground', $this->getJson('/api/zones/test-basin/windows')->json('data.method.site'));
        $this->postJson('/api/zones/test-basin/computations')->assertForbidden();
        $this->actingAs($this->person());
        $this->postJson('/api/zones/test-basin/computations')->assertStatus(202);
        $this->getJson("/api/zones/test-basin/windows?site={$tunnel}")->assertNotFound();
        $this->getJson('/api/zones/test-basin/windows?site=999')->assertUnprocessable();
    }

    public function test_editing_one_crop_computes_that_crop_alone(): void
    {
        $windows = $this->radish()['crop']['routes'][0]['windows'];
        $before = Result::query()->where('kind', ResultKind::Dossier)->count();
        $this->patchJson('/api/crops/radish', [
            'cells' => ['maturity_days' => '45'],
            'note' => 'Slower on our soils.',
            'version' => 1,
        ])->assertOk();
        self::assertSame($before + 1, Result::query()->where('kind', ResultKind::Dossier)->count());
        self::assertNotEquals($windows, $this->radish()['crop']['routes'][0]['windows']);
    }

    public function test_a_computation_can_be_cancelled_and_done_later(): void
    {
        Queue::fake();
        $id = $this->postJson('/api/zones/test-basin/computations')->assertStatus(202)->json('data.id');
        $this->deleteJson("/api/computations/{$id}")
            ->assertOk()
            ->assertJsonPath('data.state', ComputationState::Cancelled);
        $job = new \App\Results\ComputeZoneJob((int) Computation::query()->whereKey($id)->value('zone_id'));
        app()->call($job->handle(...));
        $this->getJson("/api/computations/{$id}")->assertJsonPath('data.state', ComputationState::Cancelled);
        $this->getJson('/api/zones/test-basin/windows')->assertOk();
    }

    public function test_a_short_record_is_counted_back(): void
    {
        Zone::factory()->named('Short Basin')->create();
        $rows = array_filter(
            explode("\n", (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv'))),
            static fn (string $l): bool => $l < '2006' || str_starts_with($l, 'date'),
        );
        $this->post(
            '/api/zones/short-basin/record-imports',
            ['file' => $this->textFile(implode("\n", $rows)."\n")],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $data = $this->getJson('/api/zones/short-basin/windows')->assertOk()->json('data');
        self::assertSame(['count-back', 'count-back', []], [$data['method']['school'], $data['crops'][0]['school'], $data['standards']]);
    }

    public function test_what_the_third_edition_of_the_method_moved_is_listed_and_kept(): void
    {
        $changes = $this->getJson('/api/zones/test-basin/method-changes')->assertOk()->json('data');
        $bean = array_column($changes, null, 'crop')['bush-bean'];
        self::assertContains('soil-hold', array_merge(...array_column($changes, 'rules')));
        $now = array_column($this->getJson('/api/zones/test-basin/windows')->json('data.crops'), null, 'slug')['bush-bean']['routes'][0][
            'windows'
        ];
        self::assertSame($now, $bean['now'], 'the windows of the calendar');
        Result::query()
            ->where('kind', ResultKind::MethodChanges)
            ->update(['payload' => '{"changes":[]}']);
        $this->getJson('/api/zones/test-basin/method-changes')->assertJsonPath('data', []);
        Zone::factory()->create(['slug' => 'empty', 'name' => 'Empty']);
        $this->getJson('/api/zones/empty/method-changes')->assertNotFound();
    }

    public function test_packet_days_left_are_told_for_a_day_and_fewer_as_autumn_comes(): void
    {
        $left = fn (string $query): ?int => $this->getJson("/api/zones/test-basin/windows/radish/packet-days?{$query}")
            ->assertOk()
            ->json('data.packet_days');
        self::assertGreaterThan($left('on=09-01'), $left('on=08-01'));
        self::assertNull($left('on=01-10'));
        self::assertLessThanOrEqual($left('on=08-01'), $left('on=08-01&standard=cautious'));
        $this->getJson('/api/zones/test-basin/windows/radish/packet-days')->assertUnprocessable();
        $this->getJson('/api/zones/test-basin/windows/radish/packet-days?on=13-01')->assertUnprocessable();
        $this->getJson('/api/zones/test-basin/windows/radish/packet-days?on=05-01&route=transplant')->assertNotFound();
    }

    public function test_a_crop_is_kept_coming_by_even_harvests_or_at_its_interval(): void
    {
        $url = '/api/zones/test-basin/windows/radish/succession';
        $told = $this->getJson("{$url}?on=04-10&days=60&amount=0.5")
            ->assertOk()
            ->json('data');
        $radish = Fixtures::crops()->find('radish') ?? self::fail('no radish');
        self::assertSame(['04-10', 60, $radish->convention->successionDays], [$told['from'], $told['days'], $told['interval']]);
        self::assertSame('04-10', $told['even']['sowings'][0]['on']);
        self::assertSame(
            range(0, 60, $told['interval']),
            array_column($told['fixed']['sowings'], 'after'),
            'every day of these reaches the standard',
        );
        $first = $told['even']['sowings'][0];
        self::assertEqualsWithDelta(
            (0.5 * ($first['last'] - $first['first'] + 1)) / 7 / (float) $told['yield_per_m'],
            $first['metres'],
            0.06,
        );
        self::assertSame([], $told['even']['gaps'], 'an even supply has no hunger');
        self::assertSame(['kg', null], [$told['unit'], $told['cut']]);
        self::assertEqualsWithDelta(($first['metres'] * 100) / $radish->spacing->spacingCm / 0.8, $first['seeds'], 5.0);
        self::assertEqualsWithDelta($first['seeds'] / 90, $first['grams'], 0.06);
        self::assertSame(
            [null, null],
            array_values(
                array_intersect_key($this->getJson("{$url}?on=04-10")->json('data.even.sowings.0'), ['metres' => true, 'seeds' => true]),
            ),
        );
        $zinnia = $this->getJson('/api/zones/test-basin/windows/zinnia/succession?on=05-10&days=60&amount=20')->assertOk()->json('data');
        self::assertSame(
            ['stems', ['stems_per_plant' => 12, 'branches' => true, 'vase_days' => 8, 'at' => 'open']],
            [$zinnia['unit'], $zinnia['cut']],
        );
        self::assertEqualsWithDelta(48.0, $zinnia['yield_per_m'], 1e-9, 'twelve of each plant, a quarter of a metre apart');
        $this->getJson("{$url}?on=04-10&days=365")
            ->assertUnprocessable()
            ->assertJsonPath('errors.days.0', 'A succession lasts 1 to 364 days.');
        $this->getJson("{$url}?on=04-10&amount=0")->assertUnprocessable();
        $this->getJson("{$url}?on=04-31")->assertUnprocessable();
        $this->getJson("{$url}?on=04-10&route=transplant")->assertNotFound();
    }
}
