<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\Editions\Publication;
use App\Gardener\PublicSite;
use App\Operations\Clash;
use App\Operations\NamedLock;
use App\People\Role;
use App\People\User;
use App\Results\ComputeZoneJob;
use App\Sites\Site;
use App\Stations\KeepStationFile;
use App\Stations\StationRecord;
use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\QueueComputation;
use App\Zones\Zone;
use Illuminate\Console\Scheduling\Event as Scheduled;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Queue;
use PDO;
use PDOException;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Two people, two clicks, or two workers at once: nothing is lost, and nothing is done twice. */
final class TwoAtOnceTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Zone::factory()->create();
        $this->actingAs($this->person());
    }

    private function zone(): Zone
    {
        return Zone::query()->firstOrFail();
    }

    public function test_two_files_brought_to_one_station_at_once_are_both_in_its_record(): void
    {
        $day = static fn (string $from, int $days): string => "date,tmin_c,tmax_c\n".
            implode(
                '',
                array_map(
                    static fn (int $i): string => date('Y-m-d', (int) strtotime("{$from} +{$i} days")).",1.0,9.0\n",
                    range(0, $days - 1),
                ),
            );
        $keep = app(KeepStationFile::class);
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->textFile($day('2010-01-01', 500))],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $station = $this->zone()->station;
        Queue::fake();
        // Both were read, and queued, when the record had neither.
        $keep->execute($this->zone(), $station, $this->textFile($day('2012-01-01', 400), 'a.csv'), [], $this->person());
        $keep->execute($this->zone(), $station, $this->textFile($day('2014-01-01', 400), 'b.csv'), [], $this->person());
        app()->call((new ComputeZoneJob($this->zone()->id))->handle(...));
        $record = StationRecord::query()->findOrFail($station?->refresh()->record_id)->asRead();
        self::assertSame(500 + 400 + 400, count(array_filter($record->minimum, static fn (?float $v): bool => $v !== null)));
    }

    public function test_a_zone_another_worker_is_at_is_left_to_it(): void
    {
        Queue::fake();
        $computation = app(QueueComputation::class)->execute($this->zone(), null);
        $other = $this->anotherConnection();
        $name = DB::getDatabaseName().'-'.ComputeZoneJob::lockOf($this->zone()->id);
        self::assertSame(1, (int) $other->query('SELECT GET_LOCK('.$other->quote($name).', 0)')->fetchColumn());
        app()->call((new ComputeZoneJob($this->zone()->id))->handle(...));
        self::assertSame(ComputationState::Queued, $computation->refresh()->state);
        self::assertFalse(NamedLock::isFree(ComputeZoneJob::lockOf($this->zone()->id)));
        // The lock is released with its holder, however that ends.
        $other = null;
        for ($i = 0; $i < 6000 && (int) DB::scalar('SELECT IS_FREE_LOCK(?)', [$name]) !== 1; $i++) {
            usleep(50_000);
        }
        app()->call((new ComputeZoneJob($this->zone()->id))->handle(...));
        self::assertSame(ComputationState::Failed, $computation->refresh()->state, 'it was taken up, and there is no record');
    }

    private function anotherConnection(): PDO
    {
        $c = config('database.connections.mariadb');

        return new PDO("mysql:host={$c['host']};port={$c['port']};dbname={$c['database']}", $c['username'], $c['password']);
    }

    public function test_the_page_of_zones_is_made_by_one_worker_at_a_time(): void
    {
        $other = $this->anotherConnection();
        $take = 'SELECT GET_LOCK('.$other->quote(DB::getDatabaseName().'-home').', 0)';
        $got = [];
        DB::listen(static function (QueryExecuted $query) use ($other, $take, &$got): void {
            if (str_contains($query->sql, 'from `zones`')) {
                $got[] = (int) $other->query($take)->fetchColumn();
            }
        });
        app(PublicSite::class)->home();
        self::assertNotSame([], $got);
        self::assertSame([0], array_values(array_unique($got)), 'while it reads the zones, nobody else may begin');
        self::assertSame(1, (int) $other->query($take)->fetchColumn());
    }

    public function test_whoever_cannot_have_the_lock_is_told_to_try_again(): void
    {
        DB::commit(); // so another connection sees the zone
        $other = $this->anotherConnection();
        $other->beginTransaction();
        $other->query('SELECT id FROM zones FOR UPDATE');
        DB::statement('SET SESSION innodb_lock_wait_timeout = 1');
        try {
            $this->postJson('/api/zones/test-basin/log-entries', [
                'sent_at' => 1,
                'by' => 'desk',
                'entries' => [['key' => 'lock-note', 'act' => 'note', 'on' => '2012-01-01', 'text' => 'A note.', 'written_at' => 1]],
            ])
                ->assertStatus(503)
                ->assertHeader('Retry-After', '5')
                ->assertJsonPath('message', 'The server is busy with another change here. Nothing was saved. Try again in a few seconds.');
        } finally {
            $other->rollBack();
            DB::statement('SET SESSION innodb_lock_wait_timeout = 50');
            Zone::query()->delete();
            User::query()->delete();
            DB::beginTransaction();
        }
    }

    public function test_a_change_is_computed_even_if_a_worker_took_up_the_last_one_in_the_meantime(): void
    {
        Queue::fake();
        $queue = app(QueueComputation::class);
        $zone = $this->zone();
        $taken = $queue->changed($zone, null, null);
        DB::commit(); // so another connection sees them
        $worker = $this->anotherConnection();
        $worker->setAttribute(PDO::ATTR_ERRMODE, PDO::ERRMODE_EXCEPTION);
        $worker->exec('SET SESSION innodb_lock_wait_timeout = 1');
        $takeUp = "UPDATE computations SET state = 'running' WHERE id = ";
        DB::beginTransaction();
        try {
            self::assertSame(ComputationState::Queued, $taken->refresh()->state);
            $worker->exec($takeUp.$taken->id);
            $waits = $queue->changed($zone, null, null);
            self::assertNotSame($taken->id, $waits->id, 'the worker may have read everything before this change');
            self::assertSame($waits->id, $queue->changed($zone, null, null)->id);
            DB::commit();
            DB::beginTransaction();
            self::assertTrue($queue->changed($zone, null, null)->is($waits));
            try {
                $worker->exec($takeUp.$waits->id);
                self::fail('a worker took it up before the change was saved');
            } catch (PDOException $refused) {
                self::assertStringContainsString('Lock wait timeout', $refused->getMessage());
            }
        } finally {
            DB::rollBack();
            Computation::query()->delete();
            Zone::query()->delete();
            User::query()->delete();
            DB::beginTransaction();
        }
    }

    public function test_what_a_killed_worker_left_behind_is_taken_up_again_at_once(): void
    {
        Queue::fake();
        $computation = app(QueueComputation::class)->execute($this->zone(), null);
        $computation->update(['state' => ComputationState::Running]);
        $often = array_filter(app(Schedule::class)->events(), static fn (Scheduled $e): bool => $e->isRepeatable());
        self::assertCount(1, $often);
        $resume = $often[array_key_first($often)];
        self::assertSame([5, '* * * * *'], [$resume->repeatSeconds, $resume->expression]);
        $resume->run(app());
        Queue::assertPushed(ComputeZoneJob::class, 2);
        $lock = NamedLock::take(ComputeZoneJob::lockOf($this->zone()->id));
        self::assertNotNull($lock);
        $lock->release();
        self::assertGreaterThan(
            600,
            config('queue.connections.database.retry_after'),
            'while work that its worker still does is never given to another',
        );
    }

    public function test_a_volunteer_cannot_flood_the_queue(): void
    {
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        Queue::fake();
        $this->actingAs($this->person(Role::Volunteer));
        $sites = Site::query()->pluck('id');
        $before = Computation::query()->count();
        $answers = [];
        for ($i = 0; $i < 60; $i++) {
            $answers[] = $this->postJson('/api/zones/test-basin/computations', ['site' => $sites[$i % 2]])->getStatusCode();
        }
        self::assertSame(2, Computation::query()->count() - $before, 'what waits already is not queued again');
        self::assertSame([202, 429], [$answers[0], $answers[59]]);
    }

    public function test_a_stale_zone_form_undoes_nothing(): void
    {
        $opened = $this->getJson('/api/zones/test-basin')->json('data.version');
        $this->editZone(['height_m' => 520] + $this->zoneValues())
            ->assertOk()
            ->assertJsonPath('data.version', $opened + 1);
        $stale = $this->patchJson('/api/zones/test-basin', ['version' => $opened, 'district' => 'Other'] + $this->zoneValues());
        $stale->assertStatus(409)->assertJsonPath('changed.0', [
            'field' => 'height_m',
            'was' => 410,
            'is' => 520,
            'by' => 'Educator',
            'at' => $stale->json('changed.0.at'),
        ]);
        self::assertSame([520, 'Kestrel Basin'], [$this->zone()->height_m, $this->zone()->district]);
        $this->patchJson('/api/zones/test-basin', $this->zoneValues())->assertUnprocessable()->assertJsonValidationErrorFor('version');
    }

    public function test_two_edits_of_one_crop_do_not_lose_one(): void
    {
        $edit = fn (array $cells, int $version) => $this->patchJson('/api/crops/radish', [
            'cells' => $cells,
            'note' => 'x',
            'version' => $version,
        ]);
        $edit(['maturity_days' => '31'], 1)->assertOk();
        $edit(['harvest_days' => '12'], 1)
            ->assertStatus(409)
            ->assertJsonPath('changed.0.field', 'maturity_days')
            ->assertJsonPath('changed.0.is', '31');
        $edit(['harvest_days' => '12'], 2)
            ->assertOk()
            ->assertJsonPath('data.cells.maturity_days', '31');
        $variety = $this->postJson('/api/crops/radish/varieties', ['name' => 'A', 'cells' => [], 'tags' => []])->json(
            'data.varieties.0.id',
        );
        $change = fn (string $name, int $version) => $this->putJson("/api/crops/radish/varieties/{$variety}", [
            'name' => $name,
            'cells' => [],
            'tags' => [],
            'version' => $version,
        ]);
        $change('B', 1)->assertOk();
        $change('C', 1)->assertStatus(409);
        $site = Site::query()->where('name', 'raised bed')->firstOrFail();
        $values = ['name' => 'raised bed', 'air' => 0, 'sun' => 6, 'rate' => 1, 'protection' => 0, 'offset' => 0, 'note' => null];
        $this->patchJson("/api/sites/{$site->id}", $values + ['version' => 1])->assertOk();
        $this->patchJson("/api/sites/{$site->id}", ['sun' => 1] + $values + ['version' => 1])->assertStatus(409);
    }

    public function test_the_database_itself_holds_no_two_sites_of_every_zone_with_one_name(): void
    {
        $values = ['name' => 'roof', 'air' => 1, 'sun' => 3, 'rate' => 1, 'protection' => 0, 'offset' => 0, 'note' => ''];
        Site::query()->create($values);
        $this->expectException(UniqueConstraintViolationException::class);
        Site::query()->create($values);
    }

    /** @param  array<string, string>  $meanwhile */
    #[TestWith([['slug' => 'another', 'name' => 'Twin'], 422, 'There already is a zone with this name. Choose another name.'])]
    #[
        TestWith([
            ['slug' => 'twin', 'name' => 'Another'],
            503,
            'Somebody did the same at this moment. Nothing was changed. Try again in a few seconds.',
        ]),
    ]
    public function test_which_of_two_things_clashed_is_said(array $meanwhile, int $status, string $message): void
    {
        Zone::saving(static function () use ($meanwhile): void {
            DB::table('zones')->insertOrIgnore(
                $meanwhile + [
                    'office_id' => DB::table('offices')->value('id'),
                    'district' => 'D',
                    'latitude' => 46,
                    'longitude' => -98,
                    'height_m' => 1,
                ],
            );
        });
        $answer = $this->postJson('/api/zones', $this->zoneValues('Twin'))->assertStatus($status)->assertJsonPath('message', $message);
        self::assertSame($status === 422 ? ['name'] : [], array_keys($answer->json('errors') ?? []));
        Event::forget('eloquent.saving: '.Zone::class);
        $this->postJson('/api/zones', $this->zoneValues('Twin'))->assertCreated();
    }

    public function test_every_name_that_may_clash_is_one_the_database_holds_unique(): void
    {
        $keys = array_column(
            DB::select(
                'SELECT DISTINCT index_name AS name FROM information_schema.statistics WHERE table_schema = DATABASE() AND non_unique = 0',
            ),
            'name',
        );
        self::assertSame([], array_values(array_diff(array_keys(Clash::NAMES), $keys)));
    }

    public function test_publishing_twice_makes_one_edition(): void
    {
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $first = $this->publish('Once.', ['key' => 'the-same-click'])
            ->assertStatus(202)
            ->json('data.id');
        self::assertSame(
            $first,
            $this->publish('Once.', ['key' => 'the-same-click'])
                ->assertStatus(202)
                ->json('data.id'),
        );
        self::assertSame([1, 1], [Edition::query()->count(), Publication::query()->count()]);
        $this->publish('Again.')
            ->assertUnprocessable()
            ->assertJsonPath('errors.unchanged.0', 'Nothing has changed since edition 1: every window is the same.');
        $this->publish('All the same.', ['even_unchanged' => true])
            ->assertStatus(202)
            ->assertJsonPath('data.edition.number', 2);
    }

    public function test_an_edition_is_in_force_when_its_pages_are_there(): void
    {
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        Queue::fake();
        $this->publish()->assertStatus(202)->assertJsonPath('data.state', 'queued')->assertJsonPath('data.edition.in_force', false);
        $this->get('/zones/test-basin')->assertNotFound();
        $this->get('/zones/test-basin/editions/1')->assertNotFound();
        $this->publish('Impatient.')
            ->assertUnprocessable()
            ->assertJsonPath('errors.zone.0', 'Edition 1 is being published. Wait until it is current.');
        app()->call((new \App\Gardener\RenderEditionJob(Edition::query()->value('id')))->handle(...));
        $publication = $this->getJson('/api/publications/'.Publication::query()->value('id'))
            ->assertOk()
            ->json('data');
        self::assertSame(['done', true], [$publication['state'], $publication['edition']['in_force']]);
        self::assertSame($publication['total'], $publication['done']);
        $this->get('/zones/test-basin')->assertOk();
    }

    public function test_a_moved_zone_is_stale_at_once_and_not_published_until_it_is_computed(): void
    {
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $this->getJson('/api/zones/test-basin')->assertJsonPath('data.stale', false);
        Queue::fake();
        $this->editZone(['latitude' => -47.45] + $this->zoneValues())
            ->assertOk()
            ->assertJsonPath('data.stale', true)
            ->assertJsonPath('data.computation.state', 'queued');
        $this->publish()
            ->assertUnprocessable()
            ->assertJsonPath('errors.zone.0', 'The windows are being updated. Wait until that is done, check them, then publish.');
        $this->deleteJson('/api/computations/'.Computation::query()->max('id'))->assertOk();
        $this->publish()
            ->assertUnprocessable()
            ->assertJsonFragment([
                'message' => 'The last update was canceled, so the windows are out of date. Update the zone first.',
            ]);
        self::assertSame(0, Edition::query()->count());
        $this->editZone(['district' => 'A name moves nothing', 'latitude' => -47.45] + $this->zoneValues())->assertOk();
        self::assertSame(0, Computation::query()->where('state', ComputationState::Queued)->count());
    }

    public function test_after_a_failed_computing_the_reason_is_said_and_nothing_is_published(): void
    {
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->textFile("date,tmin_c,tmax_c\n2024-02-28,1,2\n")],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $this->getJson('/api/zones/test-basin')->assertJsonPath('data.computation.state', 'failed')->assertJsonPath('data.stale', true);
        self::assertStringContainsString('no complete cold season', $this->publish()->assertUnprocessable()->json('errors.zone.0'));
    }

    public function test_a_file_sent_twice_is_kept_once(): void
    {
        $send = fn () => $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile(), 'to_station' => 'new', 'key' => 'one-and-the-same'],
            ['Accept' => 'application/json'],
        )
            ->assertStatus(202)
            ->json('data.id');
        self::assertSame($send(), $send());
        self::assertSame(1, DB::table('stations')->count());
    }
}
