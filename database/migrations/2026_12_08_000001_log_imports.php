<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Uploaded tables of log entries, and how far along each is. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('log_imports', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('file', 200);
            $table->char('checksum', 64)->charset('ascii')->collation('ascii_bin');
            $table->string('state', 12);
            $table->unsignedInteger('attempts')->default(0);
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->unsignedInteger('saved')->nullable();
            $table->json('faults')->nullable();
            $table->timestamps();
            $table->index(['state', 'updated_at']);
        });
    }

    public function down(): void
    {
        Schema::drop('log_imports');
    }
};
