<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** One trail of what people changed, which nothing edits, instead of the edits of some rows; a computation says which change caused it. */
return new class extends Migration
{
    private const VERSIONED = ['beds', 'plantings'];

    public function up(): void
    {
        Schema::create('changes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('zone_id')->nullable()->constrained()->nullOnDelete();
            $table->string('act', 40);
            $table->string('subject', 30);
            $table->unsignedBigInteger('subject_id');
            $table->unsignedInteger('version')->nullable();
            $table->json('fields');
            $table->text('why')->nullable();
            $table->timestamp('created_at')->useCurrent();
            $table->index(['subject', 'subject_id', 'version']);
            $table->index(['zone_id', 'id']);
        });
        DB::statement(
            "INSERT INTO changes (user_id, act, subject, subject_id, version, fields, created_at) SELECT user_id, 'edited', subject, subject_id, version, fields, created_at FROM edits ORDER BY id",
        );
        DB::statement("UPDATE changes SET zone_id = subject_id WHERE subject = 'zones' AND subject_id IN (SELECT id FROM zones)");
        Schema::drop('edits');
        DB::unprepared(
            "CREATE TRIGGER changes_stay BEFORE UPDATE ON changes FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was changed is not changed again.'",
        );
        Schema::table(
            'computations',
            static fn (Blueprint $table) => $table->foreignId('caused_by')->nullable()->constrained('changes')->nullOnDelete(),
        );
        foreach (self::VERSIONED as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->unsignedInteger('version')->default(1));
        }
    }

    public function down(): void
    {
        foreach (self::VERSIONED as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->dropColumn('version'));
        }
        Schema::table('computations', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('caused_by');
        });
        DB::unprepared('DROP TRIGGER changes_stay');
        Schema::create('edits', static function (Blueprint $table): void {
            $table->id();
            $table->string('subject', 20);
            $table->unsignedBigInteger('subject_id');
            $table->unsignedInteger('version');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->json('fields');
            $table->timestamp('created_at')->useCurrent();
            $table->index(['subject', 'subject_id', 'version']);
        });
        DB::statement(
            'INSERT INTO edits (user_id, subject, subject_id, version, fields, created_at) SELECT user_id, subject, subject_id, version, fields, created_at FROM changes WHERE version IS NOT NULL AND CHAR_LENGTH(subject) <= 20 ORDER BY id',
        );
        Schema::drop('changes');
    }
};
