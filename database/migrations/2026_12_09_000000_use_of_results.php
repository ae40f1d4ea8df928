<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Results record when they were last used, so those in use are not deleted; a zone has a time zone, and so a date of its own. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('results', static function (Blueprint $table): void {
            $table->timestamp('used_at')->useCurrent();
            $table->index(['kind', 'used_at']);
        });
        Schema::table('zones', static function (Blueprint $table): void {
            $table->string('time_zone', 64)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('results', static function (Blueprint $table): void {
            $table->dropIndex(['kind', 'used_at']);
            $table->dropColumn('used_at');
        });
        Schema::table('zones', static function (Blueprint $table): void {
            $table->dropColumn('time_zone');
        });
    }
};
