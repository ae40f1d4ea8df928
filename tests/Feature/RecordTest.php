<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Results\ComputeZoneJob;
use App\Results\Result;
use App\Results\ResultKind;
use App\Stations\RecordImport;
use App\Stations\RecordImportState;
use App\Stations\Station;
use App\Stations\StationRecord;
use App\Zones\Computation;
use App\Zones\ComputationState;
use App\Zones\Zone;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;

final class RecordTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Zone::factory()->create();
        $this->actingAs($this->person());
    }

    /**
     * @param  array<string, mixed>  $choices
     * @return TestResponse<Response>
     */
    private function bring(string $what, mixed $file, ?string $unit = null, array $choices = []): TestResponse
    {
        return $this->post("/api/zones/test-basin/{$what}", array_filter(['file' => $file, 'unit' => $unit]) + $choices, [
            'Accept' => 'application/json',
        ]);
    }

    private function assertNothingSaved(): void
    {
        self::assertSame(
            [0, 0, 0, 0],
            [
                Station::query()->count(),
                RecordImport::query()->count(),
                StationRecord::query()->count(),
                Computation::query()->count(),
            ],
        );
        self::assertSame([], Storage::disk('originals')->allFiles());
    }

    public function test_a_preview_tells_what_was_understood_and_saves_nothing(): void
    {
        $this->bring(
            'record-previews',
            $this->textFile(
                "Low °F;Day;High °F\n14;2024-02-28;41\n;2024-02-29;50\n20;2024-03-01;10\n20;gone;50\n23;2024-03-04;59\n",
            ),
        )
            ->assertOk()
            ->assertJsonPath('data.columns', ['date' => 'Day', 'minimum' => 'Low °F', 'maximum' => 'High °F'])
            ->assertJsonPath('data.unit', 'fahrenheit')
            ->assertJsonPath('data.unit_stated', true)
            ->assertJsonPath('data.delimiter', 'semicolon')
            ->assertJsonPath('data.rows', 5)
            ->assertJsonPath('data.years', [['year' => 2024, 'days' => 3, 'complete' => false]])
            ->assertJsonPath('data.gaps', [['first' => '2024-03-02', 'days' => 2]])
            ->assertJsonPath('data.refused', [
                [
                    'line' => 5,
                    'column' => 'Day',
                    'phrase' => ['key' => 'error.table.no-date-year-first', 'with' => ['text' => 'gone']],
                ],
            ])
            ->assertJsonPath('data.marks_count', 2)
            ->assertJsonPath('data.marks.0.rule', 'maximum-below-minimum')
            ->assertJsonPath('data.sample.0', ['date' => '2024-02-28', 'minimum' => -10, 'maximum' => 5, 'rain' => null, 'snow' => null])
            ->assertJsonPath('data.depths', []);
        $this->assertNothingSaved();
    }

    public function test_rain_and_snow_are_taken_along_and_their_units_asked_where_the_file_does_not_say(): void
    {
        $file = fn () => $this->textFile("date,low_f,high_f,prcp,snow_depth_cm\n2024-02-28,50,59,1,3\n2024-02-29,50,59,T,0\n");
        $this->bring('record-previews', $file())
            ->assertOk()
            ->assertJsonPath('data.depths.rain', ['column' => 'prcp', 'unit' => 'in', 'stated' => false])
            ->assertJsonPath('data.depths.snow', ['column' => 'snow_depth_cm', 'unit' => 'cm', 'stated' => true])
            ->assertJsonPath('data.sample.0.rain', 25.4)
            ->assertJsonPath('data.sample.0.snow', 3)
            ->assertJsonPath('data.sample.1.rain', 0);
        $this->bring('record-previews', $file(), null, ['rain_unit' => 'mm'])->assertJsonPath('data.sample.0.rain', 1);
        $this->bring('record-previews', $file(), null, ['rain_unit' => 'furlongs'])->assertUnprocessable();
        $columns = ['columns' => ['date' => 0, 'minimum' => 1, 'maximum' => 2, 'rain' => -1]];
        $this->bring('record-previews', $file(), null, $columns)->assertJsonPath('data.sample.0.rain', null);
    }

    public function test_a_record_keeps_its_rain_and_snow_and_a_person_decides_on_them_too(): void
    {
        $lines = explode("\n", trim((string) file_get_contents(base_path('core/tests/fixtures/station-north-rain.csv'))));
        [$date, $low, $high] = explode(',', $lines[1000]);
        $lines[1000] = "{$date},{$low},{$high},999.0,0.0";
        $this->bring('record-imports', $this->textFile(implode("\n", $lines)."\n"))->assertStatus(202);
        $record = StationRecord::query()->latest('id')->firstOrFail();
        self::assertSame(999.0, $record->asRead()->rain[999] ?? null);
        self::assertNull($record->usable()->rain[999] ?? null);
        self::assertNotNull($record->usable()->snow);
        $doubted = array_values(
            array_filter(
                $this->getJson('/api/zones/test-basin/quality')->assertOk()->json('data.values'),
                static fn (array $v): bool => $v['element'] === 'rain',
            ),
        );
        self::assertSame([[$date, ['out-of-range']]], array_map(static fn (array $v): array => [$v['date'], $v['doubts']], $doubted));
        self::assertEquals(999, array_column($doubted[0]['around'], 'rain', 'date')[$date]);
        $this->postJson('/api/zones/test-basin/quality', [
            'date' => $date,
            'element' => 'rain',
            'accepted' => true,
            'note' => 'A cloudburst.',
            'replaces' => null,
        ])->assertStatus(202);
        self::assertSame(999.0, $record->fresh()?->usable()->rain[999] ?? null);
        $csv = (string) $this->get('/desk-files/zones/test-basin/record.csv')->assertOk()->streamedContent();
        self::assertStringStartsWith('date,tmin_c,tmax_c,tmin_from,tmax_from,rain_mm,snow_cm', $csv);
        self::assertMatchesRegularExpression("/^{$date},.*,999(\\.0)?,0(\\.0)?$/m", $csv);
    }

    public function test_the_unit_can_be_overruled(): void
    {
        $file = fn () => $this->textFile("date,min,max\n2024-02-28,50,59\n");
        $this->bring('record-previews', $file())->assertJsonPath('data.sample.0.minimum', 50);
        $this->bring('record-previews', $file(), 'fahrenheit')->assertJsonPath('data.sample.0.minimum', 10);
        $this->bring('record-previews', $file(), 'kelvin')->assertUnprocessable();
    }

    public function test_what_a_person_overrules_holds_in_the_preview_and_in_the_import(): void
    {
        $text = "when,a,b,c\n";
        for ($i = 0; $i < 800; $i++) {
            [$year, $month, $day] = \Anthesis\Record\Day::civil(\Anthesis\Record\Day::numberOf(2020, 1, 1) + $i);
            $text .= sprintf("%02d/%02d/%d,%d,%d,%d\n", $day, $month, $year, 59 + ($i % 5), 0, 41 - ($i % 7));
        }
        $this->bring('record-previews', $this->textFile($text))->assertUnprocessable();
        $choices = [
            'columns' => ['date' => 0, 'minimum' => 3, 'maximum' => 1],
            'unit' => 'fahrenheit',
            'date_order' => 'day-first',
        ];
        $this->bring('record-previews', $this->textFile($text), null, $choices)
            ->assertOk()
            ->assertJsonPath('data.format', 'table')
            ->assertJsonPath('data.choices', ['when', 'a', 'b', 'c'])
            ->assertJsonPath('data.date_order', 'day-first')
            ->assertJsonPath('data.sample.0', ['date' => '2020-01-01', 'minimum' => 5, 'maximum' => 15, 'rain' => null, 'snow' => null]);
        $this->bring('record-imports', $this->textFile($text), null, $choices)->assertStatus(202);
        self::assertSame(
            [5.0, 15.0],
            [
                StationRecord::query()->firstOrFail()->usable()->minimum[0],
                StationRecord::query()->firstOrFail()->usable()->maximum[0],
            ],
        );
        $same = ['columns' => ['date' => 0, 'minimum' => 1, 'maximum' => 1]];
        $this->bring('record-previews', $this->textFile($text), null, $same)
            ->assertUnprocessable()
            ->assertJsonPath('message', 'Choose three different columns for date, minimum, and maximum.');
        $this->bring('record-previews', $this->textFile($text), null, ['columns' => ['date' => 0]])->assertUnprocessable();
    }

    public function test_a_gzipped_dly_file_is_recognised(): void
    {
        $line = static fn (string $element, int $value): string => 'XX000046800202401'.
            $element.
            str_repeat(sprintf('%5d  S', $value), 31).
            "\n";
        $this->bring(
            'record-previews',
            $this->textFile((string) gzencode($line('TMAX', 42).$line('TMIN', -17)), 'XX000046800.dly.gz'),
        )
            ->assertOk()
            ->assertJsonPath('data.format', 'ghcn-dly')
            ->assertJsonPath('data.station', 'XX000046800')
            ->assertJsonPath('data.delimiter', null)
            ->assertJsonPath('data.unit', 'tenths-celsius')
            ->assertJsonPath('data.unit_stated', true)
            ->assertJsonPath('data.sample.0.date', '2024-01-01')
            ->assertJsonPath('data.sample.0.minimum', -1.7)
            ->assertJsonPath('data.sample.0.maximum', 4.2);
        $this->assertNothingSaved();
    }

    public function test_importing_keeps_the_original_and_computes_every_crop(): void
    {
        $this->bring('record-imports', $this->stationFile())->assertStatus(202);
        $import = RecordImport::query()->firstOrFail();
        self::assertSame(hash_file('sha256', base_path('core/tests/fixtures/station-north.csv')), $import->checksum);
        self::assertSame('north.csv', $import->file);
        self::assertFileEquals(
            base_path('core/tests/fixtures/station-north.csv'),
            Storage::disk('originals')->path($import->checksum),
        );
        $this->get("/desk-files/record-imports/{$import->id}")
            ->assertOk()
            ->assertDownload('north.csv');

        $windows = $this->getJson('/api/zones/test-basin/windows')->assertOk();
        self::assertSame($this->book, array_column($windows->json('data.crops'), 'slug'));
        self::assertSame('04-01', $windows->json('data.crops.0.routes.0.windows.0.first'), 'radish, as the core reckons it');
        self::assertSame(13, $windows->json('data.ruler.seasons'));
        self::assertSame('2012-12-31', $windows->json('data.record.last'));
        $sheet = $this->getJson('/api/zones/test-basin/windows/bush-bean')->assertOk();
        self::assertSame('last-freeze', $sheet->json('data.schools.0.routes.0.derivation.0.key'));
        self::assertSame('treated_seed', $sheet->json('data.crop.cautions.0.code'));
        $this->getJson('/api/zones/test-basin/windows/moonflower')->assertNotFound();
    }

    public function test_what_was_read_is_what_the_core_reads_later(): void
    {
        $this->bring('record-imports', $this->stationFile('south'))->assertStatus(202);
        $record = StationRecord::query()->firstOrFail();
        self::assertSame($record->checksum, $record->usable()->checksum());
        self::assertEquals(\Anthesis\Tests\Fixtures::record('south'), $record->usable());
    }

    public function test_the_same_inputs_are_never_computed_twice(): void
    {
        $this->bring('record-imports', $this->stationFile())->assertStatus(202);
        $crops = count($this->book ?? []);
        // Notes about a record are kept by import; everything else by its content.
        $results = static fn (): array => Result::query()
            ->whereNot('kind', ResultKind::Record)
            ->orderBy('hash')
            ->pluck('payload', 'hash')
            ->all();
        $made = $results();
        self::assertCount($crops + 2, $made);
        $this->bring('record-imports', $this->stationFile())->assertStatus(202);
        $this->postJson('/api/zones/test-basin/computations')->assertStatus(202);
        self::assertSame($made, $results());
        self::assertSame(array_fill(0, 3, ComputationState::Done), Computation::query()->pluck('state')->all());
        self::assertCount(1, Storage::disk('originals')->allFiles(), 'one file, however often it is brought');
    }

    public function test_what_fails_three_times_is_given_up_in_words_and_leaves_nothing_half_done(): void
    {
        Queue::fake();
        $this->bring('record-imports', $this->stationFile())->assertStatus(202);
        $computation = Computation::query()->firstOrFail();
        StationRecord::created(static fn () => throw new RuntimeException('killed'));
        app()->call((new ComputeZoneJob($computation->zone_id))->handle(...));
        StationRecord::flushEventListeners();
        self::assertSame([ComputationState::Failed, 3], [$computation->refresh()->state, $computation->attempts]);
        self::assertStringContainsString('Something went wrong on our side', (string) $computation->error);
        self::assertSame(
            [0, RecordImportState::Failed, null],
            [StationRecord::query()->count(), RecordImport::query()->value('state'), Station::query()->value('record_id')],
        );
    }

    public function test_a_worker_stopped_on_the_way_leaves_nothing_half_done_and_a_retry_completes(): void
    {
        Queue::fake();
        $this->bring('record-imports', $this->stationFile())->assertStatus(202)->assertJsonPath('data.state', 'queued');
        $computation = Computation::query()->firstOrFail();
        $run = static fn () => app()->call((new ComputeZoneJob($computation->zone_id))->handle(...));
        $states = [];
        StationRecord::created(static function () use (&$states, $computation): void {
            $states[] = [$computation->refresh()->state->value, $computation->attempts];
            if (count($states) === 1) {
                throw new RuntimeException('killed');
            }
        });
        $run();
        self::assertSame([['running', 1], ['running', 2]], $states, 'begun, left under way, and begun anew');
        $run();
        StationRecord::flushEventListeners();
        self::assertSame(ComputationState::Done, $computation->refresh()->state);
        self::assertSame(1, StationRecord::query()->count());
    }

    public function test_a_record_too_short_fails_in_words(): void
    {
        $this->bring('record-imports', $this->textFile("date,tmin_c,tmax_c\n2024-02-28,1,2\n"))->assertStatus(202);
        $this->getJson('/api/computations/'.Computation::query()->value('id'))
            ->assertOk()
            ->assertJsonPath('data.state', 'failed');
        self::assertStringContainsString('no complete cold season', (string) Computation::query()->value('error'));
        $this->getJson('/api/zones/test-basin/windows')->assertNotFound();
        $this->postJson('/api/zones/test-basin/editions', ['note' => 'x'])->assertUnprocessable();
    }

    /** @return iterable<string, array{string, string}> */
    public static function broken(): iterable
    {
        yield 'empty' => ['', 'The file is empty.'];
        yield 'binary' => ["PK\x03\x04\0\0\0", 'Line 1: this is not text.'];
        yield 'wrong columns' => ["when,warm\n1,2\n", 'Line 1: no column for a date'];
        yield 'mixed units' => ["date,tmin_c,tmax_f\n", '“tmin_c” is in °C and “tmax_f” in °F'];
        yield 'out of order' => [
            "date,tmin_c,tmax_c\n2024-02-28,1,2\n2024-02-27,1,2\n",
            'Line 3, column “date”: 2024-02-27 comes after 2024-02-28.',
        ];
        yield 'future' => ["date,tmin_c,tmax_c\n2026-05-13,1,2\n", '2026-05-13 has not come yet (today is 2026-05-12)'];
        yield 'all refused' => ["date,tmin_c,tmax_c\nx,1,2\n", 'no row could be read; line 2'];
    }

    #[DataProvider('broken')]
    public function test_a_broken_file_is_refused_in_words_at_both_doors_and_nothing_is_saved(string $text, string $words): void
    {
        foreach (['record-previews', 'record-imports'] as $what) {
            $message = $this->bring($what, $this->textFile($text))->assertUnprocessable()->json('errors.file.0');
            self::assertStringContainsString($words, $message);
        }
        $this->assertNothingSaved();
    }

    public function test_a_file_too_large_is_refused_with_the_limit(): void
    {
        $large = \Illuminate\Http\UploadedFile::fake()->create('huge.csv', 250 * 1024);
        foreach (['record-previews', 'record-imports'] as $what) {
            $message = $this->bring($what, $large)->assertUnprocessable()->json('errors.file.0');
            self::assertStringContainsString('larger than 240 MiB', $message);
        }
        $this->bring('record-previews', null)
            ->assertUnprocessable()
            ->assertJsonPath('errors.file.0', 'Choose a station file first.');
        $this->bring('record-previews', 'not a file')->assertUnprocessable();
        $this->assertNothingSaved();
    }

    public function test_a_newer_file_updates_the_record_and_reports_and_can_be_rolled_back(): void
    {
        $lines = explode("\n", (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv')));
        $older = implode("\n", array_slice($lines, 0, 4001))."\n";
        $newer = $lines[0]."\n".implode("\n", array_slice($lines, 3900));
        $this->bring('record-imports', $this->textFile($older, 'older.csv'))->assertStatus(202);
        $first = StationRecord::query()->firstOrFail();
        $update = $this->bring('record-previews', $this->textFile($newer, 'newer.csv'))->assertOk()->json('data.update');
        self::assertSame(0, $update['changed']);
        self::assertSame(202, $update['unchanged'], 'the 101 days both files hold');
        self::assertGreaterThan(2000, $update['new']);
        $this->bring('record-imports', $this->textFile($newer, 'newer.csv'))->assertStatus(202);
        self::assertSame(
            \Anthesis\Tests\Fixtures::record('north')->checksum(),
            Station::query()->firstOrFail()->record?->checksum,
            'two halves make the whole',
        );
        $imports = $this->getJson('/api/zones/test-basin/record-imports')->assertOk();
        self::assertSame(
            [$update, true, null],
            [$imports->json('data.0.update'), $imports->json('data.0.in_use'), $imports->json('data.1.update')],
        );

        $this->postJson("/api/record-imports/{$imports->json('data.1.id')}/use")->assertStatus(202);
        self::assertSame($first->id, Station::query()->value('record_id'));
        $this->getJson('/api/zones/test-basin/windows')->assertJsonPath('data.record.checksum', $first->checksum);

        $this->bring('record-imports', $this->stationFile('south'), null, ['replace' => '1'])->assertStatus(202);
        self::assertSame(\Anthesis\Tests\Fixtures::record('south')->checksum(), Station::query()->firstOrFail()->record->checksum);
        $this->actingAs($this->person(\App\People\Role::Volunteer));
        $this->postJson("/api/record-imports/{$imports->json('data.1.id')}/use")->assertForbidden();
    }

    public function test_computing_needs_a_record(): void
    {
        $this->postJson('/api/zones/test-basin/computations')
            ->assertUnprocessable()
            ->assertJsonPath('message', 'The zone has no record yet. Upload a station file first.');
    }
}
