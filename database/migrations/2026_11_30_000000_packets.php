<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The crops a person has seed of. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('packets', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('crop_id')->constrained()->cascadeOnDelete();
            $table->unique(['user_id', 'crop_id']);
        });
    }

    public function down(): void
    {
        Schema::drop('packets');
    }
};
