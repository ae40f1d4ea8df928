<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The demonstration's clock has a date that can be moved. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('demo_clocks', static function (Blueprint $table): void {
            $table->id();
            $table->date('today');
        });
    }

    public function down(): void
    {
        Schema::drop('demo_clocks');
    }
};
