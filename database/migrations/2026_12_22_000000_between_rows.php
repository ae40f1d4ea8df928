<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A planting can grow between the rows of another, or of what is sown already. */
return new class extends Migration
{
    public function up(): void
    {
        // As the bed names what is in it: "planting 12", or "sowing" and the key of its entry in the log.
        Schema::table('plantings', static fn (Blueprint $table) => $table->string('between', 80)->nullable()->after('metres'));
    }

    public function down(): void
    {
        Schema::table('plantings', static fn (Blueprint $table) => $table->dropColumn('between'));
    }
};
