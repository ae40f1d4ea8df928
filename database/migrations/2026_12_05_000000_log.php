<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Beds, what is logged in them, and what the entries of a planting add up to. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('beds', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('site_id')->nullable()->constrained()->nullOnDelete();
            $table->string('garden', 80);
            $table->string('name', 80);
            $table->timestamps();
            $table->unique(['zone_id', 'garden', 'name']);
        });
        Schema::create('log_photos', static function (Blueprint $table): void {
            $table->char('checksum', 64)->primary();
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedInteger('bytes');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamp('created_at')->nullable();
        });
        Schema::create('sowings', static function (Blueprint $table): void {
            $table->id();
            $table->string('sent_as', 64)->unique();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('crop_id')->constrained()->cascadeOnDelete();
            $table->string('variety', 80)->nullable();
            $table->foreignId('bed_id')->nullable()->constrained()->nullOnDelete();
            $table->boolean('under_cover')->default(false);
            foreach (['sown_on', 'set_out_on', 'up_on', 'thinned_on', 'first_picked_on', 'last_picked_on', 'lost_on'] as $day) {
                $table->date($day)->nullable();
            }
            $table->string('cause', 12)->nullable();
            $table->double('metres')->nullable();
            $table->double('kilograms')->nullable();
            $table->unsignedInteger('stems')->nullable();
            $table->double('quality')->nullable();
            $table->boolean('taken_back')->default(false);
            $table->date('begun_on');
            $table->date('ended_on')->nullable();
            $table->timestamps();
            $table->index(['zone_id', 'taken_back', 'ended_on', 'begun_on']);
            $table->index(['zone_id', 'crop_id', 'first_picked_on']);
        });
        Schema::create('log_entries', static function (Blueprint $table): void {
            $table->id();
            $table->string('sent_as', 64)->unique();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('sowing_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('crop_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('bed_id')->nullable()->constrained()->nullOnDelete();
            $table->string('act', 16);
            $table->date('day');
            $table->json('told');
            $table->char('photo', 64)->nullable();
            $table->foreignId('corrects_id')->nullable()->constrained('log_entries')->nullOnDelete();
            $table->foreignId('corrected_by')->nullable()->constrained('log_entries')->nullOnDelete();
            $table->boolean('taken_back')->default(false);
            $table->string('came_by', 8);
            $table->dateTime('written_at');
            $table->timestamps();
            $table->index(['zone_id', 'day', 'id']);
            $table->index(['zone_id', 'crop_id', 'day']);
            $table->index(['zone_id', 'bed_id', 'day']);
            $table->index(['zone_id', 'act', 'day']);
        });
    }

    public function down(): void
    {
        Schema::drop('log_entries');
        Schema::drop('sowings');
        Schema::drop('log_photos');
        Schema::drop('beds');
    }
};
