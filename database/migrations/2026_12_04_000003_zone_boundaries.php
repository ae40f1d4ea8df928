<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Boundaries of zones, as GeoJSON; earlier ones stay. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('zone_boundaries', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->json('geometry');
            $table->string('author');
            $table->timestamp('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::drop('zone_boundaries');
    }
};
