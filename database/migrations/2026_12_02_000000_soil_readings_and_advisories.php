<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Spots where soil is measured, the readings taken there, and advisories for a season. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('soil_spots', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('site_id')->nullable()->constrained()->nullOnDelete();
            $table->string('name', 80);
            $table->timestamps();
            $table->unique(['zone_id', 'name']);
        });
        Schema::create('soil_readings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('soil_spot_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('sent_as', 64)->unique();
            $table->date('day');
            $table->double('hour');
            $table->double('depth');
            $table->double('celsius');
            $table->double('within')->nullable();
            $table->json('figures');
            $table->string('source', 12);
            $table->timestamp('withdrawn_at')->nullable();
            $table->foreignId('withdrawn_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->index(['soil_spot_id', 'day']);
        });
        Schema::create('advisories', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->string('sent_as', 64)->unique();
            $table->string('ground', 40)->nullable();
            $table->text('text');
            $table->json('evidence');
            $table->string('author');
            $table->date('published_on');
            $table->date('until');
            $table->date('withdrawn_on')->nullable();
            $table->string('withdrawn_by')->nullable();
            $table->text('withdrawn_why')->nullable();
            $table->timestamps();
            $table->index(['zone_id', 'until']);
        });
    }

    public function down(): void
    {
        Schema::drop('advisories');
        Schema::drop('soil_readings');
        Schema::drop('soil_spots');
    }
};
