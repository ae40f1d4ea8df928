<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The ground of a growing site, by the water it holds; it moves no date. */
return new class extends Migration
{
    /** Sites that ship and are filled with a mix. */
    private const FILLED = ['raised bed', 'container'];

    public function up(): void
    {
        Schema::table('sites', static function (Blueprint $table): void {
            $table->string('ground', 20)->default('loam')->after('offset');
        });
        DB::table('sites')
            ->where('preset', true)
            ->whereIn('name', self::FILLED)
            ->update(['ground' => 'bed mix']);
    }

    public function down(): void
    {
        Schema::table('sites', static fn (Blueprint $table) => $table->dropColumn('ground'));
    }
};
