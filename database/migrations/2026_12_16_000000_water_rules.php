<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The watering rules of the office's district, and the dates they apply. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('offices', static function (Blueprint $table): void {
            $table->string('water_rules', 500)->nullable()->after('licence');
            $table->date('water_rules_from')->nullable()->after('water_rules');
            $table->date('water_rules_until')->nullable()->after('water_rules_from');
        });
    }

    public function down(): void
    {
        Schema::table(
            'offices',
            static fn (Blueprint $table) => $table->dropColumn(['water_rules', 'water_rules_from', 'water_rules_until']),
        );
    }
};
