<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', static function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->unique();
            $table->string('password');
            $table->string('role', 20);
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('zones', static function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 80)->unique();
            $table->string('name', 80)->unique();
            $table->string('district', 80);
            $table->double('latitude');
            $table->double('longitude');
            $table->integer('height_m');
            $table->timestamps();
        });
        Schema::create('settlements', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80)->index();
            $table->string('postcode', 12)->nullable()->index();
        });
        Schema::create('stations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            // 1 is the zone's primary station; the next ones fill gaps, in order.
            $table->unsignedSmallInteger('rank')->default(1);
            $table->foreignId('record_id')->nullable();
            $table->timestamps();
            $table->unique(['zone_id', 'rank']);
        });
        Schema::create('record_imports', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('station_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('file');
            $table->unsignedBigInteger('bytes');
            $table->char('checksum', 64);
            $table->json('choices');
            $table->string('state', 20);
            $table->unsignedInteger('rows')->default(0);
            $table->unsignedInteger('refused_count')->default(0);
            $table->unsignedInteger('marks_count')->default(0);
            $table->json('update_counts')->nullable();
            $table->timestamps();
        });
        // A record is never changed: an import makes a new one, and the station points at the one in use.
        Schema::create('records', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('station_id')->constrained()->cascadeOnDelete();
            $table->foreignId('record_import_id')->constrained()->cascadeOnDelete();
            $table->date('first_day');
            $table->date('last_day');
            // Gzipped JSON: minima and maxima as read (°C, null missing), and the marks of quality control.
            $table->binary('series');
            $table->char('checksum', 64);
            $table->timestamps();
        });
        DB::statement('ALTER TABLE records MODIFY series MEDIUMBLOB NOT NULL');
        // Computed results, under a fingerprint of everything they were computed from.
        Schema::create('results', static function (Blueprint $table): void {
            $table->char('hash', 64)->primary();
            $table->string('kind', 20);
            $table->longText('payload');
            $table->timestamp('created_at')->useCurrent();
        });
        Schema::create('computations', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('record_import_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('record_id')->nullable();
            $table->string('state', 20)->index();
            $table->string('step', 120)->default('');
            $table->unsignedSmallInteger('done')->default(0);
            $table->unsignedSmallInteger('total')->default(0);
            $table->text('error')->nullable();
            $table->json('method')->nullable();
            $table->char('ruler_hash', 64)->nullable();
            $table->char('climate_hash', 64)->nullable();
            $table->json('sheet_hashes')->nullable();
            $table->timestamp('finished_at', 3)->nullable();
            $table->timestamps();
        });
        // An edition never changes: corrections are new editions.
        Schema::create('editions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('number');
            $table->date('published_on');
            $table->string('published_by');
            $table->text('note');
            $table->longText('document');
            $table->char('checksum', 64);
            $table->timestamp('created_at')->useCurrent();
            $table->unique(['zone_id', 'number']);
        });
    }

    public function down(): void
    {
        foreach (
            ['editions', 'computations', 'results', 'records', 'record_imports', 'stations', 'settlements', 'zones', 'users'] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
