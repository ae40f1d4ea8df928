<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A zone notes the last day that was begun there, so that each day is begun once. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('zones', static function (Blueprint $table): void {
            $table->date('begun_day')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('zones', static function (Blueprint $table): void {
            $table->dropColumn('begun_day');
        });
    }
};
