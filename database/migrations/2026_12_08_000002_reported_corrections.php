<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Values of days already in a station's record that a device reports differently; somebody decides about them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('reported_corrections', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('station_id')->constrained()->cascadeOnDelete();
            $table->string('device', 80);
            $table->date('day');
            $table->string('element', 8);
            $table->double('was');
            $table->double('value');
            $table->boolean('used')->nullable();
            $table->foreignId('decided_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('decided_at')->nullable();
            $table->timestamps();
            $table->index(['station_id', 'decided_at', 'day']);
        });
    }

    public function down(): void
    {
        Schema::drop('reported_corrections');
    }
};
