<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** People are invited, come and go, and log in from several places, some with a second step. */
return new class extends Migration
{
    private const OF_USERS = [
        'deactivated_at',
        'removed_at',
        'new_email',
        'new_email_token',
        'new_email_until',
        'totp_secret',
        'totp_since',
        'totp_step',
        'recovery_codes',
    ];

    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->timestamp('deactivated_at')->nullable();
            $table->timestamp('removed_at')->nullable();
            $table->string('new_email', 190)->nullable();
            $table->char('new_email_token', 64)->nullable()->unique();
            $table->timestamp('new_email_until')->nullable();
            $table->text('totp_secret')->nullable();
            $table->timestamp('totp_since')->nullable();
            $table->unsignedBigInteger('totp_step')->default(0);
            $table->text('recovery_codes')->nullable();
        });
        Schema::create('invitations', static function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('email', 190);
            $table->string('role', 20);
            $table->char('token', 64)->unique();
            $table->foreignId('invited_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('expires_at');
            $table->timestamp('used_at')->nullable();
            $table->timestamp('withdrawn_at')->nullable();
            $table->timestamps();
        });
        Schema::create('logins', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('device', 120);
            $table->timestamp('started_at')->useCurrent();
            $table->timestamp('seen_at')->useCurrent();
            $table->timestamp('ended_at')->nullable();
            $table->index(['user_id', 'ended_at']);
        });
        Schema::create('password_reset_tokens', static function (Blueprint $table): void {
            $table->string('email', 190)->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
        Schema::table('offices', static fn (Blueprint $table) => $table->boolean('second_factor')->default(false));
    }

    public function down(): void
    {
        Schema::table('offices', static fn (Blueprint $table) => $table->dropColumn('second_factor'));
        foreach (['password_reset_tokens', 'logins', 'invitations'] as $name) {
            Schema::drop($name);
        }
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn(self::OF_USERS));
    }
};
