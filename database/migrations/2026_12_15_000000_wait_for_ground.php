<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A zone may have its windows wait until open ground can be worked; none does until somebody turns it on. Crop evidence now includes water,
 * so all zones are computed again; published editions stay as they are.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('zones', static function (Blueprint $table): void {
            $table->boolean('waits_for_ground')->default(false)->after('waits_for_soil');
        });
        DB::table('computations')
            ->where('state', 'done')
            ->update(['ruler_hash' => null]);
    }

    public function down(): void
    {
        Schema::table('zones', static fn (Blueprint $table) => $table->dropColumn('waits_for_ground'));
    }
};
