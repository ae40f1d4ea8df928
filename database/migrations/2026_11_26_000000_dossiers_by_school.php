<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Dossiers hold their windows by school: what was computed before is put aside, and computed again by the seeder. */
return new class extends Migration
{
    public function up(): void
    {
        DB::table('computations')
            ->where('state', 'done')
            ->update(['ruler_hash' => null]);
    }

    public function down(): void
    {
        $this->up();
    }
};
