<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who wants an e-mail each morning about what needs attention; and the day of the last one. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->boolean('digest')->default(false);
            $table->date('digest_for')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn(['digest', 'digest_for']));
    }
};
