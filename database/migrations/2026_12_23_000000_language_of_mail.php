<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** People choose the language of their e-mails. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->string('language', 8)->nullable());
    }

    public function down(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('language'));
    }
};
