<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a person gets for a kilogram, or a stem, of a crop. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('prices', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('crop_id')->constrained()->cascadeOnDelete();
            $table->decimal('price', 10, 2);
            $table->timestamps();
            $table->unique(['user_id', 'crop_id']);
        });
    }

    public function down(): void
    {
        Schema::drop('prices');
    }
};
