<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** An edition may wait for a second signature or for a date, and may be withdrawn, with the reason. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('editions', static function (Blueprint $table): void {
            $table->date('in_force_from')->nullable();
            $table->boolean('needs_signature')->default(false);
            $table->string('signed_by')->nullable();
            $table->timestamp('signed_at')->nullable();
            $table->boolean('standing')->default(true);
            $table->date('withdrawn_on')->nullable();
            $table->string('withdrawn_by')->nullable();
            $table->text('withdrawn_why')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table(
            'editions',
            static fn (Blueprint $table) => $table->dropColumn([
                'in_force_from',
                'needs_signature',
                'signed_by',
                'signed_at',
                'standing',
                'withdrawn_on',
                'withdrawn_by',
                'withdrawn_why',
            ]),
        );
    }
};
