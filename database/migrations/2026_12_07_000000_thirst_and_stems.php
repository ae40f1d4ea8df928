<?php

declare(strict_types=1);

use Anthesis\Tables\CropCsv;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Crops that ship get the thirst and stems they did not have; those that were changed keep what they have. */
return new class extends Migration
{
    private const COLUMNS = ['thirst', 'stems_per_plant', 'flower_habit', 'vase_days', 'cut_at'];

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
