<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Beds have a length, a width, and what is planned for them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('beds', static function (Blueprint $table): void {
            $table->double('length_m')->nullable()->after('name');
            $table->double('width_m')->nullable()->after('length_m');
        });
        Schema::create('plantings', static function (Blueprint $table): void {
            $table->id();
            $table->string('sent_as', 64)->unique();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('bed_id')->constrained()->cascadeOnDelete();
            $table->foreignId('crop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('variety', 80)->nullable();
            $table->string('route', 12);
            $table->date('day');
            $table->double('metres');
            $table->boolean('pinned')->default(false);
            $table->timestamp('removed_at')->nullable();
            $table->timestamps();
            $table->index(['zone_id', 'removed_at', 'day']);
        });
    }

    public function down(): void
    {
        Schema::drop('plantings');
        Schema::table('beds', static function (Blueprint $table): void {
            $table->dropColumn(['length_m', 'width_m']);
        });
    }
};
