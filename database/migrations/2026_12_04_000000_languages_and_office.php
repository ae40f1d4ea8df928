<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Translations of what people wrote; and the office that publishes the calendars. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('translations', static function (Blueprint $table): void {
            $table->id();
            $table->string('language', 8);
            $table->char('text_hash', 64);
            $table->text('text');
            $table->text('translation');
            $table->string('author');
            $table->timestamp('created_at')->useCurrent();
            $table->index(['language', 'text_hash']);
        });
        Schema::create('offices', static function (Blueprint $table): void {
            $table->id();
            $table->unsignedInteger('version')->default(1);
            $table->string('name');
            $table->string('mail')->nullable();
            $table->string('phone')->nullable();
            $table->text('address')->nullable();
            $table->text('hours')->nullable();
            $table->string('licence')->nullable();
            $table->boolean('second_signature')->default(false);
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::drop('translations');
        Schema::drop('offices');
    }
};
