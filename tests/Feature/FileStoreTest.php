<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Operations\FileStore;
use App\Results\ComputeZoneJob;
use App\Stations\RecordImport;
use App\Stations\RecordImportState;
use App\Zones\Computation;
use App\Zones\Zone;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Process\Exception\ProcessSignaledException;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** A saved file is complete, whatever happens while it is written. */
final class FileStoreTest extends TestCase
{
    private string $folder;

    private string $source;

    private string $checksum;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/anthesis-store-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
        $this->source = "{$this->folder}-source";
        file_put_contents($this->source, str_repeat("2012-01-01,1.0,9.0\n", 12_000));
        $this->checksum = (string) hash_file('sha256', $this->source);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        File::delete($this->source);
        parent::tearDown();
    }

    /** Saves the source in a process of its own, in which no file may grow beyond 100 KiB, like on a full disk. */
    private function saveWithoutRoom(bool $killed): Process
    {
        $program =
            'require $argv[1]; try { (new App\Operations\FileStore($argv[2]))->save(fopen($argv[3], "rb"), $argv[4]); echo "saved"; } catch (App\Operations\StorageFailed $e) { echo $e->getStatusCode(), " ", $e->getMessage(); }';
        // The limit's signal kills the process in the middle of a write, unless it is ignored: then the write fails.
        $process = new Process([
            'bash',
            '-c',
            ($killed ? '' : "trap '' XFSZ; ").'ulimit -c 0; ulimit -f 100; exec "$@"',
            'save',
            PHP_BINARY,
            '-d',
            'opcache.enable_cli=0',
            '-r',
            $program,
            base_path('vendor/autoload.php'),
            $this->folder,
            $this->source,
            $this->checksum,
        ]);
        try {
            $process->run();
        } catch (ProcessSignaledException) {
            // As it should be.
        }

        return $process;
    }

    private function save(): void
    {
        $content = fopen($this->source, 'rb');
        assert($content !== false);
        (new FileStore($this->folder))->save($content, $this->checksum);
        fclose($content);
    }

    public function test_on_a_full_disk_nothing_is_saved_and_it_is_said(): void
    {
        self::assertStringStartsWith(
            '507 The file could not be saved: the disk may be full. Nothing was saved.',
            $this->saveWithoutRoom(killed: false)->getOutput(),
        );
        self::assertSame([], glob("{$this->folder}/*"));
        $this->save();
        self::assertFileEquals($this->source, "{$this->folder}/{$this->checksum}", 'with room again the same file is saved whole');
    }

    public function test_a_process_killed_in_the_middle_of_writing_leaves_no_file_that_is_believed(): void
    {
        $process = $this->saveWithoutRoom(killed: true);
        self::assertTrue($process->hasBeenSignaled() || $process->getExitCode() === 128 + 25, 'it was killed');
        $store = new FileStore($this->folder);
        self::assertFalse($store->has($this->checksum));
        self::assertCount(
            1,
            glob("{$this->folder}/*".FileStore::UNFINISHED) ?: [],
            'what it had written has no name that counts',
        );
        self::assertSame(0, $store->sweep(60), 'somebody may still be writing it');
        touch((glob("{$this->folder}/*") ?: [''])[0], time() - 61);
        self::assertSame(1, $store->sweep(60));
        $this->save();
        self::assertTrue($store->isWhole($this->checksum));
    }

    public function test_a_stump_under_the_name_of_a_file_is_replaced_by_the_whole(): void
    {
        file_put_contents("{$this->folder}/{$this->checksum}", substr((string) file_get_contents($this->source), 0, 147_456));
        $this->save();
        self::assertFileEquals($this->source, "{$this->folder}/{$this->checksum}");
        self::assertCount(1, glob("{$this->folder}/*") ?: []);
    }

    public function test_a_damaged_original_is_never_imported(): void
    {
        Zone::factory()->create();
        $this->actingAs($this->person());
        Queue::fake();
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $import = RecordImport::query()->firstOrFail();
        $disk = Storage::disk('originals');
        $disk->put($import->checksum, substr((string) $disk->get($import->checksum), 0, intdiv($import->bytes, 2)));
        $this->artisan('anthesis:verify')->expectsOutputToContain('is not what was uploaded')->assertFailed();
        app()->call((new ComputeZoneJob($import->station->zone_id))->handle(...));
        self::assertSame(RecordImportState::Failed, $import->refresh()->state);
        self::assertStringContainsString(
            'The stored copy of “north.csv” is damaged',
            (string) Computation::query()->value('error'),
        );
        $this->get("/desk-files/record-imports/{$import->id}")
            ->assertNotFound()
            ->assertSee('is damaged');
        // Uploaded again, it is complete again.
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        self::assertTrue(FileStore::on('originals')->isWhole($import->checksum));
    }
}
