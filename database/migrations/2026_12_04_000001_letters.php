<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Subscribers of a zone's newsletter; and mail that was not sent because no mail server is set up. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('letter_readers', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->string('mail', 200);
            $table->string('reading', 12)->default('');
            $table->json('crops')->nullable();
            $table->string('token', 64)->unique();
            $table->timestamp('confirmed_at')->nullable();
            $table->date('sent_for')->nullable();
            $table->timestamps();
            $table->unique(['zone_id', 'mail']);
        });
        Schema::create('outbox', static function (Blueprint $table): void {
            $table->id();
            $table->string('recipient', 200);
            $table->string('subject');
            $table->mediumText('message');
            $table->timestamp('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::drop('letter_readers');
        Schema::drop('outbox');
    }
};
