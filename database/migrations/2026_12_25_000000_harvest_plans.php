<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a zone's gardens should produce, week by week, is kept with the zone. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('harvest_plans', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->unique()->constrained()->cascadeOnDelete();
            // [{"crop": slug, "amount": per week, in the crop's own unit}], in the order in which they were added
            $table->json('needs');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('harvest_plans');
    }
};
