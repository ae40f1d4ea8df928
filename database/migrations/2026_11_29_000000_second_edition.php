<?php

declare(strict_types=1);

use Anthesis\Crop\CropSchema;
use Anthesis\Tables\CropCsv;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Chances, remedies, and varieties are part of results, and the crop table that ships is kept as each crop last accepted or declined it.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::table('computations')
            ->where('state', 'done')
            ->update(['ruler_hash' => null]);
        Schema::create('shipped_crops', static function (Blueprint $table): void {
            $table->string('slug', 60)->primary();
            $table->json('cells');
        });
        // A crop that matches the table has nothing to accept. Others in the book may come from an older table, or from an educator.
        foreach (CropCsv::standardRows() as $slug => $shipped) {
            $kept = DB::table('crops')->where('slug', $slug)->value('cells');
            if ($kept !== null && CropSchema::complete((array) json_decode($kept, true)) == $shipped) {
                DB::table('shipped_crops')->insert([
                    'slug' => $slug,
                    'cells' => json_encode($shipped, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                ]);
            }
        }
    }

    public function down(): void
    {
        Schema::drop('shipped_crops');
    }
};
