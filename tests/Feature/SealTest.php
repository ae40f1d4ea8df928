<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\Gardener\PublicSite;
use App\Operations\Heartbeat;
use App\Results\Result;
use App\Stations\RecordImport;
use App\Zones\Computation;
use App\Zones\ComputationState;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** What must not change unnoticed, what is served as files, what is deleted, and whether the application reports its state. */
final class SealTest extends TestCase
{
    protected ?array $book = ['radish', 'kale'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneInPrint();
    }

    private function edition(): Edition
    {
        return Edition::query()->with('zone')->firstOrFail();
    }

    #[TestWith(['note', 'Something else.'])]
    #[TestWith(['published_by', 'Somebody else'])]
    #[TestWith(['published_on', '2020-01-01'])]
    #[TestWith(['seal', null])]
    public function test_a_changed_edition_is_noticed_and_a_page_says_so(string $column, ?string $value): void
    {
        DB::table('editions')->update([$column => $value]);
        $this->artisan('anthesis:verify')->assertFailed();
        $this->get('/zones/test-basin')->assertStatus(410)->assertSee('no longer what was published');
        $this->getJson('/zones/test-basin/calendar.json')->assertStatus(410);
        $this->getJson('/up')->assertStatus(503)->assertJsonPath('checks.verification.sound', false);
        self::assertNull(PublicSite::read('zones/test-basin'), 'its files are taken away too');
    }

    public function test_a_changed_text_with_a_checksum_to_match_is_noticed(): void
    {
        $forged = str_replace('Radish', 'Rubbish', $this->edition()->document);
        DB::table('editions')->update(['document' => $forged, 'checksum' => hash('sha256', $forged)]);
        $this->get('/zones/test-basin/crops/radish')->assertStatus(410);
    }

    public function test_a_changed_page_is_noticed_and_made_anew(): void
    {
        $file = PublicSite::root().'/test-basin/1/now/crops/radish/index.html';
        $page = (string) file_get_contents($file);
        self::assertSame([], app(PublicSite::class)->changedFiles($this->edition()));
        $this->artisan('anthesis:verify')->assertSuccessful();
        file_put_contents($file, str_replace('Radish', 'Rubbish', $page));
        self::assertSame(['now/crops/radish/index.html'], app(PublicSite::class)->changedFiles($this->edition()));
        $this->artisan('anthesis:verify')->assertFailed();
        self::assertSame($page, file_get_contents($file));
        $this->artisan('anthesis:verify')->assertSuccessful();
        self::assertStringContainsString(
            '1 editions with their pages, 1 originals, 0 photos, 0 changes: all unchanged',
            (string) Heartbeat::query()->find(Heartbeat::VERIFICATION)?->words,
        );
    }

    public function test_a_manifest_that_is_not_ours_is_noticed(): void
    {
        $file = PublicSite::root().'/test-basin/1/manifest.json';
        $manifest = json_decode((string) file_get_contents($file), true);
        $manifest['files']['now/index.html'] = str_repeat('0', 64);
        file_put_contents($file, json_encode($manifest));
        self::assertSame(['manifest.json'], app(PublicSite::class)->changedFiles($this->edition()));
    }

    public function test_a_changed_or_missing_original_is_noticed_and_asked_for_in_words(): void
    {
        $checksum = (string) RecordImport::query()->value('checksum');
        self::assertSame(
            'no-store, private',
            $this->get('/desk-files/record-imports/'.RecordImport::query()->value('id'))
                ->assertOk()
                ->headers->get('Cache-Control'),
        );
        Storage::disk('originals')->put($checksum, 'something else');
        $this->artisan('anthesis:verify')->assertFailed();
        self::assertStringContainsString('is not what was uploaded', (string) Heartbeat::query()->find(Heartbeat::VERIFICATION)?->words);
        Storage::disk('originals')->delete($checksum);
        $this->get('/desk-files/record-imports/'.RecordImport::query()->value('id'))
            ->assertNotFound()
            ->assertSee('no longer in storage');
    }

    public function test_pages_are_files_with_their_gzipped_selves_and_old_editions_keep_their_address(): void
    {
        $root = PublicSite::root().'/test-basin';
        $page = (string) file_get_contents("{$root}/current/now/weeks/19/index.html");
        self::assertSame($page, gzdecode((string) file_get_contents("{$root}/current/now/weeks/19/index.html.gz")));
        self::assertSame(
            str_replace('/test-basin/weeks/19', '/test-basin/this-week', $page),
            file_get_contents("{$root}/current/now/this-week/index.html"),
            '12 May is in week 19',
        );
        self::assertSame($this->edition()->document, file_get_contents("{$root}/1/lasting/calendar.json"));
        $this->publish('The second.', ['even_unchanged' => true])->assertStatus(202);
        self::assertSame('2', readlink("{$root}/current"));
        self::assertDirectoryDoesNotExist("{$root}/1/now");
        $this->get('/zones/test-basin/editions/1')->assertOk()->assertSee('edition 1, published');
        self::assertStringContainsString('/zones/test-basin</loc>', (string) file_get_contents(PublicSite::root().'/sitemap.xml'));
        config(['anthesis.today' => '2026-05-21']);
        $this->artisan('anthesis:turn-day')->assertSuccessful();
        self::assertStringStartsWith('../season/2026-05-21-', (string) readlink("{$root}/2/now/this-week"), 'made anew for the day');
        self::assertSame(
            str_replace('/test-basin/weeks/21', '/test-basin/this-week', (string) file_get_contents("{$root}/2/now/weeks/21/index.html")),
            file_get_contents("{$root}/2/now/this-week/index.html"),
            'of a season nobody knows it says nothing more than the week',
        );
    }

    public function test_a_page_is_small_and_needs_no_script_to_be_read(): void
    {
        $html = (string) $this->get('/zones/test-basin/crops/radish')->assertOk()->getContent();
        self::assertStringContainsString('1 April to 10 July', $html);
        self::assertStringNotContainsString('application/json', $html);
        self::assertStringContainsString('<meta name="description"', $html);
        preg_match_all('#/build/(assets/[^"]+\.js)#', $html, $scripts);
        self::assertNotSame([], $scripts[1]);
        self::assertLessThan(
            30_000,
            array_sum(array_map(static fn (string $f): int => (int) filesize(public_path("build/{$f}")), array_unique($scripts[1]))),
        );
    }

    public function test_what_nothing_refers_to_is_put_away_and_nothing_else(): void
    {
        foreach (range(1, 6) as $days) {
            $this->patchJson('/api/crops/radish', [
                'cells' => ['maturity_days' => (string) (30 + $days)],
                'note' => 'x',
                'version' => $days,
            ])->assertOk();
        }
        $this->getJson('/api/zones/test-basin/windows/radish/compared')->assertOk();
        $shown = $this->getJson('/api/zones/test-basin/windows')->json('data.crops');
        mkdir(PublicSite::root().'/gone-zone/1', 0777, true);
        $before = Result::query()->count();
        $this->artisan('anthesis:prune')->assertSuccessful();
        self::assertSame($before, Result::query()->count(), 'what is young may be somebody’s who is just looking');
        DB::table('results')->update(['used_at' => now()->subDays(8)]);
        DB::table('computations')->update(['updated_at' => now()->subHours(3)]);
        $this->artisan('anthesis:prune')->assertSuccessful();
        self::assertSame(3, Computation::query()->count());
        self::assertLessThan($before - 3, Result::query()->count());
        self::assertSame($shown, $this->getJson('/api/zones/test-basin/windows')->assertOk()->json('data.crops'));
        self::assertDirectoryDoesNotExist(PublicSite::root().'/gone-zone');
        $this->get('/zones/test-basin')->assertOk();
        self::assertTrue(app(PublicSite::class)->isBuilt($this->edition()));
    }

    public function test_up_says_what_is_not_well(): void
    {
        $this->getJson('/up')->assertOk()->assertJsonPath('checks.database.sound', true);
        Heartbeat::query()->create(['name' => Heartbeat::SCHEDULER, 'beaten_at' => now()->subMinutes(10)]);
        $this->getJson('/up')->assertStatus(503)->assertJsonPath('checks.scheduler.words', 'has not run for 600 s');
        Heartbeat::beat(Heartbeat::SCHEDULER);
        $this->getJson('/up')->assertOk();
        Computation::query()->update(['state' => ComputationState::Queued, 'created_at' => now()->subMinutes(10)]);
        $this->getJson('/up')->assertStatus(503)->assertJsonPath('checks.queue.sound', false);
        $port = config('database.connections.mariadb.port');
        config(['database.connections.mariadb.port' => 1]);
        DB::purge();
        $this->getJson('/up')
            ->assertStatus(503)
            ->assertJsonPath('checks.database', ['sound' => false, 'words' => 'does not answer']);
        config(['database.connections.mariadb.port' => $port]);
        DB::purge();
    }

    public function test_a_program_that_is_away_is_told_at_once(): void
    {
        $run = storage_path('framework/testing/run-'.getmypid());
        File::ensureDirectoryExists($run);
        config(['anthesis.run' => $run]);
        $held = fopen("{$run}/worker-1.alive", 'w');
        self::assertNotFalse($held);
        self::assertTrue(flock($held, LOCK_EX));
        $this->getJson('/up')
            ->assertOk()
            ->assertJsonPath('checks.programs', ['sound' => true, 'words' => '1 are running']);
        fclose($held);
        $this->getJson('/up')
            ->assertStatus(503)
            ->assertJsonPath('checks.programs', [
                'sound' => false,
                'words' => 'not running: worker-1. If it stays so, look at storage/logs.',
            ]);
        File::deleteDirectory($run);
    }
}
