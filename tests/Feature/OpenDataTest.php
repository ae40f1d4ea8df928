<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\Gardener\OpenData;
use App\Operations\OpenSeal;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Tests\TestCase;

/** The calendars as data for anyone: the same columns as JSON and CSV, a dictionary of them, and a signature anyone can check. */
final class OpenDataTest extends TestCase
{
    protected ?array $book = ['radish', 'tomato-main', 'pumpkin'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneInPrint("Two\nlines, “quoted”.");
        $this->app['auth']->forgetGuards();
    }

    public function test_every_table_of_the_index_is_there_in_both_forms_and_the_dictionary_knows_its_columns(): void
    {
        $index = $this->getJson('/open/v1/index.json')->assertOk()->json();
        $known = [];
        foreach ($this->getJson('/open/v1/dictionary.json')->json('data') as $row) {
            $known[$row['table']][] = $row['column'];
        }
        foreach ([...$index['tables'], ...$index['zones'][0]['tables']] as $name => $table) {
            $rows = $this->getJson((string) parse_url($table['json'], PHP_URL_PATH))
                ->assertOk()
                ->assertHeader('Access-Control-Allow-Origin', '*')
                ->json('data');
            self::assertNotSame([], $rows, $name);
            self::assertSame($known[$name], array_keys($rows[0]), $name);
            $response = $this->get((string) parse_url($table['csv'], PHP_URL_PATH))->assertOk();
            self::assertStringStartsWith('text/csv', (string) $response->headers->get('Content-Type'));
            $lines = array_map(str_getcsv(...), array_filter(preg_split('/\r\n/', (string) $response->getContent()) ?: []));
            self::assertSame($known[$name], $lines[0]);
            self::assertCount(count($rows) + 1, $lines, $name);
        }
    }

    public function test_windows_normals_and_evidence_are_those_of_the_edition(): void
    {
        $content = Edition::query()->firstOrFail()->open()->content;
        $windows = $this->getJson('/open/v1/zones/test-basin/windows.json')->json('data');
        $radish = array_values(array_filter($windows, static fn (array $w): bool => $w['crop'] === 'radish'))[0];
        self::assertSame(
            [$content['crops'][0]['routes'][0]['windows'][0]['first'], 'sow-outdoors', 'test-basin', 1, null],
            [$radish['first'], $radish['act'], $radish['zone'], $radish['edition'], $radish['fair_chance_of_ten']],
        );
        $normals = $this->getJson('/open/v1/zones/test-basin/normals.json')->json('data');
        self::assertCount(365, $normals);
        self::assertSame(['05-12', $content['ruler']['soil'][131]], [$normals[131]['day'], $normals[131]['soil_c']]);
        $evidence = $this->getJson('/open/v1/zones/test-basin/evidence.json')->json('data');
        self::assertSame($content['crops'][0]['routes'][0]['evidence'][0]['harvests'], $evidence[0]['harvests']);
        $kept = $this->getJson('/open/v1/zones/test-basin/verification.json')->json('data');
        self::assertCount(count($content['track_record']['crops']), $kept);
        [$row] = $content['track_record']['crops'];
        self::assertSame(
            ['reliable', $row['crop'], $row['runs'], round($row['harvests'] / $row['runs'], 4)],
            [$kept[0]['standard'], $kept[0]['crop'], $kept[0]['plantings'], $kept[0]['kept']],
        );
        self::assertSame($content['track_record']['runs'], array_sum(array_column($kept, 'plantings')));
        $this->getJson('/open/v1/zones/nowhere/windows.json')->assertNotFound();
        $this->get('/open/v1/zones/test-basin/secrets.csv')->assertNotFound();
        $geo = json_decode(
            (string) $this->get('/open/v1/zones.geojson')->assertOk()->assertHeader('Content-Type', 'application/geo+json')->getContent(),
            true,
        );
        self::assertSame(
            'POINT(-98.2 46.8)',
            DB::scalar('SELECT ST_AsText(ST_GeomFromGeoJSON(?))', [json_encode($geo['features'][0]['geometry'])]),
            'read by another program',
        );
        self::assertSame(
            ['Point', [-98.2, 46.8]],
            [$geo['features'][0]['geometry']['type'], $geo['features'][0]['geometry']['coordinates']],
        );
    }

    public function test_what_has_not_changed_is_not_sent_again(): void
    {
        $tag = (string) $this->get('/open/v1/editions.json')->headers->get('ETag');
        $this->get('/open/v1/editions.json', ['If-None-Match' => $tag])->assertStatus(304);
        self::assertStringContainsString('max-age=3600', (string) $this->get('/open/v1/zones.csv')->headers->get('Cache-Control'));
    }

    public function test_the_stand_alone_script_finds_an_edition_as_published_and_notices_any_change(): void
    {
        $folder = sys_get_temp_dir().'/open-'.uniqid();
        $files = ['open/v1/index.json', 'open/v1/editions.json', 'zones/test-basin/editions/1/calendar.json'];
        foreach ($files as $file) {
            File::ensureDirectoryExists(dirname("{$folder}/{$file}"));
            file_put_contents(
                "{$folder}/{$file}",
                $this->get("/{$file}")
                    ->assertOk()
                    ->getContent(),
            );
        }
        // The script itself, as it is published.
        $script = (string) $this->get('/open/v1/check-edition.txt')->assertOk()->getContent();
        file_put_contents("{$folder}/check.php", $script);
        $check = static fn (string ...$more): array => [
            ($run = Process::run([PHP_BINARY, "{$folder}/check.php", "file://{$folder}", 'test-basin', '1', ...$more]))->exitCode(),
            $run->output(),
        ];
        self::assertSame([0, 3, 0], [$check()[0], substr_count($check()[1], 'yes  '), $check(OpenSeal::key())[0]]);
        self::assertSame(1, $check(base64_encode(random_bytes(32)))[0], 'another key');
        $editions = (string) file_get_contents("{$folder}/open/v1/editions.json");
        file_put_contents(
            "{$folder}/open/v1/editions.json",
            str_replace('"published_by":"Educator"', '"published_by":"Nobody"', $editions),
        );
        self::assertStringContainsString('NO   the signature', $check()[1]);
        file_put_contents("{$folder}/open/v1/editions.json", $editions);
        file_put_contents("{$folder}/{$files[2]}", str_replace('Radish', 'Rabish', (string) file_get_contents("{$folder}/{$files[2]}")));
        self::assertStringContainsString('NO   the document has the SHA-256', $check()[1]);
        self::assertSame(2, Process::run([PHP_BINARY, "{$folder}/check.php", "file://{$folder}", 'test-basin', '9'])->exitCode());
        Process::run(['rm', '-r', $folder]);
    }

    public function test_an_edition_is_cited_so_that_it_is_found_again(): void
    {
        $edition = Edition::query()->firstOrFail();
        self::assertSame(
            'Planting calendar, Test Basin. Edition 1, 2026-05-12. '.
                url('/zones/test-basin/editions/1').
                ". SHA-256 {$edition->checksum}.",
            OpenData::citation($edition),
        );
    }
}
