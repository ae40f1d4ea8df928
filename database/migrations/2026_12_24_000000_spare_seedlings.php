<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Beside a planned sowing that may fail, seedlings are raised that can take its place. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('plantings', static fn (Blueprint $table) => $table->boolean('spares')->default(false)->after('pinned'));
    }

    public function down(): void
    {
        Schema::table('plantings', static fn (Blueprint $table) => $table->dropColumn('spares'));
    }
};
