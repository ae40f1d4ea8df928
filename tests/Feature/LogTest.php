<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Log\Bed;
use App\Log\ImportLogFile;
use App\Log\LogEntry;
use App\Log\LogImport;
use App\Log\LogImportState;
use App\Log\LogPhoto;
use App\Log\Sowing;
use App\People\Role;
use App\People\User;
use App\Soil\SoilReading;
use App\Zones\Zone;
use Carbon\CarbonImmutable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** The log: what is written about a garden, once, corrected and never overwritten. */
class LogTest extends TestCase
{
    protected ?array $book = ['radish', 'kale', 'tomato-main'];

    protected function setUp(): void
    {
        parent::setUp();
        config(['anthesis.today' => '2012-06-13']);
        Zone::factory()->create();
        $this->actingAs($this->person());
    }

    /**
     * @param  array<string, mixed>  ...$entries
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function send(array ...$entries): TestResponse
    {
        $now = CarbonImmutable::now()->getTimestampMs();

        return $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => $now,
            'by' => 'phone',
            'entries' => array_map(static fn (array $e): array => $e + ['written_at' => $now], $entries),
        ]);
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private function sown(string $key, string $on, array $with = []): array
    {
        return $with + [
            'key' => $key,
            'act' => 'sown',
            'on' => $on,
            'crop' => 'radish',
            'garden' => 'School garden',
            'bed' => 'Bed 3',
            'metres' => 4,
        ];
    }

    public function test_a_sowing_is_told_by_its_lines(): void
    {
        $this->send(
            $this->sown('radish-one', '2012-04-10', ['variety' => 'Harrow Red', 'lot' => 'A 12']),
            ['key' => 'radish-one-up', 'act' => 'up', 'on' => '2012-04-20', 'sowing' => 'radish-one'],
            ['key' => 'radish-one-thin', 'act' => 'thinned', 'on' => '2012-04-30', 'sowing' => 'radish-one'],
            [
                'key' => 'radish-one-pick',
                'act' => 'first-picked',
                'on' => '2012-05-20',
                'sowing' => 'radish-one',
                'kilograms' => 1.5,
                'quality' => 3,
            ],
            [
                'key' => 'radish-one-more',
                'act' => 'picked',
                'on' => '2012-05-24',
                'sowing' => 'radish-one',
                'kilograms' => 0.5,
                'quality' => 2,
            ],
            ['key' => 'radish-one-last', 'act' => 'last-picked', 'on' => '2012-05-30', 'sowing' => 'radish-one'],
        )
            ->assertOk()
            ->assertJsonPath('data.refused', [])
            ->assertJsonPath('data.clock_minutes', 0)
            ->assertJsonCount(6, 'data.kept');
        $sowing = Sowing::query()->firstOrFail()->told();
        self::assertSame(
            [
                'sown' => '2012-04-10',
                'set_out' => null,
                'up' => '2012-04-20',
                'thinned' => '2012-04-30',
                'first_picked' => '2012-05-20',
                'last_picked' => '2012-05-30',
                'lost' => null,
            ],
            $sowing['days'],
        );
        self::assertSame(
            ['Harrow Red', 4.0, 2.0, 2.5],
            [$sowing['variety'], $sowing['metres'], $sowing['kilograms'], $sowing['quality']],
        );
        self::assertSame(['garden' => 'School garden', 'name' => 'Bed 3', 'site' => 'open ground'], $sowing['bed']);
        $lines = $this->getJson('/api/zones/test-basin/log')->assertOk()->json('data.lines');
        self::assertSame(
            ['2012-05-30', '2012-05-24', '2012-05-20', '2012-04-30', '2012-04-20', '2012-04-10'],
            array_column($lines, 'on'),
            'the newest first',
        );
        self::assertSame(
            ['Bed 3', 'Radish', 'radish-one'],
            [$lines[4]['bed']['name'], $lines[4]['name'], $lines[4]['sowing']],
            'a line of a sowing has its place and crop',
        );
        $this->getJson('/api/zones/test-basin/log-book')
            ->assertOk()
            ->assertJsonPath('data.sowings', [])
            ->assertJsonPath('data.likely', []);
        $this->send($this->sown('kale-last-year', '2011-06-20', ['crop' => 'kale']))->assertJsonPath('data.refused', []);
        $this->getJson('/api/zones/test-basin/log-book')->assertJsonPath('data.likely', ['kale']);
        $book = $this->getJson('/api/zones/test-basin/log-book')->json('data');
        $cautions = array_column($book['crops'], 'cautions', 'slug');
        self::assertSame(['toxic_leaves'], array_values(array_intersect($cautions['tomato-main'], $book['cautions']['picked'])));
        self::assertContains('bitter_fruit', $book['cautions']['sown']);
        self::assertArrayNotHasKey('watered', $book['cautions']);
    }

    public function test_a_start_under_cover_is_set_out_and_lost(): void
    {
        $this->send(
            $this->sown('tomato-one', '2012-04-01', ['crop' => 'tomato-main', 'under_cover' => true, 'bed' => 'Frame']),
        )->assertJsonPath('data.refused', []);
        self::assertSame(
            ['transplant', null],
            [Sowing::query()->firstOrFail()->route()->value, Sowing::query()->firstOrFail()->inGroundOn()],
        );
        $this->send([
            'key' => 'tomato-out',
            'act' => 'set-out',
            'on' => '2012-05-25',
            'sowing' => 'tomato-one',
            'garden' => 'School garden',
            'bed' => 'Bed 1',
            'plants' => 6,
        ])->assertJsonPath('data.refused', []);
        $told = Sowing::query()->firstOrFail();
        self::assertSame(['2012-05-25', 'Bed 1'], [$told->inGroundOn()?->iso(), $told->bed?->name]);
        $this->send([
            'key' => 'tomato-lost',
            'act' => 'lost',
            'on' => '2012-06-02',
            'sowing' => 'tomato-one',
            'cause' => 'frost',
        ])->assertJsonPath('data.refused', []);
        self::assertSame(['frost', '2012-06-02'], [$told->refresh()->cause, $told->ended_on?->format('Y-m-d')]);
        self::assertSame(1, Sowing::query()->count());
    }

    public function test_what_is_sent_twice_is_kept_once_and_what_cannot_stand_comes_back_with_the_reason(): void
    {
        $this->send($this->sown('radish-one', '2012-04-10'))->assertOk();
        $this->send($this->sown('radish-one', '2012-04-10'), $this->sown('radish-two', '2012-04-11'))->assertJsonPath('data.kept', [
            'radish-one',
            'radish-two',
        ]);
        self::assertSame(
            ['2012-04-10', '2012-04-11'],
            LogEntry::query()->orderBy('id')->get()->map(static fn (LogEntry $e): string => $e->day->format('Y-m-d'))->all(),
        );
        foreach (
            [
                [
                    $this->sown('refused-1', '2012-06-14'),
                    'on',
                    '14 June 2012 has not come yet: today is 13 June 2012. Give the day it was done on.',
                ],
                [$this->sown('refused-2', '2012-13-01'), 'on', 'Enter the day as YYYY-MM-DD.'],
                [
                    $this->sown('refused-3', '2012-04-10', ['crop' => 'mango']),
                    'crop',
                    'The book has no such crop. Choose another one.',
                ],
                [
                    $this->sown('refused-4', '2012-04-10', ['metres' => 100000]),
                    'metres',
                    'A row is 0.05 to 2,000 m long. Check the number and its unit.',
                ],
                [
                    ['key' => 'refused-5', 'act' => 'first-picked', 'on' => '2012-04-09', 'sowing' => 'radish-one'],
                    'on',
                    '“first harvest” on 9 April 2012 is earlier than “sown” on 10 April 2012. Check the day, or choose the other sowing.',
                ],
                [
                    ['key' => 'refused-6', 'act' => 'up', 'on' => '2012-04-01', 'sowing' => 'radish-one'],
                    'on',
                    '“emerged” on 1 April 2012 is earlier than “sown” on 10 April 2012. Check the day, or choose the other sowing.',
                ],
                [
                    ['key' => 'refused-7', 'act' => 'up', 'on' => '2012-04-20'],
                    'sowing',
                    'Choose the planting this is about. If it is not in the log, log it first.',
                ],
                [
                    ['key' => 'refused-8', 'act' => 'up', 'on' => '2012-04-20', 'sowing' => 'no-such-sowing'],
                    'sowing',
                    'The planting this is about is not in the log, or was deleted. Choose another, or log it first.',
                ],
                [
                    ['key' => 'refused-9', 'act' => 'picked', 'on' => '2012-05-20', 'sowing' => 'radish-one', 'kilograms' => 10000],
                    'kilograms',
                    'One harvest weighs 1 g to 2,000 kg. Check the number and its unit: 250 g is 0.25 kg.',
                ],
                [
                    ['key' => 'refused-10', 'act' => 'lost', 'on' => '2012-05-20', 'sowing' => 'radish-one'],
                    'cause',
                    'Choose what it was lost to, or “other”.',
                ],
                [['key' => 'refused-11', 'act' => 'note', 'on' => '2012-05-20'], 'text', 'Enter a note.'],
                [
                    ['key' => 'refused-12', 'act' => 'seen', 'on' => '2012-05-20', 'cue' => 99],
                    'cue',
                    'There is no such plant on the county’s list. Choose another one.',
                ],
                [
                    ['key' => 'refused-13', 'act' => 'note', 'on' => '2012-05-20', 'text' => 'x', 'photo' => str_repeat('a', 64)],
                    'photo',
                    'The photo did not arrive. Send it first.',
                ],
                [
                    ['key' => 'refused-14', 'act' => 'sown', 'on' => '2012-05-20', 'crop' => 'radish', 'plot' => 7],
                    'plot',
                    'No trial in this zone has such a plot. Reload the page.',
                ],
                [['key' => 'refused-15', 'act' => 'sown', 'on' => '2012-05-20'], 'crop', 'Choose which crop it was.'],
                [
                    ['key' => 'refused-16', 'act' => 'reading', 'on' => '2012-05-20', 'celsius' => 99],
                    'celsius',
                    'A soil thermometer shows −40 to 80 °C. Check the number and its unit.',
                ],
                [
                    ['key' => 'refused-17', 'act' => 'note', 'on' => '2012-05-20', 'text' => 'x', 'bed' => 'Bed 9'],
                    'garden',
                    'Enter the garden the bed is in.',
                ],
            ] as [$entry, $field, $words]
        ) {
            $this->send($entry)
                ->assertOk()
                ->assertJsonPath('data.kept', [])
                ->assertJsonPath('data.refused', [['key' => $entry['key'], 'field' => $field, 'message' => $words]]);
        }
        self::assertSame(
            [2, 2, 1],
            [LogEntry::query()->count(), Sowing::query()->count(), Bed::query()->count()],
            'nothing of a refused line is kept',
        );
        $this->postJson('/api/zones/test-basin/log-entries', ['by' => 'phone', 'entries' => []])->assertUnprocessable();
    }

    public function test_a_key_stands_for_one_entry_to_the_letter(): void
    {
        $one = $this->sown('radish-one', '2012-04-10');
        $this->send($one)->assertJsonPath('data.kept', ['radish-one']);
        $this->send($one)->assertJsonPath('data.kept', ['radish-one']);
        $this->send(['metres' => 5] + $one)
            ->assertJsonPath('data.kept', [])
            ->assertJsonPath('data.refused.0.field', 'key')
            ->assertJsonPath(
                'data.refused.0.message',
                'Something else was already saved under this key. Reload the page and enter it again.',
            );
        self::assertEquals(4, Sowing::query()->value('metres'));
        $this->send(['key' => 'Radish-One'] + $one)->assertJsonPath('data.kept', ['Radish-One']);
        self::assertSame(2, Sowing::query()->count(), 'keys that differ in case are two');
        Zone::factory()->named('Other Basin')->create();
        $now = CarbonImmutable::now()->getTimestampMs();
        $this->postJson('/api/zones/other-basin/log-entries', [
            'sent_at' => $now,
            'by' => 'phone',
            'entries' => [$one + ['written_at' => $now]],
        ])
            ->assertOk()
            ->assertJsonPath('data.refused.0.field', 'key');
    }

    public function test_what_one_person_wrote_is_never_saved_as_another_ones(): void
    {
        $now = CarbonImmutable::now()->getTimestampMs();
        $send = fn (string $by): TestResponse => $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => $now,
            'by' => 'phone',
            'written_by' => $by,
            'entries' => [$this->sown('radish-one', '2012-04-10') + ['written_at' => $now]],
        ]);
        $me = User::query()->firstOrFail();
        $send('tobias@kestrel.example')->assertConflict()->assertSee('Log in as the person who wrote them');
        self::assertSame(0, LogEntry::query()->count());
        $send(mb_strtoupper($me->email))
            ->assertOk()
            ->assertJsonPath('data.kept', ['radish-one']);
    }

    public function test_half_a_photograph_is_refused(): void
    {
        $image = imagecreatetruecolor(800, 600);
        for ($i = 0; $i < 400; $i++) {
            imagefilledellipse($image, random_int(0, 800), random_int(0, 600), 60, 60, random_int(0, 0xFFFFFF));
        }
        foreach (['jpeg', 'png', 'webp'] as $format) {
            ob_start();
            "image{$format}"($image);
            $whole = (string) ob_get_clean();
            foreach ([strlen($whole) => 201, (int) (strlen($whole) / 2) => 422] as $length => $status) {
                $this->post(
                    '/api/log-photos',
                    ['photo' => $this->textFile(substr($whole, 0, $length), "bed.{$format}")],
                    ['Accept' => 'application/json'],
                )->assertStatus($status);
            }
        }
        self::assertSame(3, LogPhoto::query()->count());
    }

    public function test_a_picture_of_too_many_pixels_is_refused_before_it_is_decoded(): void
    {
        // A PNG's size is in its first bytes: this one says 5,000 by 4,000 and has no pixels at all.
        $header = 'IHDR'.pack('NNC5', 5000, 4000, 8, 2, 0, 0, 0);
        $this->post(
            '/api/log-photos',
            ['photo' => $this->textFile("\x89PNG\r\n\x1a\n".pack('N', 13).$header.pack('N', crc32($header)), 'bed.png')],
            ['Accept' => 'application/json'],
        )
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.photo.0',
                'The photo has 5000 × 4000 pixels, which is too many. Make it smaller, such as 4000 × 3000.',
            );
    }

    public function test_a_table_tells_about_sowings_that_are_in_the_log_and_begins_others(): void
    {
        $this->send(
            $this->sown('radish-one', '2012-04-10'),
            $this->sown('radish-two', '2012-04-20'),
            $this->sown('tomato-one', '2012-03-20', ['crop' => 'tomato-main', 'under_cover' => true]),
        );
        $rows = [
            'on,act,crop,garden,bed,kilograms',
            '2012-04-15,up,radish,,,',
            '2012-04-27,up,Radish,school garden,BED 3,',
            '2012-05-20,set-out,tomato-main,School garden,Bed 9,',
            '2012-05-25,picked,radish,,,0.75',
            '2012-05-26,first-picked,kale,,,1',
            '2012-05-01,sown,kale,New garden,North,',
            '2012-05-30,reading,,New garden,North,',
        ];
        $import = fn (array $rows) => $this->getJson(
            '/api/log-imports/'.
                $this->post(
                    '/api/zones/test-basin/log-files',
                    ['file' => $this->textFile(implode("\n", $rows), 'log.csv')],
                    ['Accept' => 'application/json'],
                )
                    ->assertStatus(202)
                    ->json('data.id'),
        );
        $import($rows)
            ->assertJsonPath('data.state', 'failed')
            ->assertJsonPath('data.faults', ['Row 8, celsius: Enter what the thermometer showed.']);
        self::assertSame([3, 2], [LogEntry::query()->count(), Bed::query()->count() + 1], 'nothing was saved, no bed either');
        $rows[0] .= ',celsius';
        $rows[7] = '2012-05-30,reading,,New garden,North,,14.5';
        $import($rows)->assertJsonPath('data.state', 'done')->assertJsonPath('data.saved', 7)->assertJsonPath('data.done', 7);
        $days = fn (string $key): array => array_filter(Sowing::query()->where('idempotency_key', $key)->firstOrFail()->days());
        self::assertSame(['sown' => '2012-04-10', 'up' => '2012-04-15'], $days('radish-one'), 'the latest one begun by that day');
        self::assertSame(['sown' => '2012-04-20', 'up' => '2012-04-27', 'first_picked' => '2012-05-25'], $days('radish-two'));
        self::assertSame(['sown' => '2012-03-20', 'set_out' => '2012-05-20'], $days('tomato-one'));
        self::assertSame('Bed 9', Sowing::query()->where('idempotency_key', 'tomato-one')->firstOrFail()->bed?->name);
        $kale = Sowing::query()->with('bed')->whereRelation('crop', 'slug', 'kale')->firstOrFail();
        self::assertSame(['North', 1.0, '2012-05-26'], [$kale->bed?->name, $kale->kilograms, $kale->days()['first_picked']]);
        self::assertSame(14.5, SoilReading::query()->firstOrFail()->celsius);
        $import($rows)->assertJsonPath('data.saved', 0);
    }

    public function test_an_import_checks_again_what_changed_while_it_was_checking(): void
    {
        $this->send($this->sown('radish-one', '2012-04-10'));
        Queue::fake();
        $id = $this->post(
            '/api/zones/test-basin/log-files',
            ['file' => $this->textFile("on,act,crop\n2012-04-15,up,radish\n", 'log.csv')],
            ['Accept' => 'application/json'],
        )->json('data.id');
        $import = LogImport::query()
            ->with(['zone', 'user'])
            ->findOrFail($id);
        $written = 0;
        // Somebody deletes the planting just after the rows were checked, before the zone is locked.
        DB::beforeExecuting(function (string $query) use (&$written): void {
            if (str_contains($query, 'for update') && $written++ === 0) {
                $this->send([
                    'key' => 'no-radish',
                    'corrects' => 'radish-one',
                    'taken_back' => true,
                    'act' => 'sown',
                    'on' => '2012-04-10',
                    'crop' => 'radish',
                ]);
            }
        });
        app(ImportLogFile::class)->execute($import);
        self::assertGreaterThan(0, $written);
        self::assertSame(LogImportState::Failed, $import->refresh()->state);
        self::assertStringContainsString(
            'No planting of this crop and variety in this bed was started by that day',
            (string) ($import->faults[0] ?? ''),
        );
        self::assertSame(2, LogEntry::query()->count());
    }

    public function test_a_day_before_the_record_is_refused(): void
    {
        config(['anthesis.today' => '2013-01-02']);
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $this->send($this->sown('long-ago', '1998-04-10'))->assertJsonPath(
            'data.refused.0.message',
            '10 April 1998 is before the record of this zone begins (1 January 1999), so nothing can be told of it. Check the year.',
        );
    }

    public function test_lines_keep_their_own_time_whatever_the_clock_of_the_phone_says(): void
    {
        $this->travelTo(CarbonImmutable::parse('2012-06-13T12:00:00Z'));
        $wrong = CarbonImmutable::parse('2012-06-12T12:00:00Z')->getTimestampMs();
        $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => $wrong,
            'by' => 'phone',
            'entries' => [$this->sown('radish-one', '2012-06-13') + ['written_at' => $wrong - 3_600_000]],
        ])
            ->assertOk()
            ->assertJsonPath('data.clock_minutes', -24 * 60);
        self::assertSame(
            '2012-06-13T11:00:00+00:00',
            LogEntry::query()->firstOrFail()->written_at->toIso8601String(),
            'an hour before it was sent',
        );
    }

    public function test_a_line_is_corrected_by_another_and_taken_back_by_another(): void
    {
        $this->send($this->sown('radish-one', '2012-04-10'), [
            'key' => 'radish-one-up',
            'act' => 'up',
            'on' => '2012-04-20',
            'sowing' => 'radish-one',
        ]);
        $this->send($this->sown('radish-better', '2012-04-12', ['corrects' => 'radish-one', 'metres' => 6]))->assertJsonPath(
            'data.refused',
            [],
        );
        $sowing = Sowing::query()->firstOrFail();
        self::assertSame(['radish-one', '2012-04-12', 6.0], [$sowing->idempotency_key, $sowing->days()['sown'], $sowing->metres]);
        $this->send($this->sown('radish-late', '2012-04-25', ['corrects' => 'radish-better']))->assertJsonPath(
            'data.refused.0.field',
            'on',
        );
        self::assertSame('2012-04-12', $sowing->refresh()->days()['sown'], 'it would have come up before it was sown');
        $this->send($this->sown('radish-again', '2012-04-11', ['corrects' => 'radish-one']))->assertJsonPath(
            'data.refused.0.message',
            'Educator corrected this line meanwhile. Look at what it says now, then correct that.',
        );
        $this->send([
            'act' => 'up',
            'key' => 'never-up',
            'on' => '2012-04-20',
            'corrects' => 'radish-one-up',
            'taken_back' => true,
        ])->assertJsonPath('data.refused', []);
        self::assertNull($sowing->refresh()->up_on);
        $lines = array_column($this->getJson('/api/zones/test-basin/log')->json('data.lines'), null, 'key');
        self::assertSame([true, 'radish-one-up'], [$lines['never-up']['taken_back'], $lines['never-up']['corrects']['key']]);
        self::assertSame('2012-04-10', $lines['radish-better']['corrects']['on'], 'what it said before is told beside it');
        $this->send($this->sown('never-sown', '2012-04-12', ['corrects' => 'radish-better', 'taken_back' => true]))->assertJsonPath(
            'data.refused',
            [],
        );
        self::assertTrue($sowing->refresh()->taken_back);
        $this->getJson('/api/zones/test-basin/log-book')->assertJsonPath('data.sowings', []);
        $this->send($this->sown('sown-after-all', '2012-04-12', ['corrects' => 'never-sown']))->assertJsonPath('data.refused', []);
        self::assertFalse($sowing->refresh()->taken_back, 'what was taken back is written again');
        self::assertSame(6, LogEntry::query()->count(), 'every line is still there');
        $this->actingAs($this->person(Role::Volunteer));
        $this->send($this->sown('not-mine', '2012-04-12', ['corrects' => 'sown-after-all']))->assertJsonPath(
            'data.refused.0.message',
            'Only the person who wrote an entry, or an educator, can correct it. Add a note instead.',
        );
    }

    public function test_a_reading_of_the_log_is_one_of_the_soil(): void
    {
        $this->send([
            'key' => 'reading-one',
            'act' => 'reading',
            'on' => '2012-06-12',
            'garden' => 'School garden',
            'bed' => 'Bed 3',
            'celsius' => 14.5,
            'depth' => 0.1,
            'hour' => 8.5,
        ])->assertJsonPath('data.refused', []);
        $reading = SoilReading::query()->with('spot')->firstOrFail();
        self::assertSame(
            [14.5, 0.1, 8.5, 'School garden, Bed 3'],
            [$reading->celsius, $reading->depth, $reading->hour, $reading->spot->name],
        );
    }

    public function test_water_is_logged_for_a_bed_and_a_gauge_says_what_it_caught(): void
    {
        $at = ['on' => '2012-06-12', 'garden' => 'School garden', 'bed' => 'Bed 3'];
        $this->send(
            ['key' => 'watered-1', 'act' => 'watered'] + $at,
            ['key' => 'watered-2', 'act' => 'watered', 'mm' => 12.5] + $at,
            ['key' => 'gauge-dry', 'act' => 'gauge', 'mm' => 0] + $at,
        )->assertJsonPath('data.refused', []);
        self::assertSame([[], ['mm' => 12.5], ['mm' => 0]], LogEntry::query()->orderBy('id')->pluck('told')->all());
        $refused = $this->send(
            ['key' => 'watered-3', 'act' => 'watered', 'on' => '2012-06-12'],
            ['key' => 'gauge-two', 'act' => 'gauge'] + $at,
            ['key' => 'watered-4', 'act' => 'watered', 'mm' => 600] + $at,
        )->json('data.refused');
        self::assertSame(
            [
                'Choose which bed it was.',
                'Enter what the gauge caught. If it is dry, enter 0.',
                'Enter 0 to 500 mm (20 in). Check the number and its unit.',
            ],
            array_column($refused, 'message'),
        );
        // What is deleted need not be entered again.
        $this->send(['key' => 'watered-5', 'act' => 'watered', 'on' => '2012-06-12', 'corrects' => 'watered-1', 'taken_back' => true])
            ->assertJsonPath('data.refused', []);
        self::assertSame(2, LogEntry::standing(Zone::query()->firstOrFail())->count());
    }

    public function test_a_photograph_is_kept_without_its_position_and_a_disguised_file_is_none(): void
    {
        $image = imagecreatetruecolor(2000, 1000);
        ob_start();
        imagejpeg($image ?: throw new \RuntimeException('No picture.'));
        $jpeg = (string) ob_get_clean();
        $position = "Exif\0\0GPS 46.8 N 98.2 W";
        $jpeg = substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($position) + 2).$position.substr($jpeg, 2);
        $sent = fn (string $content, string $name = 'bed.jpg') => $this->post(
            '/api/log-photos',
            ['photo' => UploadedFile::fake()->createWithContent($name, $content)],
            ['Accept' => 'application/json'],
        );
        $photo = $sent($jpeg)->assertCreated()->assertJsonPath('data.width', 1600)->json('data.photo');
        $kept = (string) Storage::disk(LogPhoto::DISK)->get("{$photo}.jpg");
        self::assertSame([false, $photo], [str_contains($kept, 'GPS'), hash('sha256', $kept)]);
        $sent($jpeg)->assertCreated()->assertJsonPath('data.photo', $photo);
        self::assertSame(1, LogPhoto::query()->count());
        $this->send([
            'key' => 'with-picture',
            'act' => 'note',
            'on' => '2012-06-12',
            'text' => 'Flea beetles.',
            'photo' => $photo,
        ])->assertJsonPath('data.refused', []);
        $address = $this->getJson('/api/zones/test-basin/log')->json('data.lines.0.photo');
        $this->get($address)->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        $drawing = '<svg xmlns="http://www.w3.org/2000/svg"/>';
        foreach (['<?php echo 1;', 'GIF89a'.str_repeat('x', 50), substr($jpeg, 0, 300), $drawing] as $disguised) {
            $sent($disguised)->assertUnprocessable()->assertJsonValidationErrorFor('photo');
        }
        $this->post(
            '/api/log-photos',
            ['photo' => UploadedFile::fake()->create('large.jpg', 13 * 1024)],
            ['Accept' => 'application/json'],
        )
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.photo.0',
                'The photo is larger than 12 MiB. Make it smaller, or save the entry without it.',
            );
        self::assertCount(1, Storage::disk(LogPhoto::DISK)->allFiles());
        $this->app['auth']->forgetGuards();
        $this->get($address)->assertRedirect('/desk/login');
    }

    public function test_the_log_is_read_by_crop_place_and_date_and_page_by_page(): void
    {
        $this->send(
            ...array_map(
                fn (int $i): array => $this->sown(
                    "radish-{$i}-sown",
                    '2012-05-'.str_pad((string) (1 + ($i % 28)), 2, '0', STR_PAD_LEFT),
                ),
                range(0, 69),
            ),
        );
        $this->send($this->sown('kale-one-sown', '2012-05-05', ['crop' => 'kale', 'bed' => 'Bed 4']));
        $first = $this->getJson('/api/zones/test-basin/log')
            ->assertJsonPath('data.more', true)
            ->assertJsonCount(60, 'data.lines')
            ->json('data.lines');
        $rest = $this->getJson("/api/zones/test-basin/log?after={$first[59]['cursor']}")
            ->assertJsonPath('data.more', false)
            ->json('data.lines');
        self::assertCount(71, array_unique([...array_column($first, 'key'), ...array_column($rest, 'key')]));
        foreach (
            [
                'crop=kale' => 1,
                'garden=School%20garden' => 60,
                'garden=School%20garden&bed=Bed%204' => 1,
                'from=2012-05-28' => 2,
                'to=2012-05-01' => 3,
                'act=up' => 0,
                'crop=mango' => 0,
            ] as $asked => $lines
        ) {
            $this->getJson("/api/zones/test-basin/log?{$asked}")
                ->assertOk()
                ->assertJsonCount($lines, 'data.lines');
        }
        $this->getJson('/api/zones/test-basin/log?from=yesterday')->assertUnprocessable();
    }

    public function test_the_table_of_the_log_is_read_back_all_of_it_or_none(): void
    {
        $this->send(
            $this->sown('radish-one', '2012-04-10', ['text' => "=SUM(A1)\nsecond line, with a comma"]),
            ['key' => 'radish-one-up', 'act' => 'up', 'on' => '2012-04-20', 'sowing' => 'radish-one'],
            [
                'key' => 'radish-one-pick',
                'act' => 'first-picked',
                'on' => '2012-05-20',
                'sowing' => 'radish-one',
                'kilograms' => 1.5,
            ],
            $this->sown('tomato-one', '2012-04-01', ['crop' => 'tomato-main', 'under_cover' => true]),
            ['key' => 'tomato-out', 'act' => 'set-out', 'on' => '2012-05-25', 'sowing' => 'tomato-one'],
        );
        $csv = $this->get('/desk-files/zones/test-basin/log.csv')->assertOk()->streamedContent();
        self::assertStringContainsString("'=SUM(A1)", $csv, 'no formula for a spreadsheet');
        $lines = static fn (string $text): array => explode("\r\n", $text);
        self::assertEqualsCanonicalizing(
            $lines($csv),
            $lines($this->get('/desk-files/my-log.csv')->assertOk()->streamedContent()),
            'all of it is mine',
        );
        $told = Sowing::query()
            ->with(['crop', 'bed.site'])
            ->orderBy('begun_on')
            ->get()
            ->map(static fn (Sowing $s): array => array_diff_key($s->told(), ['key' => true]))
            ->all();
        Zone::factory()->named('Other Basin')->create();
        $bring = fn (string $text, string $zone = 'other-basin') => $this->post(
            "/api/zones/{$zone}/log-files",
            ['file' => $this->textFile($text, 'log.csv')],
            ['Accept' => 'application/json'],
        );
        // The tests' queue works at once, so queued work is done by the time it is needed.
        $imported = fn (string $text, string $zone = 'other-basin') => $this->getJson(
            '/api/log-imports/'.$bring($text, $zone)->assertStatus(202)->json('data.id'),
        )->assertOk();
        $imported($csv)->assertJsonPath('data.state', 'done')->assertJsonPath('data.saved', 5);
        self::assertSame(
            $told,
            Sowing::query()
                ->with(['crop', 'bed.site'])
                ->whereRelation('zone', 'slug', 'other-basin')
                ->orderBy('begun_on')
                ->get()
                ->map(static fn (Sowing $s): array => array_diff_key($s->told(), ['key' => true]))
                ->all(),
        );
        self::assertSame(
            "=SUM(A1)\nsecond line, with a comma",
            LogEntry::query()->where('source', 'file')->where('act', 'sown')->where('day', '2012-04-10')->firstOrFail()->told[
                'text'
            ],
        );
        $imported("on,act,crop\n2012-05-01,sown,Radish\n2012-05-02,sown,mango\n2012-07-01,sown,kale\n2012-05-09,eaten,kale\n")
            ->assertJsonPath('data.state', 'failed')
            ->assertJsonPath('data.saved', null)
            ->assertJsonPath('data.faults.0', 'Row 3, crop: The book has no such crop. Choose another one.')
            ->assertJsonPath('data.faults.1', 'Row 5, act: The selected act is invalid.')
            ->assertJsonPath(
                'data.faults.2',
                'Row 4, on: 1 July 2012 has not come yet: today is 13 June 2012. Give the day it was done on.',
            );
        self::assertSame(10, LogEntry::query()->count(), 'the good row is not kept without the others');
        $imported("on;act;crop\n2012-05-01;sown;Radish\n2012-05-01;sown;Radish\n")->assertJsonPath('data.saved', 2);
        $imported("on;act;crop\n2012-05-01;sown;Radish\n2012-05-01;sown;Radish\n")->assertJsonPath('data.saved', 0);
        $imported("on;act;crop\n2012-05-01;sown;Radish\n2012-05-01;sown;Radish\n", 'test-basin')->assertJsonPath('data.saved', 2);
        foreach (
            ['' => 'heading', "day,what\n1,2\n" => 'heading', "on,act\n" => 'no row', "on,act\n\xFF,x\n" => 'UTF-8'] as $text => $words
        ) {
            self::assertStringContainsString($words, (string) $bring($text)->assertUnprocessable()->json('errors.file.0'));
        }
    }

    public function test_lines_of_a_person_who_is_gone_stay_without_the_name(): void
    {
        $volunteer = $this->person(Role::Volunteer);
        $this->actingAs($volunteer);
        $this->send($this->sown('radish-one', '2012-04-10'));
        self::assertSame('Volunteer', $this->getJson('/api/zones/test-basin/log')->json('data.lines.0.author'));
        $this->actingAs($this->person());
        $this->artisan('anthesis:remove-person', ['email' => $volunteer->email])->assertSuccessful();
        $this->getJson('/api/zones/test-basin/log')
            ->assertJsonPath('data.lines.0.author', null)
            ->assertJsonPath('data.lines.0.crop', 'radish');
        $this->artisan('anthesis:remove-person', ['email' => $volunteer->email])->assertFailed();
    }
}
