<?php

declare(strict_types=1);

use Anthesis\Record\StationSeries;
use Anthesis\Soil\Site as SoilSite;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('stations', static function (Blueprint $table): void {
            // Null: set aside, kept and not used.
            $table->unsignedSmallInteger('rank')->nullable()->change();
            // Null: treated as at the zone's elevation.
            $table->integer('height_m')->nullable()->after('rank');
            $table->double('lapse')->default(StationSeries::LAPSE)->after('height_m');
            $table->boolean('matched')->default(true)->after('lapse');
        });
        Schema::table('zones', static function (Blueprint $table): void {
            // Latest years to use; null: all.
            $table->unsignedSmallInteger('years')->nullable();
        });
        Schema::table('computations', static function (Blueprint $table): void {
            $table->json('record')->nullable()->after('record_id');
        });
        DB::statement("UPDATE computations c JOIN records r ON r.id = c.record_id JOIN stations s ON s.id = r.station_id
            SET c.record = JSON_OBJECT('station', s.name, 'first', DATE_FORMAT(r.first_day, '%Y-%m-%d'),
                'last', DATE_FORMAT(r.last_day, '%Y-%m-%d'), 'checksum', r.checksum)");
        Schema::table('computations', static fn (Blueprint $table) => $table->dropColumn('record_id'));
        Schema::create('sites', static function (Blueprint $table): void {
            $table->id();
            // Null: a site for every zone.
            $table->foreignId('zone_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->double('air');
            $table->double('sun');
            $table->double('rate');
            $table->double('protection');
            $table->double('offset')->default(0);
            $table->string('note', 500)->default('');
            $table->boolean('preset')->default(false);
            $table->timestamps();
            $table->unique(['zone_id', 'name']);
        });
        foreach (SoilSite::presets() as $site) {
            DB::table('sites')->insert([
                'name' => $site->name,
                'air' => $site->air,
                'sun' => $site->sun,
                'rate' => $site->rate,
                'protection' => $site->protection,
                'preset' => true,
                'created_at' => now(),
                'updated_at' => now(),
            ]);
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('sites');
        Schema::table('computations', static function (Blueprint $table): void {
            $table->foreignId('record_id')->nullable();
            $table->dropColumn('record');
        });
        Schema::table('zones', static fn (Blueprint $table) => $table->dropColumn('years'));
        Schema::table('stations', static fn (Blueprint $table) => $table->dropColumn(['height_m', 'lapse', 'matched']));
    }
};
