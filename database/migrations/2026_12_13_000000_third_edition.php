<?php

declare(strict_types=1);

use Anthesis\Tables\CropCsv;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The third edition of the method: windows wait for each crop's own minimum soil temperature unless a zone turns that off, so all zones are
 * computed again; published editions stay as they are. Crops that ship get their numbers for water, which move no date. Numbers that do
 * move dates are offered crop by crop, as always.
 */
return new class extends Migration
{
    private const WATER = ['root_cm', 'depletion', 'kc_end'];

    public function up(): void
    {
        Schema::table('zones', static function (Blueprint $table): void {
            $table->boolean('waits_for_soil')->default(true)->after('light');
        });
        DB::table('computations')
            ->where('state', 'done')
            ->update(['ruler_hash' => null]);
        $shipped = CropCsv::standardRows();
        foreach (DB::table('crops')->get(['id', 'slug', 'cells']) as $crop) {
            $cells = (array) json_decode((string) $crop->cells, true);
            $new = array_diff_key(array_intersect_key($shipped[$crop->slug] ?? [], array_flip(self::WATER)), $cells);
            if ($new !== []) {
                DB::table('crops')
                    ->where('id', $crop->id)
                    ->update(['cells' => json_encode($cells + $new, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)]);
            }
        }
    }

    public function down(): void
    {
        Schema::table('zones', static fn (Blueprint $table) => $table->dropColumn('waits_for_soil'));
    }
};
