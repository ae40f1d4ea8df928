<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Sheets hold what else a crop is called: what was computed before is put aside, and computed again when the application starts. */
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
