<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Kept by day, not by record, so a decision outlasts the next import. One that was undone stays, with its date.
        Schema::create('quality_decisions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('station_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->date('day');
            $table->string('element', 10);
            $table->boolean('accepted');
            $table->string('note', 500);
            $table->timestamp('undone_at')->nullable();
            $table->timestamps();
            $table->index(['station_id', 'undone_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('quality_decisions');
    }
};
