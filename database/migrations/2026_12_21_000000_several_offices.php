<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/**
 * Several offices share an installation. Everything from before belongs to the first office: its zones, crop book, sites, people, and the
 * trail of changes.
 */
return new class extends Migration
{
    /** What belongs directly to an office, and what identifies its rows there; everything else belongs to one through another row. */
    private const OWNED = [
        'zones' => ['name'],
        'crops' => ['slug'],
        'sites' => ['scope', 'name'],
        'cue_plants' => ['name', 'stage'],
        'shipped_crops' => ['slug'],
        'log_photos' => ['checksum'],
        'translations' => null,
        'invitations' => null,
    ];

    /** These were identified by a column that two offices may now both have. */
    private const NUMBERED = ['shipped_crops' => 'slug', 'log_photos' => 'checksum'];

    /** What may also belong to no office. */
    private const MAY_BE_OWNED = ['changes', 'outbox', 'personal_access_tokens'];

    /** A change stays as it is, except that it may stop pointing to the person; their number still tells whose it was. */
    private const STAY = <<<'SQL'
        CREATE TRIGGER changes_stay BEFORE UPDATE ON changes FOR EACH ROW
        IF NEW.user_id IS NOT NULL OR NOT (NEW.id <=> OLD.id AND NEW.person <=> OLD.person AND NEW.office_id <=> OLD.office_id
            AND NEW.zone_id <=> OLD.zone_id AND NEW.crop <=> OLD.crop AND NEW.act <=> OLD.act AND NEW.subject <=> OLD.subject
            AND NEW.subject_id <=> OLD.subject_id AND NEW.about <=> OLD.about AND NEW.version <=> OLD.version
            AND NEW.fields <=> OLD.fields AND NEW.why <=> OLD.why AND NEW.created_at <=> OLD.created_at) THEN
            SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was changed is not changed again.';
        END IF
        SQL;

    private const STAYED = <<<'SQL'
        CREATE TRIGGER changes_stay BEFORE UPDATE ON changes FOR EACH ROW
        SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was changed is not changed again.'
        SQL;

    public function up(): void
    {
        $first = $this->firstOffice();
        foreach (array_keys(self::NUMBERED) as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->dropPrimary());
            Schema::table($name, static fn (Blueprint $table) => $table->id()->first());
        }
        foreach (self::OWNED as $name => $unique) {
            Schema::table($name, static fn (Blueprint $table) => $table->unsignedBigInteger('office_id')->default($first));
            // The default was for the rows that were already there.
            DB::statement("ALTER TABLE {$name} ALTER office_id DROP DEFAULT");
            Schema::table($name, static function (Blueprint $table) use ($name, $unique): void {
                $table->foreign('office_id')->references('id')->on('offices');
                if ($unique !== null) {
                    $table->unique(['office_id', ...$unique]);
                }
                if ($unique !== null && ! isset(self::NUMBERED[$name])) {
                    $table->dropUnique($unique);
                }
            });
        }
        DB::unprepared('DROP TRIGGER changes_stay');
        foreach (self::MAY_BE_OWNED as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->foreignId('office_id')->nullable()->constrained());
            DB::table($name)->update(['office_id' => $first]);
        }
        DB::unprepared(self::STAY);
        // What a seal covers: earlier ones cover everything but the office.
        Schema::table('change_seals', static fn (Blueprint $table) => $table->unsignedTinyInteger('form')->default(1));
        $this->memberships($first);
    }

    public function down(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('role', 20)->default('volunteer');
            $table->timestamp('deactivated_at')->nullable();
        });
        foreach (DB::table('memberships')->orderByDesc('id')->get() as $one) {
            DB::table('users')
                ->where('id', $one->user_id)
                ->update(['role' => $one->role, 'deactivated_at' => $one->deactivated_at]);
        }
        Schema::drop('memberships');
        DB::unprepared('DROP TRIGGER changes_stay');
        DB::unprepared(self::STAYED);
        Schema::table('change_seals', static fn (Blueprint $table) => $table->dropColumn('form'));
        foreach (array_merge(array_keys(self::OWNED), self::MAY_BE_OWNED) as $name) {
            Schema::table($name, static function (Blueprint $table) use ($name): void {
                $unique = self::OWNED[$name] ?? null;
                $table->dropForeign(['office_id']);
                if ($unique !== null) {
                    $table->dropUnique(['office_id', ...$unique]);
                }
                if ($unique !== null && ! isset(self::NUMBERED[$name])) {
                    $table->unique($unique);
                }
            });
            Schema::table($name, static fn (Blueprint $table) => $table->dropColumn('office_id'));
        }
        foreach (self::NUMBERED as $name => $key) {
            Schema::table($name, static fn (Blueprint $table) => $table->dropColumn('id'));
            Schema::table($name, static fn (Blueprint $table) => $table->primary($key));
        }
        Schema::table('offices', static fn (Blueprint $table) => $table->dropColumn(['slug', 'mark', 'standard', 'languages']));
    }

    /** @return int the existing one, or a new one without a name, which its people give it */
    private function firstOffice(): int
    {
        Schema::table('offices', static function (Blueprint $table): void {
            $table->string('slug', 80)->default('')->after('version');
            $table->string('mark', 20)->default('leaf')->after('name');
            $table->string('standard', 20)->default('reliable');
            $table->json('languages')->nullable();
        });
        $first = DB::table('offices')->orderBy('id')->first(['id', 'name']);
        $id = (int) ($first->id ?? DB::table('offices')->insertGetId(['name' => '', 'created_at' => now(), 'updated_at' => now()]));
        $slug = Str::limit(Str::slug((string) ($first->name ?? '')), 70, '') ?: 'office';
        DB::table('offices')
            ->where('id', $id)
            ->update(['slug' => $slug]);
        Schema::table('offices', static fn (Blueprint $table) => $table->unique('slug'));

        return $id;
    }

    /** A person may work in several offices, with a role in each. */
    private function memberships(int $first): void
    {
        Schema::create('memberships', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('office_id')->constrained();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 20);
            $table->timestamp('deactivated_at')->nullable();
            $table->timestamps();
            $table->unique(['office_id', 'user_id']);
        });
        foreach (DB::table('users')->whereNull('removed_at')->orderBy('id')->get() as $user) {
            DB::table('memberships')->insert([
                'office_id' => $first,
                'user_id' => $user->id,
                'role' => $user->role,
                'deactivated_at' => $user->deactivated_at,
                'created_at' => $user->created_at,
                'updated_at' => $user->updated_at,
            ]);
        }
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn(['role', 'deactivated_at']));
    }
};
