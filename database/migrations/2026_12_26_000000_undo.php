<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is ended stays for a while, so it can be undone; boundaries know which upload they came with. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('station_devices', static fn (Blueprint $table) => $table->softDeletes());
        Schema::table('personal_access_tokens', static fn (Blueprint $table) => $table->softDeletes());
        Schema::table('zone_boundaries', static fn (Blueprint $table) => $table->string('upload', 64)->nullable()->index());
    }

    public function down(): void
    {
        Schema::table('station_devices', static fn (Blueprint $table) => $table->dropSoftDeletes());
        Schema::table('personal_access_tokens', static fn (Blueprint $table) => $table->dropSoftDeletes());
        Schema::table('zone_boundaries', static fn (Blueprint $table) => $table->dropColumn('upload'));
    }
};
