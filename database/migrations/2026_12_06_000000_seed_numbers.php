<?php

declare(strict_types=1);

use Anthesis\Tables\CropCsv;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Crops that ship get the seed numbers and heights they did not have; those that were changed keep what they have. */
return new class extends Migration
{
    private const COLUMNS = ['seeds_per_station', 'thinned_to', 'germination', 'seeds_per_gram', 'height_cm'];

    public function up(): void
    {
        $shipped = CropCsv::standardRows();
        foreach (DB::table('crops')->get(['id', 'slug', 'cells']) as $crop) {
            $cells = (array) json_decode((string) $crop->cells, true);
            $new = array_diff_key(array_intersect_key($shipped[$crop->slug] ?? [], array_flip(self::COLUMNS)), $cells);
            if ($new !== []) {
                DB::table('crops')
                    ->where('id', $crop->id)
                    ->update(['cells' => json_encode($cells + $new, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)]);
            }
        }
    }

    public function down(): void
    {
        // Columns the program does not know are ignored.
    }
};
