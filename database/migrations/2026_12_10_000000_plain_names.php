<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Columns get the names engineers use for such things. Indexes keep their names. */
return new class extends Migration
{
    private const SENT_ONCE = [
        'advisories',
        'log_entries',
        'objections',
        'plantings',
        'publications',
        'record_imports',
        'soil_readings',
        'sowings',
        'trials',
    ];

    private const RENAMED = [
        'log_entries' => ['came_by' => 'source'],
        'zones' => ['inputs' => 'input_revision'],
        'computations' => ['inputs' => 'input_revision'],
    ];

    public function up(): void
    {
        foreach (self::columns() as [$table, $before, $after]) {
            self::rename($table, $before, $after);
        }
    }

    public function down(): void
    {
        foreach (self::columns() as [$table, $before, $after]) {
            self::rename($table, $after, $before);
        }
    }

    /** @return iterable<array{string, string, string}> table, column as it was, and as it is */
    private static function columns(): iterable
    {
        foreach (self::SENT_ONCE as $table) {
            yield [$table, 'sent_as', 'idempotency_key'];
            yield [$table, 'sent_hash', 'idempotency_hash'];
        }
        foreach (self::RENAMED as $table => $columns) {
            foreach ($columns as $before => $after) {
                yield [$table, $before, $after];
            }
        }
    }

    private static function rename(string $table, string $from, string $to): void
    {
        if (Schema::hasColumn($table, $from)) {
            Schema::table($table, static fn (Blueprint $t) => $t->renameColumn($from, $to));
        }
    }
};
