<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crops\Crop;
use App\Editions\Edition;
use App\Log\LogEntry;
use App\Office\Office;
use App\Operations\OfficeInUse;
use App\People\Change;
use App\People\ChangeChain;
use App\People\Membership;
use App\People\Role;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/**
 * The database of an earlier release, as it was dumped then (tests/fixtures/releases), becomes one of this release, and nothing is lost. A
 * dump has an office with a published zone, people who came and went, a log, a trial, a token, and a sealed trail; not the results, which
 * are computed again.
 */
final class ReleaseUpdateTest extends TestCase
{
    private const DATABASE = 'anthesis_test_release';

    /** What no update carries over unchanged: the list of migrations, and what is made from people. */
    private const MADE_ANEW = ['migrations', 'memberships'];

    protected function tearDown(): void
    {
        DB::connection('mariadb')->statement('DROP DATABASE IF EXISTS '.self::DATABASE);
        parent::tearDown();
    }

    private function load(string $release): void
    {
        $config = config('database.connections.mariadb');
        DB::connection('mariadb')->statement('DROP DATABASE IF EXISTS '.self::DATABASE);
        DB::connection('mariadb')->statement('CREATE DATABASE '.self::DATABASE);
        $client = proc_open(
            [
                'mariadb',
                '--no-defaults',
                "--host={$config['host']}",
                "--port={$config['port']}",
                "--user={$config['username']}",
                self::DATABASE,
            ],
            [0 => ['pipe', 'r'], 1 => ['file', '/dev/null', 'w'], 2 => ['pipe', 'w']],
            $pipes,
            null,
            ['MYSQL_PWD' => $config['password']] + getenv(),
        );
        self::assertIsResource($client);
        fwrite($pipes[0], (string) gzdecode((string) file_get_contents(base_path("tests/fixtures/releases/{$release}.sql.gz"))));
        fclose($pipes[0]);
        $said = stream_get_contents($pipes[2]);
        self::assertSame(0, proc_close($client), (string) $said);
        config(['database.connections.release' => ['database' => self::DATABASE] + $config]);
    }

    /** @return array<string, list<array<string, mixed>>> rows by table and in order */
    private static function rows(): array
    {
        $rows = [];
        foreach (DB::connection('release')->select('SHOW FULL TABLES WHERE Table_type = "BASE TABLE"') as $table) {
            $name = (string) array_values((array) $table)[0];
            $rows[$name] = DB::connection('release')->table($name)->get()->map(static fn (object $row): array => (array) $row)->all();
        }

        return $rows;
    }

    public function test_a_release_of_one_office_becomes_one_of_several_and_nothing_is_lost(): void
    {
        $this->load('2026-11-30');
        $before = self::rows();
        self::assertGreaterThan(30, count(array_filter($before)), 'the dump has little in it');
        self::assertSame(0, Artisan::call('migrate', ['--database' => 'release', '--force' => true]), Artisan::output());
        $after = self::rows();
        foreach (array_diff_key($before, array_flip(self::MADE_ANEW)) as $table => $rows) {
            self::assertCount(count($rows), $after[$table], $table);
            foreach ($rows as $i => $row) {
                $left = array_diff_key($row, ['role' => 1, 'deactivated_at' => 1]);
                self::assertSame($left, array_intersect_key($after[$table][$i], $left), "{$table}, row {$i}");
            }
        }

        config(['database.default' => 'release']);
        $office = Office::query()->sole();
        self::assertSame(['Release Office', 'release-office', 'leaf'], [$office->name, $office->slug, $office->mark->value]);
        foreach ($before['users'] as $user) {
            $held = Membership::query()->where('user_id', $user['id'])->first();
            if ($user['removed_at'] !== null) {
                self::assertNull($held, 'who was removed works nowhere');
            } else {
                self::assertSame($user['role'], $held?->role->value);
                self::assertSame($user['deactivated_at'] === null, $held?->isActive());
            }
        }
        self::assertSame(1, Membership::query()->whereNotNull('deactivated_at')->count());
        // Every row that can belong to an office belongs to this one.
        OfficeInUse::within($office->id, static function () use ($before): void {
            self::assertSame(count($before['changes']), Change::query()->count());
            self::assertSame(count($before['crops']), Crop::query()->count());
            self::assertSame(count($before['log_entries']), LogEntry::query()->count());
            self::assertTrue(Edition::query()->sole()->isSound());
        });
        self::assertSame([], app(ChangeChain::class)->faults(), 'the trail of the old release is still sealed');
        app(ChangeChain::class)->seal();
        self::assertSame([], app(ChangeChain::class)->faults());
        try {
            DB::table('changes')
                ->limit(1)
                ->update(['act' => 'nothing']);
            self::fail('a change can be changed');
        } catch (QueryException $e) {
            self::assertStringContainsString('What was changed is not changed again.', $e->getMessage());
        }
        $administrator = User::query()->whereRelation('memberships', 'role', Role::Administrator)->sole();
        $this->actingAs($administrator)->getJson('/api/people')->assertOk()->assertJsonPath('data.people.0.role', 'administrator');
        self::assertSame([Zone::query()->sole()->slug], array_column($this->getJson('/api/zones')->assertOk()->json('data'), 'slug'));

        config(['database.default' => 'mariadb']);
        self::assertSame(
            0,
            Artisan::call('migrate:rollback', [
                '--database' => 'release',
                '--step' => count($after['migrations']) - count($before['migrations']),
                '--force' => true,
            ]),
            Artisan::output(),
        );
        foreach (array_diff_key(self::rows(), ['migrations' => 1, 'changes' => 1, 'offices' => 1, 'logins' => 1]) as $table => $rows) {
            self::assertEquals(
                array_map(self::sorted(...), array_map(static fn (array $r): array => array_diff_key($r, ['role' => 1]), $before[$table])),
                array_map(self::sorted(...), array_map(static fn (array $r): array => array_diff_key($r, ['role' => 1]), $rows)),
                "{$table} after going back",
            );
        }
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>
     */
    private static function sorted(array $row): array
    {
        ksort($row);

        return $row;
    }
}
