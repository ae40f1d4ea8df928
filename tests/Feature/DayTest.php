<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crops\Crop;
use App\Log\FollowSowingsJob;
use App\Log\Sowing;
use App\Zones\DayTurned;
use App\Zones\Zone;
use Illuminate\Console\Scheduling\Event as Scheduled;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Foundation\Testing\LazilyRefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** A day begins in each zone by its own clock, and what it brings is done automatically, once. */
final class DayTest extends TestCase
{
    use LazilyRefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        // The real clock, as in service.
        config(['anthesis.today' => null, 'anthesis.demonstration' => false]);
    }

    public function test_a_zone_has_its_own_day(): void
    {
        Carbon::setTestNow('2026-07-04 04:30:00 UTC');
        $zone = static fn (?string $timeZone): string => Zone::factory()
            ->make(['time_zone' => $timeZone])
            ->today()
            ->iso();
        self::assertSame('2026-07-03', $zone('America/Chicago'), 'half past eleven at night');
        self::assertSame('2026-07-04', $zone('Australia/Melbourne'));
        self::assertSame('2026-07-04', $zone(null), 'by the application’s own clock, UTC');
        Carbon::setTestNow('2026-07-04 05:00:00 UTC');
        self::assertSame('2026-07-04', $zone('America/Chicago'), 'midnight has struck');
    }

    public function test_each_day_is_begun_once_where_it_begins(): void
    {
        Zone::factory()->create(['name' => 'West', 'slug' => 'west', 'time_zone' => 'America/Chicago']);
        Zone::factory()->create(['name' => 'East', 'slug' => 'east', 'time_zone' => 'Australia/Melbourne']);
        $turned = function (string $now): array {
            Carbon::setTestNow($now);
            $events = Event::fake([DayTurned::class]);
            $this->artisan('anthesis:turn-day')->assertSuccessful();

            return $events
                ->dispatched(DayTurned::class)
                ->map(static fn (array $args): string => Zone::query()->findOrFail($args[0]->zoneId)->slug)
                ->sort()
                ->values()
                ->all();
        };
        self::assertSame(['east', 'west'], $turned('2026-07-03 12:00:00 UTC'), 'no day was ever begun');
        self::assertSame([], $turned('2026-07-03 13:59:00 UTC'));
        self::assertSame(['east'], $turned('2026-07-03 14:00:00 UTC'), 'midnight in Melbourne');
        self::assertSame([], $turned('2026-07-03 14:01:00 UTC'));
        self::assertSame(['west'], $turned('2026-07-04 05:00:00 UTC'), 'midnight in Chicago');
        self::assertSame(['east', 'west'], $turned('2026-07-06 16:00:00 UTC'), 'after days without a scheduler, once');
    }

    public function test_what_stands_is_followed_as_soon_as_the_day_has_begun(): void
    {
        $this->zoneWithRecord();
        Queue::fake();
        Zone::factory()->create(['name' => 'Empty', 'slug' => 'empty']);
        $zone = Zone::query()->where('slug', 'test-basin')->firstOrFail();
        Sowing::query()->create([
            'zone_id' => $zone->id,
            'crop_id' => Crop::query()->firstOrFail()->id,
            'idempotency_key' => 'a-sowing',
            'begun_on' => '2026-05-01',
            'sown_on' => '2026-05-01',
        ]);
        $this->artisan('anthesis:turn-day')->assertSuccessful();
        Queue::assertPushed(FollowSowingsJob::class, 1);
        Queue::assertPushedOn('sites', FollowSowingsJob::class);
        $this->artisan('anthesis:turn-day')->assertSuccessful();
        Queue::assertPushed(FollowSowingsJob::class, 1);
    }

    public function test_the_scheduler_looks_every_minute(): void
    {
        $events = array_filter(
            app(Schedule::class)->events(),
            static fn (Scheduled $e): bool => $e->getSummaryForDisplay() === 'anthesis:turn-day',
        );
        self::assertSame(['* * * * *'], array_values(array_map(static fn (Scheduled $e): string => $e->expression, $events)));
    }

    public function test_a_zone_is_given_a_time_zone_there_is(): void
    {
        $this->actingAs($this->person());
        $values = $this->zoneValues();
        $this->postJson('/api/zones', $values)->assertCreated()->assertJsonPath('data.time_zone', null);
        $edit = fn (string $timeZone): TestResponse => $this->editZone(['time_zone' => $timeZone] + $values);
        $edit('Australia/Melbourne')->assertOk()->assertJsonPath('data.time_zone', 'Australia/Melbourne');
        $edit('Kestrel/Basin')
            ->assertUnprocessable()
            ->assertJsonPath('errors.time_zone.0', 'There is no time zone “Kestrel/Basin”. Choose one from the list.');
        Carbon::setTestNow('2026-07-03 14:30:00 UTC');
        $this->getJson('/api/zones/test-basin/soil')->assertOk()->assertJsonPath('data.today', '2026-07-04');
    }
}
