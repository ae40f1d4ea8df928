<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crops\Crop;
use App\Crops\LocalDaysOfCrop;
use App\Log\LogImport;
use App\Log\Sowing;
use App\People\Role;
use App\Trials\TrialPlot;
use App\Windows\ZoneWindows;
use App\Zones\Zone;
use Carbon\CarbonImmutable;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What the ground answers: trials, days to maturity by a place's own sowings, plants that tell the season, and sowings under way. */
class TrialTest extends TestCase
{
    protected ?array $book = ['radish', 'kale', 'bush-bean', 'tomato-main', 'carrot'];

    protected function setUp(): void
    {
        parent::setUp();
        config(['anthesis.today' => '2012-06-13']);
        Zone::factory()->create();
        $this->actingAs($this->person());
        $lines = explode("\n", (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv')));
        $file = $this->textFile(
            implode(
                "\n",
                array_filter($lines, static fn (string $l): bool => substr($l, 0, 10) <= '2012-06-12' || str_starts_with($l, 'date')),
            ),
        );
        $this->post('/api/zones/test-basin/record-imports', ['file' => $file], ['Accept' => 'application/json'])->assertStatus(202);
    }

    /** @param  array<string, mixed>  ...$entries */
    private function write(array ...$entries): void
    {
        $now = CarbonImmutable::now()->getTimestampMs();
        foreach (array_chunk($entries, 200) as $some) {
            $this->postJson('/api/zones/test-basin/log-entries', [
                'sent_at' => $now,
                'by' => 'phone',
                'entries' => array_map(static fn (array $e): array => $e + ['written_at' => $now], $some),
            ])
                ->assertOk()
                ->assertJsonPath('data.refused', []);
        }
    }

    /** Sowings of a gardener whose radish takes two thirds of the packet's days, a year each. */
    private function quickRadishes(): void
    {
        foreach (range(2003, 2010) as $year) {
            $this->write(
                ['key' => "radish-{$year}", 'act' => 'sown', 'on' => "{$year}-05-10", 'crop' => 'radish'],
                ['key' => "radish-{$year}-up", 'act' => 'up', 'on' => "{$year}-05-16", 'sowing' => "radish-{$year}"],
                ['key' => "radish-{$year}-pick", 'act' => 'first-picked', 'on' => "{$year}-05-30", 'sowing' => "radish-{$year}"],
            );
        }
    }

    public function test_days_to_maturity_are_told_by_the_log_taken_by_an_educator_and_followed_by_the_windows(): void
    {
        $this->quickRadishes();
        $this->write(
            ['key' => 'radish-lost', 'act' => 'sown', 'on' => '2011-05-10', 'crop' => 'radish'],
            ['key' => 'radish-lost-so', 'act' => 'lost', 'on' => '2011-05-20', 'sowing' => 'radish-lost', 'cause' => 'pests'],
        );
        $told = $this->getJson('/api/zones/test-basin/local-days')->assertOk()->assertJsonCount(1, 'data.crops')->json('data.crops.0');
        self::assertSame(['radish', null, 'direct', 8], [$told['crop'], $told['variety'], $told['route'], $told['sowings']]);
        self::assertSame([8, 8, null], [count($told['shares']), count($told['seen']), $told['held']], 'the lost one tells nothing of days');
        self::assertLessThan(0.9, $told['factor']);
        self::assertEqualsWithDelta($told['packet_days'] * $told['factor'], $told['days'], 0.06);
        self::assertLessThan($told['error_before'], $told['error_after']);
        $before = ZoneWindows::of(Zone::query()->firstOrFail())?->sheet('radish');
        $taken = $this->postJson('/api/zones/test-basin/local-days', [
            'crop' => 'radish',
            'variety' => null,
            'route' => 'direct',
            'replaces' => null,
        ])
            ->assertCreated()
            ->json('data');
        self::assertSame(
            [$told['days'], 8, 'Educator'],
            [$taken['crops'][0]['held']['days'], $taken['crops'][0]['held']['sowings'], $taken['crops'][0]['held']['by']],
        );
        self::assertSame($told['packet_days'], $taken['crops'][0]['packet_days'], 'the packet’s own days stay what is held against');
        $after = ZoneWindows::of(Zone::query()->firstOrFail())?->sheet('radish');
        self::assertNotEquals($before, $after, 'the windows follow');
        self::assertSame(
            (float) Crop::query()->where('slug', 'radish')->firstOrFail()->cells['maturity_days'],
            (float) $told['packet_days'],
            'the book is as it was',
        );
        $this->postJson('/api/zones/test-basin/local-days', [
            'crop' => 'radish',
            'variety' => null,
            'route' => 'direct',
            'replaces' => null,
        ])->assertConflict();
        $held = $taken['crops'][0]['held']['id'];
        $undone = $this->deleteJson("/api/zones/test-basin/local-days/{$held}")
            ->assertOk()
            ->json('data');
        self::assertSame(
            [null, $undone['history'][0]['undone_on'] !== '2012-06-13', 1],
            [$undone['crops'][0]['held'], $undone['history'][0]['undone_on'] !== null, count($undone['history'])],
        );
        self::assertEquals($before, ZoneWindows::of(Zone::query()->firstOrFail())?->sheet('radish'), 'Use packet days');
        $this->postJson('/api/zones/test-basin/local-days', [
            'crop' => 'kale',
            'variety' => null,
            'route' => 'direct',
            'replaces' => null,
        ])->assertUnprocessable();
        $this->actingAs($this->person(Role::Volunteer))
            ->postJson('/api/zones/test-basin/local-days', ['crop' => 'radish', 'variety' => null, 'route' => 'direct', 'replaces' => null])
            ->assertForbidden();
        self::assertSame(1, LocalDaysOfCrop::query()->count());
    }

    public function test_days_are_told_for_a_variety_of_the_book_by_its_own_packet(): void
    {
        $this->postJson('/api/crops/radish/varieties', [
            'name' => 'Harrow Red',
            'cells' => ['maturity_days' => '40'],
            'tags' => [],
        ])->assertCreated();
        $this->write(
            ['key' => 'red-number-one', 'act' => 'sown', 'on' => '2010-05-10', 'crop' => 'radish', 'variety' => 'Harrow Red'],
            ['key' => 'red-number-one-pick', 'act' => 'first-picked', 'on' => '2010-06-10', 'sowing' => 'red-number-one'],
            ['key' => 'own-number-one', 'act' => 'sown', 'on' => '2010-05-10', 'crop' => 'radish', 'variety' => 'From a neighbour'],
            ['key' => 'own-number-one-pick', 'act' => 'first-picked', 'on' => '2010-06-10', 'sowing' => 'own-number-one'],
        );
        $told = array_column($this->getJson('/api/zones/test-basin/local-days')->json('data.crops'), null, 'variety');
        self::assertSame([40, 1], [$told['Harrow Red']['packet_days'], $told['Harrow Red']['sowings']]);
        self::assertSame(1, $told['']['sowings'], 'a variety the book does not know tells of the crop');
        self::assertGreaterThan($told['Harrow Red']['factor'], $told['']['factor']);
        $this->postJson('/api/zones/test-basin/local-days', [
            'crop' => 'radish',
            'variety' => 'Harrow Red',
            'route' => 'direct',
            'replaces' => null,
        ])->assertCreated();
        $runs = fn (string $of): array => $this->getJson("/api/zones/test-basin/windows/radish/runs?route=direct{$of}")->json(
            'data.years.0.harvest',
        );
        self::assertNotSame(
            $runs(''),
            $runs('&variety='.Crop::query()->where('slug', 'radish')->firstOrFail()->varieties()->value('id')),
        );
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function plan(array $with = []): TestResponse
    {
        return $this->postJson(
            '/api/zones/test-basin/trials',
            $with + [
                'key' => 'trial-number-one',
                'crop' => 'radish',
                'route' => 'direct',
                'measured_in' => 'kilograms',
                'question' => 'Is a week early worth the risk?',
                'waves' => [
                    ['name' => 'a week early', 'on' => '2012-06-06'],
                    ['name' => 'on the day', 'on' => '2012-06-13'],
                    ['name' => 'a week late', 'on' => '2012-06-20'],
                ],
                'varieties' => [null, 'Harrow Red'],
                'repeats' => 2,
                'beds' => [['garden' => 'School garden', 'name' => 'Bed 1'], ['garden' => 'School garden', 'name' => 'Bed 2']],
            ],
        );
    }

    public function test_a_trial_from_its_plan_to_its_verdict(): void
    {
        $trial = $this->plan()->assertCreated()->json('data');
        self::assertCount(12, $trial['plots']);
        self::assertSame(
            ['a week early', null, 1, '2012-06-06', 'Bed 1'],
            [
                $trial['plots'][0]['wave'],
                $trial['plots'][0]['variety'],
                $trial['plots'][0]['repeat'],
                $trial['plots'][0]['on'],
                $trial['plots'][0]['bed']['name'],
            ],
        );
        self::assertSame('Bed 2', $trial['plots'][1]['bed']['name']);
        self::assertGreaterThan('2012-06-13', $trial['plots'][4]['expected']['first'][0]);
        $this->plan()->assertCreated()->assertJsonPath('data.id', $trial['id']);
        $this->plan(['question' => 'Another trial'])
            ->assertUnprocessable()
            ->assertJsonValidationErrorFor('key');
        self::assertSame(12, TrialPlot::query()->count());
        $due = $this->getJson('/api/zones/test-basin/log-book')->assertOk()->json('data.due');
        self::assertCount(12, $due, 'the plan becomes lines that are asked for');
        self::assertSame(['Radish', 'a week early', false], [$due[0]['name'], $due[0]['wave'], $due[0]['set_out']]);
        // The first wave: 2 kg from 4 m and a loss; with the variety 1 kg and 3 kg.
        foreach ([[0, 4, 2.0, 3], [1, 4, null, null], [2, 2, 1.0, 2], [3, 2, 3.0, 2]] as [$at, $metres, $kilograms, $quality]) {
            $plot = $trial['plots'][$at];
            $this->write(
                [
                    'key' => "plot-{$at}-sown",
                    'act' => 'sown',
                    'on' => '2012-06-01',
                    'crop' => 'radish',
                    'variety' => $plot['variety'],
                    'plot' => $plot['plot'],
                    'metres' => $metres,
                ],
                $kilograms === null
                    ? [
                        'key' => "plot-{$at}-lost",
                        'act' => 'lost',
                        'on' => '2012-06-10',
                        'sowing' => "plot-{$at}-sown",
                        'cause' => 'drowned',
                    ]
                    : [
                        'key' => "plot-{$at}-pick",
                        'act' => 'last-picked',
                        'on' => '2012-06-12',
                        'sowing' => "plot-{$at}-sown",
                        'kilograms' => $kilograms,
                        'quality' => $quality,
                    ],
            );
        }
        $verdict = $this->getJson('/api/zones/test-basin/trials?crop=radish')->assertOk()->json('data.0.verdict');
        self::assertSame([true, 8, true], [$verdict['by_metre'], $verdict['open'], $verdict['one_seasons_word']]);
        self::assertSame(
            [['Harrow Red', 2, 0, 1, 2], [null, 2, 1, 0.25, 3]],
            array_map(
                static fn (array $w): array => [$w['variety'], $w['repeats'], $w['lost'], $w['yield'], $w['quality']],
                $verdict['waves'],
            ),
            'kilograms a metre; what was lost gave nothing',
        );
        self::assertCount(8, $this->getJson('/api/zones/test-basin/log-book')->json('data.due'));
        $closed = $this->postJson("/api/trials/{$trial['id']}/conclusion", ['conclusion' => 'A week early is worth it on the bench.'])
            ->assertOk()
            ->json('data.closed');
        self::assertSame(['on' => '2012-06-13', 'by' => 'Educator', 'conclusion' => 'A week early is worth it on the bench.'], $closed);
        $this->postJson("/api/trials/{$trial['id']}/conclusion", ['conclusion' => 'No.'])
            ->assertOk()
            ->assertJsonPath('data.closed.conclusion', 'A week early is worth it on the bench.');
        self::assertSame([], $this->getJson('/api/zones/test-basin/log-book')->json('data.due'), 'a closed trial asks for nothing');
        $this->deleteJson("/api/trials/{$trial['id']}/conclusion")
            ->assertOk()
            ->assertJsonPath('data.closed', null);
        $this->getJson('/api/zones/test-basin/trials?crop=kale')->assertOk()->assertJsonPath('data', []);
        $this->actingAs($this->person(Role::Volunteer))
            ->postJson("/api/trials/{$trial['id']}/conclusion", ['conclusion' => 'x'])
            ->assertForbidden();
    }

    public function test_a_plan_that_cannot_be_is_refused_where_it_is(): void
    {
        foreach (
            [
                [['crop' => 'mango'], 'crop', 'The book has no such crop. Choose another one.'],
                [['crop' => 'carrot', 'route' => 'transplant'], 'route', 'The crop is not grown in this way.'],
                [
                    ['repeats' => 20, 'varieties' => [null, 'A', 'B']],
                    'repeats',
                    'That comes to more than 120 plots. Take fewer waves, varieties or repeats.',
                ],
                [['waves' => [['name' => 'one', 'on' => '2012-06-31']]], 'waves.0.on', 'Enter the day of each wave as YYYY-MM-DD.'],
                [
                    ['waves' => [['name' => 'one', 'on' => '2012-06-01'], ['name' => 'one', 'on' => '2012-06-08']]],
                    'waves.0.name',
                    'Two waves have the same name. Give each one its own.',
                ],
                [['question' => ''], 'question', 'Enter the question the trial should answer.'],
            ] as [$with, $field, $words]
        ) {
            self::assertSame($words, $this->plan($with)->assertUnprocessable()->json('errors')[$field][0] ?? null);
        }
        self::assertSame(0, TrialPlot::query()->count());
    }

    public function test_plants_tell_the_season_by_the_years_they_were_seen(): void
    {
        $cue = $this->postJson('/api/zones/test-basin/cues', ['plant' => 'Silver poplar', 'stage' => 'first leaf', 'note' => null])
            ->assertCreated()
            ->json('data.0.id');
        foreach (['2008-05-02', '2009-05-06'] as $day) {
            $this->write(['key' => "seen-{$day}", 'act' => 'seen', 'on' => $day, 'cue' => $cue, 'text' => 'by the mill']);
        }
        $told = $this->getJson('/api/zones/test-basin/cues')->assertOk()->json('data.0');
        self::assertSame(
            [false, [], null, 2],
            [$told['used'], $told['opens'], $told['expected'], count($told['years'])],
            'two years are told, and nothing leans on them',
        );
        foreach (['2010-05-01', '2010-05-09', '2011-05-08'] as $day) {
            $this->write(['key' => "seen-{$day}", 'act' => 'seen', 'on' => $day, 'cue' => $cue]);
        }
        $told = $this->getJson('/api/zones/test-basin/cues')->json('data.0');
        self::assertSame(
            [true, ['2008-05-02', '2009-05-06', '2010-05-01', '2011-05-08']],
            [$told['used'], array_column($told['years'], 'on')],
            'the first of a year',
        );
        self::assertSame(
            ['2008-05-02', 'by the mill', 'Educator'],
            [$told['sightings'][4]['on'], $told['sightings'][4]['place'], $told['sightings'][4]['by']],
        );
        self::assertNotNull($told['expected'][1]);
        foreach ($told['opens'] as $crop) {
            self::assertLessThanOrEqual($told['soil'] - $told['soil_deviation'] + 0.06, $crop['soil_min']);
        }
        self::assertNotContains('bush-bean', array_column($told['opens'], 'crop'));
        self::assertContains('radish', array_column($told['opens'], 'crop'));
        $this->write(['key' => 'seen-this-year', 'act' => 'seen', 'on' => '2012-05-03', 'cue' => $cue]);
        $told = $this->getJson('/api/zones/test-basin/cues')->json('data.0');
        self::assertSame(['2012-05-03', null, 4], [$told['this_year'], $told['expected'], count($told['years'])]);
        $csv = $this->get('/desk-files/zones/test-basin/log.csv?act=seen')->streamedContent();
        self::assertStringContainsString('"Silver poplar","first leaf","by the mill"', $csv);
        Zone::factory()->named('Other Basin')->create();
        $this->post(
            '/api/zones/other-basin/log-files',
            ['file' => $this->textFile($csv, 'log.csv')],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        self::assertSame(6, LogImport::query()->value('saved'));
        self::assertCount(6, $this->getJson('/api/zones/other-basin/cues')->json('data.0.sightings'), 'old years come by a table');
        $this->post(
            '/api/zones/other-basin/log-files',
            ['file' => $this->textFile("on,act,plant,stage\n2011-05-01,seen,Silver poplar,last leaf\n", 'log.csv')],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        self::assertSame(
            ['Row 2, plant: The county’s list has no such plant in that stage. Add it first.'],
            LogImport::query()->latest('id')->firstOrFail()->faults,
        );
        $this->deleteJson("/api/zones/test-basin/cues/{$cue}")->assertConflict();
        $empty = $this->postJson('/api/zones/test-basin/cues', ['plant' => 'Dog rose', 'stage' => 'first flower'])->json('data');
        $rose = array_column($empty, 'id', 'plant')['Dog rose'];
        $this->deleteJson("/api/zones/test-basin/cues/{$rose}")
            ->assertOk()
            ->assertJsonCount(1, 'data');
        $this->actingAs($this->person(Role::Volunteer))
            ->postJson('/api/zones/test-basin/cues', ['plant' => 'x', 'stage' => 'y'])
            ->assertForbidden();
    }

    public function test_what_stands_is_followed_on_this_season_and_what_is_seen_takes_the_place_of_what_was_expected(): void
    {
        $this->write(
            ['key' => 'radish-now', 'act' => 'sown', 'on' => '2012-06-10', 'crop' => 'radish', 'metres' => 3],
            ['key' => 'bean-now', 'act' => 'sown', 'on' => '2012-06-01', 'crop' => 'bush-bean'],
            ['key' => 'tomato-now', 'act' => 'sown', 'on' => '2012-05-20', 'crop' => 'tomato-main', 'under_cover' => true],
            ['key' => 'done-already', 'act' => 'sown', 'on' => '2012-04-20', 'crop' => 'radish'],
            ['key' => 'done-picked', 'act' => 'last-picked', 'on' => '2012-06-05', 'sowing' => 'done-already'],
        );
        $told = array_column($this->getJson('/api/zones/test-basin/under-way')->assertOk()->json('data'), null, 'key');
        self::assertEqualsCanonicalizing(['radish-now', 'bean-now', 'tomato-now'], array_keys($told));
        self::assertSame('radish-now', array_key_first($told), 'what is picked next first');
        $radish = $told['radish-now']['goes_on'];
        self::assertGreaterThan('2012-06-12', $radish['up'][0]);
        self::assertGreaterThan($radish['thin'], $radish['first_pick'][2]);
        self::assertSame($radish['of'], $radish['members']);
        self::assertGreaterThanOrEqual('2012-06-13', $told['tomato-now']['goes_on']['set_out']);
        $this->write(['key' => 'bean-now-up', 'act' => 'up', 'on' => '2012-06-13', 'sowing' => 'bean-now']);
        $after = array_column($this->getJson('/api/zones/test-basin/under-way')->json('data'), null, 'key')['bean-now'];
        self::assertSame(['2012-06-13', null, '2012-06-27'], [$after['days']['up'], $after['goes_on']['up'], $after['goes_on']['thin']]);
        Sowing::query()
            ->where('idempotency_key', 'radish-now')
            ->update(['begun_on' => '2011-01-01']);
        self::assertCount(2, $this->getJson('/api/zones/test-basin/under-way')->json('data'), 'what nobody tells of for long is forgotten');
        config(['anthesis.today' => '2013-01-10']);
        self::assertNull($this->getJson('/api/zones/test-basin/under-way')->assertOk()->json('data.0.goes_on'), 'this season is not known');
    }
}
