<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A planting can stand between the rows of another, or of what is sown already. */
return new class extends Migration
{
    public function up(): void
    {
        // As the bed tells what stands on it: "planting 12", or "sowing" and the key of its line in the log.
        Schema::table('plantings', static fn (Blueprint $table) => $table->string('between', 80)->nullable()->after('metres'));
    }

    public function down(): void
    {
        Schema::table('plantings', static fn (Blueprint $table) => $table->dropColumn('between'));
    }
};
