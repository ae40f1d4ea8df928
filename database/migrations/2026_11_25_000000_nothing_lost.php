<?php

declare(strict_types=1);

use App\Editions\Edition;
use App\Operations\Seal;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const VERSIONED = ['zones', 'crops', 'varieties', 'sites'];

    public function up(): void
    {
        // The version an edit was made on: one made on an older version is refused.
        foreach (self::VERSIONED as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->unsignedInteger('version')->default(1));
        }
        // Each edit that went through: which fields, from what to what, by whom.
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
        // Counts the changes to everything that a zone's results are computed from; a computation notes how far it saw.
        Schema::table('zones', static fn (Blueprint $table) => $table->unsignedInteger('inputs')->default(0));
        Schema::table('computations', static function (Blueprint $table): void {
            $table->unsignedInteger('inputs')->default(0);
            $table->unsignedTinyInteger('attempts')->default(0);
            // In the record it was computed from; null: not computed yet.
            $table->unsignedSmallInteger('cold_seasons')->nullable();
            $table->index(['zone_id', 'state']);
        });
        Schema::table('sites', static function (Blueprint $table): void {
            // Names are unique among the sites for every zone too, whose zone_id is null.
            $table->unsignedBigInteger('scope')->virtualAs('IFNULL(zone_id, 0)');
            $table->unique(['scope', 'name']);
        });
        // Smallest difference between two values in the record, °C; null: not known.
        Schema::table('records', static fn (Blueprint $table) => $table->double('step')->nullable());
        // A request that is sent twice is carried out once.
        Schema::table('record_imports', static fn (Blueprint $table) => $table->string('sent_as', 64)->nullable()->unique());
        Schema::table('editions', static function (Blueprint $table): void {
            // Null: its pages are still being made, or it was published before there were seals.
            $table->timestamp('in_force_at')->nullable();
            $table->char('seal', 64)->nullable();
        });
        DB::table('editions')->update(['in_force_at' => DB::raw('created_at')]);
        // Those published before there were seals get theirs now, and only now: from here on, one without a seal is not shown.
        foreach (Edition::query()->get() as $edition) {
            if (hash('sha256', $edition->document) === $edition->checksum) {
                DB::table('editions')
                    ->where('id', $edition->id)
                    ->update(['seal' => Seal::of(...$edition->sealedParts())]);
            }
        }
        Schema::create('publications', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('edition_id')->constrained();
            $table->string('sent_as', 64)->unique();
            $table->string('state', 20);
            $table->unsignedSmallInteger('done')->default(0);
            $table->unsignedSmallInteger('total')->default(0);
            $table->text('error')->nullable();
            $table->timestamps();
        });
        // What the application last found out about itself: from the scheduler, the workers, the verification.
        Schema::create('heartbeats', static function (Blueprint $table): void {
            $table->string('name', 40)->primary();
            $table->timestamp('beaten_at');
            $table->boolean('sound')->default(true);
            $table->text('words')->nullable();
        });
    }

    public function down(): void
    {
        foreach (['heartbeats', 'publications', 'edits'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('editions', static fn (Blueprint $table) => $table->dropColumn(['in_force_at', 'seal']));
        Schema::table('record_imports', static fn (Blueprint $table) => $table->dropColumn('sent_as'));
        Schema::table('records', static fn (Blueprint $table) => $table->dropColumn('step'));
        Schema::table('sites', static function (Blueprint $table): void {
            $table->dropUnique(['scope', 'name']);
            $table->dropColumn('scope');
        });
        Schema::table('computations', static function (Blueprint $table): void {
            $table->dropIndex(['zone_id', 'state']);
            $table->dropColumn(['inputs', 'attempts', 'cold_seasons']);
        });
        Schema::table('zones', static fn (Blueprint $table) => $table->dropColumn('inputs'));
        foreach (self::VERSIONED as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->dropColumn('version'));
        }
    }
};
