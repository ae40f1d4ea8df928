<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Answers to a draft's warnings when it was published, and comments on a draft, crop by crop. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('publications', static function (Blueprint $table): void {
            $table->json('answers')->nullable();
        });
        Schema::create('objections', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->string('sent_as', 64)->unique();
            $table->string('crop', 60);
            $table->text('text');
            $table->string('author');
            $table->text('answer')->nullable();
            $table->string('answered_by')->nullable();
            $table->timestamp('answered_at')->nullable();
            $table->foreignId('edition_id')->nullable()->constrained();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::drop('objections');
        Schema::table('publications', static fn (Blueprint $table) => $table->dropColumn('answers'));
    }
};
