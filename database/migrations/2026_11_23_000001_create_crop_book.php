<?php

declare(strict_types=1);

use Anthesis\Tables\CropCsv;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A crop is a row of the crop table; docs/crop-table.md has the columns.
        Schema::create('crops', static function (Blueprint $table): void {
            $table->id();
            $table->string('slug', 60)->unique();
            $table->unsignedSmallInteger('position');
            $table->json('cells');
            $table->timestamps();
        });
        // What a crop was before each change.
        Schema::create('crop_revisions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->json('cells');
            $table->string('note', 500);
            $table->timestamps();
        });
        // A variety is its crop with some cells of its own.
        Schema::create('varieties', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('crop_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->json('cells');
            $table->json('tags');
            $table->timestamps();
            $table->unique(['crop_id', 'name']);
        });
        // Which method a zone's calendar follows for a crop, if not the zone's; or the educator's own dates.
        Schema::create('crop_choices', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('zone_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('crop', 60);
            $table->string('school', 20);
            $table->json('windows')->nullable();
            $table->string('reason', 500);
            $table->timestamp('undone_at')->nullable();
            $table->timestamps();
            $table->index(['zone_id', 'undone_at']);
        });
        Schema::table('zones', static function (Blueprint $table): void {
            $table->string('standard', 20)->default('reliable');
            $table->string('light', 20)->default('radiation');
        });
        Schema::table('computations', static function (Blueprint $table): void {
            // Null: open ground, which calendars are made for.
            $table->foreignId('site_id')->nullable()->after('zone_id')->constrained()->cascadeOnDelete();
        });
        $position = 0;
        foreach (CropCsv::standardRows() as $slug => $cells) {
            DB::table('crops')->insert([
                'slug' => $slug,
                'position' => $position++,
                'cells' => json_encode($cells, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'created_at' => now(),
                'updated_at' => now(),
            ]);
        }
        // Results from before the replay are of no use to the computation that has it.
        DB::table('computations')
            ->where('state', 'done')
            ->update(['ruler_hash' => null]);
    }

    public function down(): void
    {
        Schema::table('computations', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('site_id');
        });
        Schema::table('zones', static fn (Blueprint $table) => $table->dropColumn(['standard', 'light']));
        foreach (['crop_choices', 'varieties', 'crop_revisions', 'crops'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
