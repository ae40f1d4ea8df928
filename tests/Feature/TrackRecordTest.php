<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\People\Role;
use App\Results\Result;
use App\TrackRecord\KeepMorningsJob;
use App\TrackRecord\KeepPromisesJob;
use App\TrackRecord\ZoneHoldOrGo;
use App\Zones\Zone;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** Whether windows came true: judged by the years they were not made from, and by the log. */
class TrackRecordTest extends TestCase
{
    protected ?array $book = ['radish', 'kale', 'tomato-main', 'cover-buckwheat'];

    private function zone(): Zone
    {
        $this->zoneWithRecord();
        $this->actingAs($this->person());

        return Zone::query()->firstOrFail();
    }

    public function test_crops_are_judged_in_the_background_and_told_when_all_are(): void
    {
        $this->zone();
        Queue::fake([KeepPromisesJob::class]);
        $told = fn (string $query = ''): array => $this->getJson("/api/zones/test-basin/track-record{$query}")->assertOk()->json('data');
        $waiting = $told();
        self::assertSame(
            [0, 3, null, null],
            [$waiting['done'], $waiting['total'], $waiting['windows'], $waiting['log']],
            'a cover crop promises nothing',
        );
        Queue::assertPushed(KeepPromisesJob::class, 1);
        $turned = fn (): array => $this->getJson('/api/zones/test-basin/track-record/turned')->assertOk()->json('data');
        self::assertSame([], $turned(), 'nothing is known yet');
        app()->call([new KeepPromisesJob(Zone::query()->firstOrFail()->id), 'handle']);
        self::assertSame(3, Result::query()->where('kind', 'promises')->count());
        $reliable = $told();
        self::assertSame([3, 'reliable'], [$reliable['done'], $reliable['standard']]);
        $clearly = array_values(array_filter($reliable['windows']['crops'], static fn (array $crop): bool => $crop['p'] < 0.05));
        self::assertSame($clearly, $turned());
        $total = $reliable['windows']['total'];
        self::assertGreaterThan(0.8, $total['promised']);
        self::assertEqualsWithDelta($total['harvests'] / $total['runs'], $total['kept'], 1e-4);
        self::assertSame($total['runs'], array_sum(array_column($reliable['windows']['decades'], 'runs')));
        self::assertSame($total['runs'], array_sum(array_column($reliable['windows']['seasons'], 'runs')));
        self::assertSame($total['runs'], array_sum(array_column($reliable['windows']['crops'], 'runs')));
        self::assertLessThan($told('?standard=bold')['windows']['total']['runs'], $told('?standard=cautious')['windows']['total']['runs']);
        Queue::assertPushed(KeepPromisesJob::class, 1);
        $this->getJson('/api/zones/test-basin/track-record?standard=rash')->assertUnprocessable();
        Zone::factory()->named('Dry')->create();
        $this->getJson('/api/zones/dry/track-record')->assertNotFound();
    }

    public function test_sowings_of_the_log_are_held_against_the_edition_in_force_or_the_windows_of_today(): void
    {
        config(['anthesis.today' => '2012-07-01']);
        $zone = $this->zone();
        $at = ['garden' => 'School garden', 'bed' => 'Bed 1', 'crop' => 'radish'];
        $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => 1_000,
            'by' => 'desk',
            'entries' => array_map(static fn (array $e): array => $e + ['written_at' => 1_000], [
                ['key' => 'inside-picked', 'act' => 'sown', 'on' => '2012-04-20'] + $at,
                ['key' => 'picked-of-it', 'act' => 'first-picked', 'on' => '2012-05-28', 'sowing' => 'inside-picked'],
                ['key' => 'inside-lost-1', 'act' => 'sown', 'on' => '2012-05-02'] + $at,
                ['key' => 'lost-of-it-1', 'act' => 'lost', 'on' => '2012-05-20', 'sowing' => 'inside-lost-1', 'cause' => 'pests'],
                ['key' => 'outside-open', 'act' => 'sown', 'on' => '2012-02-01'] + $at,
                ['key' => 'under-cover-1', 'act' => 'sown', 'on' => '2012-04-20', 'under_cover' => true] + $at,
            ]),
        ])->assertJsonPath('data.refused', []);
        app()->call([new KeepPromisesJob($zone->id), 'handle']);
        $log = fn (): array => $this->getJson('/api/zones/test-basin/track-record')->assertOk()->json('data.log');
        $before = $log();
        self::assertSame(['harvested' => 1, 'lost' => 1, 'open' => 0, 'causes' => ['pests' => 1]], $before['before']['inside']);
        self::assertSame(['harvested' => 0, 'lost' => 0, 'open' => 1, 'causes' => []], $before['before']['outside']);
        self::assertSame(1, $before['before']['picks']['all']);
        self::assertSame(0, $before['in_force']['inside']['harvested']);
        $this->publish();
        Edition::query()->toBase()->update(['in_force_at' => '2012-04-25 08:00:00']);
        $after = $log();
        self::assertSame([0, 1], [$after['in_force']['inside']['harvested'], $after['in_force']['inside']['lost']], 'the one of 2 May');
        self::assertSame([1, 0], [$after['before']['inside']['harvested'], $after['before']['inside']['lost']]);
    }

    public function test_this_seasons_counts_are_judged_when_somebody_asks_for_it(): void
    {
        $zone = $this->zone();
        $told = fn (): array => $this->getJson('/api/zones/test-basin/track-record/season')->assertOk()->json('data');
        $years = $told()['total'];
        self::assertSame([0, null], [$told()['done'], $told()['record']]);
        $this->actingAs($this->person(Role::Volunteer));
        $this->postJson('/api/zones/test-basin/track-record/season')->assertForbidden();
        $this->actingAs($this->person());
        Queue::fake([KeepMorningsJob::class]);
        $this->postJson('/api/zones/test-basin/track-record/season')->assertStatus(202);
        Queue::assertPushed(KeepMorningsJob::class, 1);
        self::assertTrue(app(ZoneHoldOrGo::class)->keepOne($zone));
        self::assertSame(1, $told()['done']);
        app()->call([new KeepMorningsJob($zone->id), 'handle']);
        $all = $told();
        self::assertSame($years, $all['done']);
        $total = $all['record']['total'];
        self::assertGreaterThan(100, $total['cases']);
        self::assertSame($total['cases'], array_sum(array_column($all['record']['crops'], 'cases')));
        self::assertSame($total['right'], array_sum(array_column($all['record']['months'], 'right')));
        self::assertEqualsWithDelta(1 - $total['brier'] / $total['brier_of_record'], $total['skill'], 0.01);
    }
}
