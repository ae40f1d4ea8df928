<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Trials, indicator plants, and local days to maturity. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('trials', static function (Blueprint $table): void {
            $table->id();
            $table->string('sent_as', 64)->unique();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('crop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('route', 12);
            $table->string('measured_in', 12);
            $table->string('question', 300);
            $table->string('conclusion', 600)->nullable();
            $table->date('closed_on')->nullable();
            $table->string('closed_by')->nullable();
            $table->timestamps();
            $table->index(['zone_id', 'crop_id']);
        });
        Schema::create('trial_plots', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('trial_id')->constrained()->cascadeOnDelete();
            $table->foreignId('bed_id')->nullable()->constrained()->nullOnDelete();
            $table->string('wave', 60);
            $table->string('variety', 80)->nullable();
            $table->unsignedTinyInteger('repeat');
            $table->date('planned_on');
            $table->json('expected')->nullable();
            $table->timestamps();
        });
        Schema::table('sowings', static function (Blueprint $table): void {
            $table->foreignId('trial_plot_id')->nullable()->after('bed_id')->constrained()->nullOnDelete();
        });
        Schema::create('cue_plants', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->string('stage', 80);
            $table->string('note', 300)->nullable();
            $table->timestamps();
            $table->unique(['name', 'stage']);
        });
        Schema::create('local_days', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('crop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('variety', 80)->nullable();
            $table->string('route', 12);
            $table->double('packet_days');
            $table->double('days');
            $table->unsignedInteger('sowings');
            $table->double('error_before')->nullable();
            $table->double('error_after')->nullable();
            $table->timestamp('undone_at')->nullable();
            $table->foreignId('undone_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->index(['zone_id', 'crop_id']);
        });
    }

    public function down(): void
    {
        Schema::drop('local_days');
        Schema::drop('cue_plants');
        Schema::table('sowings', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('trial_plot_id');
        });
        Schema::drop('trial_plots');
        Schema::drop('trials');
    }
};
