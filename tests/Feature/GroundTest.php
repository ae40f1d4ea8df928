<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ground\Planting;
use App\Ground\Price;
use App\Log\Bed;
use App\People\Change;
use App\People\Role;
use App\People\User;
use App\Zones\Zone;
use Carbon\CarbonImmutable;
use Illuminate\Testing\TestResponse;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Tests\TestCase;

/** Beds, what is planned for them, and how the log changes that. */
class GroundTest extends TestCase
{
    protected ?array $book = ['radish', 'kale', 'bush-bean', 'tomato-main', 'carrot', 'cabbage-early', 'cover-rye'];

    private const YEAR = '?from=2012-01-01&to=2012-12-31';

    /** @var list<int> */
    private array $beds = [];

    protected function setUp(): void
    {
        parent::setUp();
        config(['anthesis.today' => '2012-04-20']);
        Zone::factory()->create();
        $this->actingAs($this->person());
        $lines = explode("\n", (string) file_get_contents(base_path('core/tests/fixtures/station-north.csv')));
        $file = $this->textFile(
            implode(
                "\n",
                array_filter($lines, static fn (string $l): bool => substr($l, 0, 10) <= '2012-04-19' || str_starts_with($l, 'date')),
            ),
        );
        $this->post('/api/zones/test-basin/record-imports', ['file' => $file], ['Accept' => 'application/json'])->assertStatus(202);
        foreach (['Bed 1' => 10, 'Bed 2' => 6] as $name => $length) {
            $this->postJson('/api/zones/test-basin/beds', [
                'garden' => 'School',
                'name' => $name,
                'site' => 'raised bed',
                'length_m' => $length,
                'width_m' => 1.2,
            ])->assertCreated();
        }
        $this->beds = Bed::query()->orderBy('name')->pluck('id')->all();
    }

    /**
     * @param  array<string, mixed>  $change
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function change(array $change): TestResponse
    {
        return $this->putJson('/api/zones/test-basin/plantings'.self::YEAR, $change);
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private function planting(string $crop, string $on, array $with = []): array
    {
        return $with + [
            'key' => uniqid('planting-'),
            'crop' => $crop,
            'route' => 'direct',
            'bed' => $this->beds[0],
            'on' => $on,
            'metres' => 10,
        ];
    }

    public function test_what_is_planned_stands_from_its_day_to_its_last_harvest_and_what_cannot_be_is_said(): void
    {
        $ground = $this->change([
            'add' => [
                $this->planting('radish', '2012-05-10'),
                $this->planting('carrot', '2012-06-01', ['metres' => 6]),
                $this->planting('bush-bean', '2012-01-15', ['bed' => $this->beds[1], 'metres' => 6]),
            ],
        ])
            ->assertOk()
            ->json('data.ground');
        [$one, $two] = $ground['beds'];
        self::assertSame(
            ['Bed 1', 10, 'raised bed', ['planned', 'planned']],
            [$one['name'], $one['length_m'], $one['site'], array_column($one['stays'], 'kind')],
        );
        $radish = $one['stays'][0];
        self::assertSame(
            ['rows' => 6, 'plants' => 1500],
            array_intersect_key($radish['need'], ['rows' => 1, 'plants' => 1]),
            'six rows of 20 cm on 1.2 m, a plant every 4 cm of 10 m',
        );
        self::assertEqualsWithDelta([1875, 20.8], [$radish['need']['seeds'], $radish['need']['grams']], 0.1);
        self::assertTrue($radish['first'] > '2012-05-10' && $radish['first'] < $radish['to']);
        self::assertSame('Brassicaceae', $radish['family']);
        $double = array_values(array_filter($one['conflicts'], static fn (array $c): bool => $c['kind'] === 'double'));
        self::assertSame(
            [1, '2012-06-01', $radish['to']],
            [count($double), $double[0]['from'], $double[0]['to']],
            'the carrots come while the radish stands',
        );
        self::assertSame(['outside'], array_column($two['conflicts'], 'kind'), 'nobody sows beans in January');
        self::assertSame('2012-01-01', $one['gaps'][0]['from']);
        self::assertSame('2012-05-09', $one['gaps'][0]['to']);
    }

    public function test_every_change_tells_what_undoes_it(): void
    {
        $added = $this->change(['add' => [$this->planting('radish', '2012-05-10', ['key' => 'the-same-key'])]])->json('data');
        $this->change(['add' => [$this->planting('radish', '2012-05-10', ['key' => 'the-same-key'])]])->assertOk();
        $this->change(['add' => [$this->planting('radish', '2012-05-11', ['key' => 'the-same-key'])]])
            ->assertUnprocessable()
            ->assertJsonValidationErrorFor('key');
        $id = $added['ground']['beds'][0]['stays'][0]['planting'];
        self::assertSame(['add' => [], 'change' => [], 'remove' => [['id' => $id, 'version' => 1]], 'restore' => []], $added['undo']);
        $moved = $this->change([
            'change' => [['id' => $id, 'version' => 1, 'bed' => $this->beds[1], 'on' => '2012-05-20', 'metres' => 3, 'pinned' => true]],
        ])
            ->assertOk()
            ->json('data');
        self::assertSame(
            ['2012-05-20', 3, true],
            [
                $moved['ground']['beds'][1]['stays'][0]['from'],
                $moved['ground']['beds'][1]['stays'][0]['metres'],
                $moved['ground']['beds'][1]['stays'][0]['pinned'],
            ],
        );
        $back = $this->change($moved['undo'])->assertOk()->json('data.ground');
        self::assertSame(
            ['2012-05-10', 10, false],
            [$back['beds'][0]['stays'][0]['from'], $back['beds'][0]['stays'][0]['metres'], $back['beds'][0]['stays'][0]['pinned']],
        );
        $gone = $this->change(['remove' => [['id' => $id, 'version' => Planting::query()->findOrFail($id)->version]]])
            ->assertOk()
            ->json('data');
        self::assertSame([], $gone['ground']['beds'][0]['stays']);
        self::assertCount(1, $this->change($gone['undo'])->json('data.ground.beds.0.stays'));
        self::assertSame(1, Planting::query()->count());
    }

    public function test_what_the_log_knows_takes_the_place_of_what_was_planned(): void
    {
        $this->change([
            'add' => [$this->planting('radish', '2012-04-10', ['metres' => 4]), $this->planting('kale', '2012-05-20', ['metres' => 4])],
        ]);
        $now = CarbonImmutable::now()->getTimestampMs();
        $write = fn (array ...$entries) => $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => $now,
            'by' => 'desk',
            'entries' => array_map(static fn (array $e): array => $e + ['written_at' => $now], $entries),
        ])
            ->assertOk()
            ->assertJsonPath('data.refused', []);
        $write([
            'key' => 'radish-sown',
            'act' => 'sown',
            'on' => '2012-04-14',
            'crop' => 'radish',
            'garden' => 'School',
            'bed' => 'Bed 1',
            'metres' => 5,
        ]);
        $stays = $this->getJson('/api/zones/test-basin/ground'.self::YEAR)
            ->assertOk()
            ->json('data.beds.0.stays');
        self::assertSame(
            [['under-way', '2012-04-14', 5], ['planned', '2012-05-20', 4]],
            array_map(static fn (array $s): array => [$s['kind'], $s['from'], $s['metres']], $stays),
        );
        $write(['key' => 'radish-lost', 'act' => 'lost', 'on' => '2012-04-20', 'sowing' => 'radish-sown', 'cause' => 'frost']);
        $lost = $this->getJson('/api/zones/test-basin/ground'.self::YEAR)->json('data.beds.0.stays.0');
        self::assertSame(['lost', '2012-04-20', null], [$lost['kind'], $lost['to'], $lost['first']]);
    }

    public function test_what_fits_a_gap_comes_with_its_worth_and_what_breaks_a_rest_goes_last(): void
    {
        $this->change(['add' => [$this->planting('cabbage-early', '2011-05-10', ['route' => 'transplant'])]]);
        $fits = $this->getJson("/api/zones/test-basin/beds/{$this->beds[0]}/fits?from=2012-05-01&to=2012-10-15")
            ->assertOk()
            ->json('data');
        self::assertSame(10, $fits['free_m']);
        $names = array_column($fits['fits'], 'name');
        self::assertSame(['Bush bean', true], [$names[0], $fits['fits'][0]['feeds']], 'cabbage took much');
        $broken = array_values(array_filter($fits['fits'], static fn (array $f): bool => $f['breaks'] !== null));
        self::assertSame('Early cabbage', $broken[0]['breaks']['name']);
        self::assertSame(4, $broken[0]['breaks']['years']);
        self::assertSame(count($fits['fits']) - count($broken), array_search($broken[0], $fits['fits'], true), 'those go last');
        $short = $this->getJson("/api/zones/test-basin/beds/{$this->beds[0]}/fits?from=2012-05-01&to=2012-05-10")
            ->assertOk()
            ->json('data.fits');
        self::assertSame([], $short);
        $other = Zone::factory()->named('Other Basin')->create();
        $this->getJson("/api/zones/{$other->slug}/beds/{$this->beds[0]}/fits")->assertNotFound();
    }

    public function test_a_second_crop_stands_between_the_rows_of_another_and_stays_with_it_when_either_is_sown(): void
    {
        $bed = $this->beds[0];
        $this->change(['add' => [$this->planting('tomato-main', '2012-05-25', ['metres' => 10, 'route' => 'transplant'])]])->assertOk();
        $first = 'planting '.Planting::query()->sole()->id;
        $at = '/api/zones/test-basin/beds/'.$bed.'/between?stay=';
        $told = $this->getJson($at.rawurlencode($first))
            ->assertOk()
            ->json('data');
        // 76 days of the packet: closed after 38.
        self::assertSame(['2012-07-02', 10], [$told['closes'], $told['room_m']]);
        $fits = array_column($told['fits'], null, 'crop');
        $radish = $fits['radish'];
        self::assertSame([true, [], 5, 16.7], [$radish['relay'], $radish['against'], $radish['rows'], $radish['apart_cm']]);
        self::assertSame(['shade'], $fits['bush-bean']['against']);

        // The bed is full of tomatoes, but there is room between their rows.
        $beside = $this->planting('radish', $radish['on'], ['key' => 'between-tomatoes', 'metres' => 8]);
        $alone = $this->change(['add' => [$beside]])
            ->assertOk()
            ->json('data');
        self::assertSame(['double'], array_column($alone['ground']['beds'][0]['conflicts'], 'kind'));
        $this->change($alone['undo'])->assertOk();
        $this->change(['add' => [['between' => 'planting 99999', 'key' => 'between-nothing'] + $beside]])
            ->assertUnprocessable()
            ->assertJsonPath('errors', [
                'add.0.between' => ['What it should grow between is not in this bed, or grows between rows itself. Choose another one.'],
            ]);
        $put = $this->change(['add' => [['between' => $first, 'key' => 'between-rows'] + $beside]])
            ->assertOk()
            ->json('data');
        [$tomatoes, $second] = $put['ground']['beds'][0]['stays'];
        self::assertSame([[], null, $first], [$put['ground']['beds'][0]['conflicts'], $tomatoes['between'], $second['between']]);
        // One row of tomatoes on 1.2 m, so five of radish beside it: 8 m, 4 cm apart.
        self::assertSame([1, 5, 1000], [$tomatoes['need']['rows'], $second['need']['rows'], $second['need']['plants']]);
        self::assertSame(2, $this->getJson($at.rawurlencode($first))->json('data.room_m'));
        $this->getJson($at.rawurlencode($second['key']))
            ->assertOk()
            ->assertJsonPath('data.fits', [])
            ->assertJsonPath('data.room_m', 0);
        $this->getJson($at.'planting+99999')->assertNotFound();
        self::assertSame('planting', explode(' ', (string) Change::query()->latest('id')->firstOrFail()->fields['between']['is'])[0]);

        // Moved to another bed, it has its own space there; undone, it is back between them.
        $named = ['id' => $second['planting'], 'version' => $second['version'], 'on' => $second['from'], 'metres' => 3, 'pinned' => false];
        $moved = $this->change(['change' => [$named + ['bed' => $this->beds[1]]]])
            ->assertOk()
            ->json('data');
        self::assertSame([null], array_column($moved['ground']['beds'][1]['stays'], 'between'));
        $back = $this->change($moved['undo'])->assertOk()->json('data.ground.beds');
        self::assertSame([null, $first], array_column($back[0]['stays'], 'between'));

        // Sown as planned, both are a pair in the log's terms too.
        $line = ['act' => 'set-out', 'on' => '2012-05-25', 'garden' => 'School', 'bed' => 'Bed 1', 'metres' => 10, 'written_at' => 1];
        config(['anthesis.today' => '2012-06-02']);
        $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => 2,
            'by' => 'desk',
            'entries' => [
                ['key' => 'tomatoes-are-out', 'crop' => 'tomato-main'] + $line,
                ['key' => 'radish-is-in', 'crop' => 'radish', 'act' => 'sown', 'on' => $radish['on'], 'metres' => 8] + $line,
            ],
        ])->assertOk();
        $stays = $this->getJson('/api/zones/test-basin/ground'.self::YEAR)
            ->assertOk()
            ->json('data.beds.0.stays');
        self::assertEquals(
            ['sowing radish-is-in' => 'sowing tomatoes-are-out', 'sowing tomatoes-are-out' => null],
            array_column($stays, 'between', 'key'),
        );
    }

    public function test_spare_seedlings_are_planned_beside_a_sowing_that_often_fails_until_it_is_up(): void
    {
        $site = Bed::query()->findOrFail($this->beds[0])->site_id;
        $windows = "/api/zones/test-basin/windows/kale/spares?route=direct&site={$site}&on=";
        $this->change(['add' => [$this->planting('kale', '2012-03-05', ['metres' => 4])]])->assertOk();
        $planting = Planting::query()->sole();
        $at = "/api/zones/test-basin/plantings/{$planting->id}/spares";
        $of = $this->getJson("{$windows}03-05")->json('data');
        $told = $this->getJson($at)->assertOk()->json('data');
        self::assertSame(
            [$of['years'], $of['failed'], "2012-{$of['start']}", "2012-{$of['ready']}", "2012-{$of['until']}"],
            [$told['years'], $told['failed'], $told['start'], $told['ready'], $told['until']],
        );
        self::assertGreaterThan(0.2 * $told['years'], $told['failed']);
        $ground = fn (): array => $this->getJson('/api/zones/test-basin/ground'.self::YEAR)->json('data.beds.0.stays.0');
        $tasks = fn (): array => array_values(
            array_filter(
                $this->getJson('/api/zones/test-basin/ground-tasks?from=2012-01-01&to=2012-12-31')->assertOk()->json('data'),
                static fn (array $t): bool => str_starts_with($t['key'], 'spares-'),
            ),
        );
        $before = $ground();
        self::assertSame([false, null, []], [$before['spares'], $before['need']['spares'], $tasks()]);

        $named = ['id' => $planting->id, 'version' => 1, 'bed' => $this->beds[0], 'on' => '2012-03-05', 'metres' => 4];
        $planned = $this->change(['change' => [$named + ['spares' => true]]])
            ->assertOk()
            ->json('data');
        $stay = $planned['ground']['beds'][0]['stays'][0];
        // As many plants as the rows have, plus one in ten, each from seed that germinates as often.
        self::assertSame((int) ceil(1.1 * $before['need']['plants'] - 1e-9), $stay['need']['spares']);
        self::assertSame([true, $told['plants']], [$stay['spares'], $stay['need']['spares']]);
        self::assertEqualsWithDelta(2.1 * $before['need']['seeds'], $stay['need']['seeds'], 2);
        self::assertSame(
            [['spares-start', $told['start'], null, $told['plants']], ['spares-ready', $told['ready'], $told['until'], $told['plants']]],
            array_map(static fn (array $t): array => [$t['key'], $t['on'], $t['to'], $t['plants']], $tasks()),
        );
        // A change of something else leaves them planned; undone, they are not.
        $moved = $this->change(['change' => [['version' => 2, 'metres' => 3] + $named]])->assertOk();
        self::assertTrue($moved->json('data.ground.beds.0.stays.0.spares'));
        self::assertTrue($moved->json('data.undo.change.0.spares'));
        $this->change(['change' => [['version' => 3] + $planned['undo']['change'][0]]])->assertOk();
        self::assertFalse($ground()['spares']);
        $this->change(['change' => [['version' => 4, 'spares' => true] + $named]])->assertOk();

        // Once they are started, they need not be started; once the sowing is up, nobody waits for them.
        config(['anthesis.today' => '2012-05-20']);
        $log = fn (array $entry) => $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => 2,
            'by' => 'desk',
            'entries' => [$entry + ['garden' => 'School', 'bed' => 'Bed 1', 'crop' => 'kale', 'written_at' => 1]],
        ])
            ->assertOk()
            ->assertJsonPath('data.refused', []);
        $log(['key' => 'spares-are-started', 'act' => 'sown', 'on' => $told['start'], 'under_cover' => true]);
        self::assertSame(['spares-ready'], array_column($tasks(), 'key'));
        $log(['key' => 'kale-is-sown', 'act' => 'sown', 'on' => '2012-03-05', 'metres' => 4]);
        self::assertSame(['sowing kale-is-sown', true], [$ground()['key'], $ground()['spares']]);
        self::assertSame(['spares-ready'], array_column($tasks(), 'key'));
        $log(['key' => 'kale-is-up', 'act' => 'up', 'on' => '2012-05-10', 'sowing' => 'kale-is-sown']);
        self::assertSame([false, []], [$ground()['spares'], $tasks()]);

        $this->getJson('/api/zones/test-basin/plantings/99999/spares')->assertNotFound();
        $this->change(['remove' => [['id' => $planting->id, 'version' => 5]]])->assertOk();
        $this->getJson($at)->assertNotFound();
    }

    public function test_each_crop_is_told_by_what_it_gives_for_its_ground_and_ones_own_price(): void
    {
        $rows = fn (): array => array_column(
            array_filter(
                $this->getJson('/api/zones/test-basin/worth')->assertOk()->json('data'),
                static fn (array $r): bool => $r['route'] === 'direct',
            ),
            null,
            'crop',
        );
        $worth = $rows();
        self::assertArrayNotHasKey('cover-rye', $worth, 'no yield is known of it');
        $radish = $worth['radish'];
        self::assertSame(['kg', 'usual', null], [$radish['unit'], $radish['thirst'], $radish['price']]);
        self::assertEqualsWithDelta(((($radish['share'] * 0.6) / 0.2) * 7) / $radish['days'], $radish['amount'], 0.01);
        self::assertGreaterThan($worth['carrot']['amount'], $radish['amount'], 'quick');
        $this->putJson('/api/prices/radish', ['price' => 4.255])
            ->assertOk()
            ->assertJsonPath('data', ['crop' => 'radish', 'price' => 4.26]);
        $this->putJson('/api/prices/radish', ['price' => 5])->assertOk();
        self::assertEqualsWithDelta(5.0, $rows()['radish']['price'], 1e-9);
        foreach ([0, -1, 'much', 1e6, [1]] as $wrong) {
            $this->putJson('/api/prices/radish', ['price' => $wrong])->assertUnprocessable();
        }
        $this->putJson('/api/prices/radish', [])->assertUnprocessable();
        $this->putJson('/api/prices/moonfruit', ['price' => 1])->assertNotFound();
        $this->actingAs($this->person(Role::Volunteer));
        self::assertNull($rows()['radish']['price'], 'another person’s prices are their own');
        $this->putJson('/api/prices/radish', ['price' => 2])->assertOk();
        $this->putJson('/api/prices/radish', ['price' => null])->assertOk();
        self::assertNull($rows()['radish']['price']);
        self::assertSame(1, Price::query()->count());
    }

    public function test_a_season_is_proposed_around_what_is_pinned_and_nothing_is_kept_of_it(): void
    {
        $this->change([
            'add' => [
                $this->planting('kale', '2012-05-20', ['pinned' => true]),
                $this->planting('radish', '2012-05-01', ['bed' => $this->beds[1], 'metres' => 6]),
            ],
        ]);
        $propose = fn (array $with = []): TestResponse => $this->postJson(
            '/api/zones/test-basin/season-plans'.self::YEAR,
            $with + [
                'beds' => $this->beds,
                'wishes' => [
                    ['key' => 'carrots', 'crop' => 'carrot', 'metres' => 3],
                    ['key' => 'beans', 'crop' => 'bush-bean', 'metres' => 3],
                    ['key' => 'radishes', 'crop' => 'radish', 'metres' => 3],
                    ['key' => 'many', 'crop' => 'tomato-main', 'metres' => 50],
                ],
            ],
        );
        $plan = $propose()->assertOk()->json('data');
        self::assertSame(['many'], array_column($plan['not_placed'], 'key'));
        self::assertSame('no-room', $plan['not_placed'][0]['reason']);
        self::assertCount(3, $plan['placed']);
        self::assertSame(
            [['id' => Planting::query()->where('pinned', false)->value('id'), 'version' => 1]],
            $plan['replaces'],
            'what is not pinned is planned anew',
        );
        foreach ($plan['placed'] as $placed) {
            self::assertGreaterThanOrEqual('2012-04-20', $placed['on'], 'nothing is sown in the past');
        }
        self::assertSame(2, Planting::query()->count());
        // Adopted, nothing overlaps.
        $add = array_map(
            static fn (array $p): array => [
                'key' => uniqid('placed-'),
                'crop' => $p['crop'],
                'variety' => $p['variety'],
                'route' => $p['route'],
                'bed' => $p['bed'],
                'on' => $p['on'],
                'metres' => $p['metres'],
            ],
            $plan['placed'],
        );
        $ground = $this->change(['add' => $add, 'remove' => $plan['replaces']])
            ->assertOk()
            ->json('data.ground');
        foreach ($ground['beds'] as $bed) {
            self::assertSame([], $bed['conflicts'], $bed['name']);
        }
        foreach (
            [
                [['beds' => []], 'beds', 'Choose at least one bed.'],
                [['beds' => [1, 1]], 'beds.0', 'A bed is listed twice.'],
                [
                    ['wishes' => [['key' => 'x', 'crop' => 'mango', 'metres' => 1]]],
                    'wishes.0.crop',
                    'The book has no such crop or variety. Choose another one.',
                ],
                [
                    ['wishes' => [['key' => 'x', 'crop' => 'kale', 'metres' => 0]]],
                    'wishes.0.metres',
                    'A crop takes 0.1 to 1,000 m of a bed.',
                ],
            ] as [$with, $field, $words]
        ) {
            self::assertSame($words, $propose($with)->assertUnprocessable()->json('errors')[$field][0] ?? null);
        }
    }

    public function test_tasks_come_from_the_plan_with_their_days(): void
    {
        $this->change(['add' => [$this->planting('carrot', '2012-06-01')]]);
        $tasks = $this->getJson('/api/zones/test-basin/ground-tasks?from=2012-04-20&to=2012-07-31')->assertOk()->json('data');
        $days = array_column($tasks, 'on', 'key');
        self::assertSame('2012-05-18', $days['amend']);
        self::assertSame('2012-06-01', $days['water']);
        self::assertSame('2012-04-20', $days['compost-turned']);
        self::assertArrayNotHasKey('compost', $days, 'that was before');
        self::assertSame(['Carrot', 'Bed 1', '2012-06-01'], [$tasks[0]['name'], $tasks[0]['bed']['name'], $tasks[0]['for']]);
        $sorted = array_column($tasks, 'on');
        sort($sorted);
        self::assertSame($sorted, array_column($tasks, 'on'));
    }

    public function test_a_cover_crop_is_cut_in_time_for_what_comes_after_it_planned_or_sown(): void
    {
        $this->change(['add' => [$this->planting('cover-rye', '2012-08-20'), $this->planting('radish', '2013-05-01')]]);
        $cut = fn (string $from, string $to): array => array_values(
            array_filter(
                $this->getJson("/api/zones/test-basin/ground-tasks?from={$from}&to={$to}")
                    ->assertOk()
                    ->json('data'),
                static fn (array $t): bool => $t['key'] === 'cut',
            ),
        );
        $keys = array_column(
            array_filter(
                $this->getJson('/api/zones/test-basin/ground-tasks?from=2012-05-01&to=2012-12-31')->json('data'),
                static fn (array $t): bool => $t['crop'] === 'cover-rye',
            ),
            'key',
        );
        self::assertSame([], array_intersect($keys, ['compost', 'amend', 'thin', 'no-raw-manure']), 'nothing is made ready for it');
        [$planned] = $cut('2012-08-20', '2013-04-30');
        self::assertSame(['Bed 1', '2012-08-20'], [$planned['bed']['name'], $planned['for']]);
        self::assertLessThanOrEqual('2013-04-10', $planned['to']);
        $now = CarbonImmutable::now()->getTimestampMs();
        $this->postJson('/api/zones/test-basin/log-entries', [
            'sent_at' => $now,
            'by' => 'desk',
            'entries' => [
                [
                    'key' => 'rye-sown',
                    'act' => 'sown',
                    'on' => '2012-04-10',
                    'crop' => 'cover-rye',
                    'garden' => 'School',
                    'bed' => 'Bed 2',
                    'metres' => 6,
                    'written_at' => $now,
                ],
            ],
        ])->assertOk();
        self::assertSame(
            ['sowing rye-sown'],
            array_column(
                array_filter($cut('2012-04-20', '2012-12-31'), static fn (array $t): bool => $t['bed']['name'] === 'Bed 2'),
                'stay',
            ),
        );
    }

    public function test_tasks_are_a_calendar_by_a_secret_address_that_can_be_made_anew(): void
    {
        $this->change(['add' => [$this->planting('carrot', '2012-06-01')]]);
        $address = (string) parse_url(
            (string) $this->postJson('/api/zones/test-basin/task-feeds')->assertCreated()->json('data.url'),
            PHP_URL_PATH,
        );
        $this->app['auth']->forgetGuards();
        $text = (string) $this->get($address)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
        $calendar = Reader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        $summaries = array_map(
            static fn ($event): string => $event->SUMMARY.' '.$event->DTSTART,
            iterator_to_array($calendar->select('VEVENT'), false),
        );
        self::assertContains('Amend Bed 1 for Carrot (1 June); where there are two seasons, twice a year 20120518', $summaries);
        $this->get(substr($address, 0, 10).str_repeat('x', 46).substr($address, 56))->assertNotFound();
        $this->actingAs($this->person())->postJson('/api/zones/test-basin/task-feeds')->assertCreated();
        $this->get($address)->assertOk();
    }

    public function test_an_undo_leaves_what_somebody_else_changed_and_is_refused_with_what_that_was(): void
    {
        $added = $this->change(['add' => [$this->planting('radish', '2012-05-01', ['metres' => 4])]])
            ->assertOk()
            ->json('data');
        $id = $added['undo']['remove'][0]['id'];
        $moved = $this->change(['change' => [['id' => $id, 'version' => 1, 'bed' => $this->beds[0], 'on' => '2012-05-08', 'metres' => 4]]])
            ->assertOk()
            ->json('data.undo');
        self::assertSame(
            [
                'id' => $id,
                'version' => 2,
                'bed' => $this->beds[0],
                'on' => '2012-05-01',
                'metres' => 4,
                'pinned' => false,
                'spares' => false,
                'between' => null,
            ],
            $moved['change'][0],
        );
        $this->actingAs(User::factory()->create(['name' => 'Tobias']));
        $this->change([
            'change' => [['id' => $id, 'version' => 2, 'bed' => $this->beds[1], 'on' => '2012-05-08', 'metres' => 3]],
        ])->assertOk();
        foreach ([$moved, $added['undo']] as $undo) {
            $changed = array_column($this->change($undo)->assertConflict()->json('changed'), null, 'field');
            self::assertSame(['Bed 1', 'Bed 2', 'Tobias'], [$changed['bed']['was'], $changed['bed']['is'], $changed['bed']['by']]);
        }
        $this->change([
            'remove' => [['id' => $id, 'version' => 3]],
            'add' => [$this->planting('radish', '2012-06-01', ['bed' => 9999])],
        ])->assertUnprocessable();
        $now = Planting::query()->findOrFail($id);
        self::assertSame(
            [$this->beds[1], '2012-05-08', 3.0, null, 3],
            [$now->bed_id, $now->day->format('Y-m-d'), $now->metres, $now->removed_at, $now->version],
            'all of it or nothing',
        );
        self::assertSame(['added', 'edited', 'edited'], Change::query()->where('subject', 'plantings')->orderBy('id')->pluck('act')->all());
        // Undone in turn, the earlier undo refers to the versions the later one left.
        $back = $this->change(['change' => [['id' => $id, 'version' => 3, 'bed' => $this->beds[0], 'on' => '2012-05-08', 'metres' => 4]]])
            ->assertOk()
            ->json('data.undo.change.0.version');
        $this->change(['remove' => [['id' => $id, 'version' => $back]]])
            ->assertOk()
            ->assertJsonPath('data.undo.restore.0.version', $back + 1);
    }

    public function test_two_who_edit_a_bed_do_not_lose_one(): void
    {
        $put = fn (array $values): TestResponse => $this->putJson(
            "/api/zones/test-basin/beds/{$this->beds[0]}",
            $values + ['garden' => 'School', 'name' => 'Bed 1', 'site' => 'raised bed', 'length_m' => 10, 'width_m' => 1.2],
        );
        $put(['version' => 1, 'length_m' => 12])
            ->assertOk()
            ->assertJsonPath('data.beds.0.version', 2);
        $put(['version' => 1, 'width_m' => 0.9])
            ->assertConflict()
            ->assertJsonPath('changed.0.field', 'length_m')
            ->assertJsonPath('changed.0.is', 12);
        $put(['width_m' => 0.9])
            ->assertUnprocessable()
            ->assertJsonValidationErrors('version');
        self::assertSame(
            [['added', 1], ['added', 1], ['edited', 2]],
            Change::query()
                ->where('subject', 'beds')
                ->orderBy('id')
                ->get()
                ->map(static fn (Change $c): array => [$c->act, $c->version ?? 1])
                ->all(),
        );
    }

    public function test_what_cannot_be_is_refused_where_it_is_and_nothing_is_kept(): void
    {
        foreach (
            [
                [['length_m' => 0], 'length_m', 'A bed is 0.1 to 1,000 m long. Check the number and its unit.'],
                [['length_m' => 10000], 'length_m', 'A bed is 0.1 to 1,000 m long. Check the number and its unit.'],
                [['name' => 'Bed 1'], 'name', 'There already is a bed with that name in this garden. Choose another name.'],
                [['site' => 'moon'], 'site', 'This zone has no such growing site. Choose another one.'],
            ] as [$with, $field, $words]
        ) {
            $this->postJson('/api/zones/test-basin/beds', $with + ['garden' => 'School', 'name' => 'Bed 3'])
                ->assertUnprocessable()
                ->assertJsonPath("errors.{$field}.0", $words);
        }
        $this->putJson("/api/zones/test-basin/beds/{$this->beds[0]}", [
            'garden' => 'School',
            'name' => 'Bed 1',
            'length_m' => 12,
            'version' => 1,
        ])
            ->assertOk()
            ->assertJsonPath('data.beds.0.length_m', 12);
        foreach (
            [
                [$this->planting('mango', '2012-05-01'), 'add.1.crop', 'The book has no such crop. Choose another one.'],
                [$this->planting('carrot', '2012-05-01', ['route' => 'transplant']), 'add.1.route', 'Carrot is not grown in this way.'],
                [$this->planting('carrot', '2012-05-32'), 'add.1.on', 'Enter the day as YYYY-MM-DD.'],
                [
                    $this->planting('carrot', '2012-05-01', ['metres' => 13]),
                    'add.1.metres',
                    'Bed 1 is 12 m long. Plant at most that, or make the bed longer.',
                ],
                [
                    $this->planting('carrot', '2012-05-01', ['bed' => 999]),
                    'add.1.bed',
                    'This zone has no such bed. Reload the page.',
                ],
            ] as [$planting, $field, $words]
        ) {
            self::assertSame(
                $words,
                $this->change(['add' => [$this->planting('radish', '2012-05-01'), $planting]])
                    ->assertUnprocessable()
                    ->json('errors')[$field][0] ?? null,
            );
        }
        $this->change(['remove' => [['id' => 999, 'version' => 1]]])->assertUnprocessable();
        self::assertSame([2, 0], [Bed::query()->count(), Planting::query()->count()]);
        $this->getJson('/api/zones/test-basin/ground?from=2012-05-01&to=2012-04-01')->assertUnprocessable();
    }
}
