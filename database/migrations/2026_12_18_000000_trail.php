<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Changes say what they are about, and which crop. They are chained by hash, so one that was altered or removed is noticed. Mail to people
 * of the office, which contains links that log in, is told apart from mail to readers.
 */
return new class extends Migration
{
    private const STAY = <<<'SQL'
        CREATE TRIGGER changes_stay BEFORE UPDATE ON changes FOR EACH ROW
        SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was changed is not changed again.'
        SQL;

    /** Subjects that belong to a crop by its number. */
    private const OF_CROPS = ['varieties', 'local_days', 'plantings'];

    public function up(): void
    {
        Schema::table('changes', static function (Blueprint $table): void {
            $table->unsignedBigInteger('person')->nullable()->after('user_id');
            $table->string('crop', 60)->nullable()->after('zone_id');
            $table->string('about', 200)->nullable()->after('subject_id');
            $table->index(['crop', 'id']);
            $table->index(['person', 'id']);
        });
        DB::unprepared('DROP TRIGGER changes_stay');
        DB::statement('UPDATE changes SET person = user_id');
        DB::statement("UPDATE changes JOIN crops ON crops.id = subject_id SET crop = slug WHERE subject = 'crops'");
        DB::statement("UPDATE changes JOIN crop_choices c ON c.id = subject_id SET changes.crop = c.crop WHERE subject = 'crop_choices'");
        foreach (self::OF_CROPS as $of) {
            DB::statement(
                "UPDATE changes JOIN {$of} t ON t.id = subject_id JOIN crops ON crops.id = t.crop_id SET crop = slug WHERE subject = '{$of}'",
            );
        }
        DB::unprepared(self::STAY);
        Schema::create('change_seals', static function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('change_id')->unique();
            $table->char('hash', 64);
            $table->timestamp('created_at')->useCurrent();
        });
        Schema::table('outbox', static fn (Blueprint $table) => $table->boolean('to_person')->default(false));
    }

    public function down(): void
    {
        Schema::table('outbox', static fn (Blueprint $table) => $table->dropColumn('to_person'));
        Schema::drop('change_seals');
        Schema::table('changes', static function (Blueprint $table): void {
            $table->dropIndex(['crop', 'id']);
            $table->dropIndex(['person', 'id']);
            $table->dropColumn(['person', 'crop', 'about']);
        });
    }
};
