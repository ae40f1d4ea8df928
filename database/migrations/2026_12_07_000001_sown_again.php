<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Crop evidence includes how long a crop with several sowings typically takes, and sheets its seed and stems. Earlier computations are set
 * aside and done again when the application starts.
 */
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
