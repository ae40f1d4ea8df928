<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Keys of requests and secret tokens are compared letter by letter, and a key knows what was saved with it. */
return new class extends Migration
{
    private const KEYED = [
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

    /** Table, column, definition. */
    private const EXACT = [
        ['letter_readers', 'token', 'varchar(64) NOT NULL'],
        ['users', 'feed_token', 'varchar(48) NULL'],
        ['station_devices', 'token_hash', 'char(64) NOT NULL'],
    ];

    public function up(): void
    {
        foreach (self::KEYED as $table) {
            $null = $table === 'record_imports' ? 'NULL' : 'NOT NULL';
            DB::statement("ALTER TABLE {$table} MODIFY sent_as varchar(64) CHARACTER SET ascii COLLATE ascii_bin {$null}");
            if ($table !== 'sowings') {
                // a planting's key is that of its first entry
                Schema::table(
                    $table,
                    static fn (Blueprint $columns) => $columns
                        ->char('sent_hash', 64)
                        ->charset('ascii')
                        ->collation('ascii_bin')
                        ->nullable()
                        ->after('sent_as'),
                );
            }
        }
        foreach (self::EXACT as [$table, $column, $definition]) {
            [$type, $null] = explode(' ', $definition, 2);
            DB::statement("ALTER TABLE {$table} MODIFY {$column} {$type} CHARACTER SET ascii COLLATE ascii_bin {$null}");
        }
    }

    public function down(): void
    {
        foreach (self::KEYED as $table) {
            $null = $table === 'record_imports' ? 'NULL' : 'NOT NULL';
            DB::statement("ALTER TABLE {$table} MODIFY sent_as varchar(64) CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci {$null}");
            if ($table !== 'sowings') {
                Schema::table($table, static fn (Blueprint $columns) => $columns->dropColumn('sent_hash'));
            }
        }
        foreach (self::EXACT as [$table, $column, $definition]) {
            [$type, $null] = explode(' ', $definition, 2);
            DB::statement("ALTER TABLE {$table} MODIFY {$column} {$type} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci {$null}");
        }
    }
};
