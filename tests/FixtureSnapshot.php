<?php

declare(strict_types=1);

namespace Tests;

use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/**
 * What tests begin with and do not look at the making of: made by the first of a process, rows and files, and put back for the rest. A
 * zone with an edition takes seconds to publish, and eighty tests read one.
 */
final class FixtureSnapshot
{
    private const DISKS = ['originals', 'photos', 'published'];

    /** Tables no test begins to fill. */
    private const NOT = ['migrations', 'shipped_crops'];

    /** Rows a statement; documents are long. */
    private const ROWS = 20;

    /** @var array<string, array<string, list<array<string, mixed>>>> rows of each table, by what was made */
    private static array $made = [];

    /** Has everything be there that a closure makes, in an empty database. */
    public static function of(string $what, Closure $make): void
    {
        $files = storage_path('framework/testing/made/'.getmypid().'-'.hash('xxh64', $what));
        if (isset(self::$made[$what])) {
            self::putBack(self::$made[$what]);
            self::copy(static fn (string $disk): array => ["{$files}/{$disk}", self::folder($disk)]);

            return;
        }
        $make();
        self::$made[$what] = self::rows();
        File::deleteDirectory($files);
        self::copy(static fn (string $disk): array => [self::folder($disk), "{$files}/{$disk}"]);
        register_shutdown_function(static fn () => exec('rm -rf '.escapeshellarg($files)));
    }

    /** @return array<string, list<array<string, mixed>>> */
    private static function rows(): array
    {
        $rows = [];
        // What the database reckons itself is not put back.
        foreach (
            DB::select(
                "SELECT table_name AS t, column_name AS c FROM information_schema.columns WHERE table_schema = DATABASE() AND is_generated = 'NEVER'",
            ) as $column
        ) {
            $columns[(string) $column->t][] = (string) $column->c;
        }
        foreach (array_diff_key($columns ?? [], array_flip(self::NOT)) as $table => $names) {
            $rows[$table] = DB::table($table)->get($names)->map(static fn (object $row): array => (array) $row)->values()->all();
        }

        return $rows;
    }

    /** @param  array<string, list<array<string, mixed>>>  $made */
    private static function putBack(array $made): void
    {
        DB::statement('SET FOREIGN_KEY_CHECKS = 0');
        foreach ($made as $table => $rows) {
            DB::table($table)->delete();
            foreach (array_chunk($rows, self::ROWS) as $some) {
                DB::table($table)->insert($some);
            }
        }
        DB::statement('SET FOREIGN_KEY_CHECKS = 1');
    }

    /** @param  Closure(string): array{string, string}  $fromTo  folders, by disk */
    private static function copy(Closure $fromTo): void
    {
        foreach (self::DISKS as $disk) {
            [$from, $to] = $fromTo($disk);
            File::ensureDirectoryExists($to);
            // With the links as links, which PHP's own copying follows.
            exec('cp -a '.escapeshellarg("{$from}/.").' '.escapeshellarg($to), result_code: $failed);
            assert($failed === 0);
        }
    }

    private static function folder(string $disk): string
    {
        return rtrim(Storage::disk($disk)->path(''), '/');
    }
}
