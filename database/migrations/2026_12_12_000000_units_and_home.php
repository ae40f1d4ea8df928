<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** People and offices choose units and a date style; a person has a home zone. Existing offices stay metric. */
return new class() extends Migration
{
    public function up(): void
    {
        Schema::table('offices', static function (Blueprint $table): void {
            $table->string('units', 6)->default('us');
            $table->string('dates', 11)->default('month');
        });
        DB::table('offices')->update(['units' => 'metric', 'dates' => 'day']);
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('units', 6)->nullable();
            $table->string('dates', 11)->nullable();
            $table->foreignId('home_zone_id')->nullable()->constrained('zones')->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('home_zone_id');
            $table->dropColumn(['units', 'dates']);
        });
        Schema::table('offices', static function (Blueprint $table): void {
            $table->dropColumn(['units', 'dates']);
        });
    }
};
