<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Seedlings raised beside a planned sowing that may fail, to replace it. */
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
