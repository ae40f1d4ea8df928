<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Record\Day;
use App\Advisories\Advisory;
use App\Console\TurnDay;
use App\Editions\Edition;
use App\Gardener\PublicSite;
use App\Office\Office;
use App\People\Change;
use App\People\Role;
use App\Simulation\SimulatedOutlook;
use App\Simulation\SimulatedStation;
use App\Simulation\SimulatedStations;
use App\Stations\OutlookSource;
use App\Zones\Zone;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** What gardeners are told of this season: by the week's page each day, and by the educator. */
class AdvisoryTest extends TestCase
{
    protected ?array $book = ['radish', 'carrot', 'kale', 'lettuce-leaf', 'bush-bean', 'tomato-main'];

    protected function setUp(): void
    {
        parent::setUp();
        config(['anthesis.today' => '2026-04-18']);
        $this->app->bind(OutlookSource::class, SimulatedOutlook::class);
        $this->made('basin floor in print', function (): void {
            Zone::factory()->create(['slug' => 'basin-floor', 'name' => 'Basin Floor', 'latitude' => 46.7]);
            $this->actingAs($this->person());
            $text = (new SimulatedStation(SimulatedStations::climate('basin-floor') ?? self::fail('no weather')))->report(
                Day::of(1995, 1, 1),
                Day::of(2010, 1, 1),
                Day::fromIso('2026-04-17'),
            );
            $this->post(
                '/api/zones/basin-floor/record-imports',
                ['file' => $this->textFile($text)],
                ['Accept' => 'application/json'],
            )->assertStatus(202);
            $this->publish(slug: 'basin-floor')->assertStatus(202);
        });
    }

    private function page(): string
    {
        return (string) PublicSite::read('zones/basin-floor/this-week');
    }

    /**
     * @param  array<string, mixed>  $with
     * @return \Illuminate\Testing\TestResponse<\Illuminate\Http\Response>
     */
    private function tell(array $with = []): TestResponse
    {
        return $this->postJson(
            '/api/zones/basin-floor/advisories',
            $with + ['key' => uniqid('advisory-'), 'text' => 'Cover beans tonight.', 'until' => '2026-04-25'],
        );
    }

    public function test_this_week_says_how_the_season_runs_and_what_that_means_for_its_acts(): void
    {
        $today = $this->getJson('/api/zones/basin-floor/today')->assertOk()->json('data');
        $page = $this->page();
        self::assertStringContainsString('This season, 18 April 2026', $page);
        self::assertStringContainsString(number_format($today['position']['soil'], 1), $page);
        self::assertStringContainsString('The weather shown here is simulated.', $page);
        $held = array_filter(
            $today['acts'],
            static fn (array $a): bool => in_array($a['pile'], ['hold', 'hold-a-week'], true) &&
                str_contains($page, "crops/{$a['crop']}"),
        );
        self::assertNotSame([], $held);
        self::assertStringContainsString('this season: wait until', $page);
        self::assertStringNotContainsString(
            'This season',
            (string) PublicSite::read('zones/basin-floor/weeks/16'),
            'the edition’s own pages stay as they are',
        );
        self::assertSame([], app(PublicSite::class)->changedFiles(Edition::query()->firstOrFail()));
        self::assertSame($page, (string) $this->get('/zones/basin-floor/this-week')->assertOk()->getContent());
    }

    public function test_watering_rules_are_told_on_the_days_they_hold(): void
    {
        $office = $this->getJson('/api/office')->assertOk()->json('data');
        $rules = 'Even house numbers water on Tuesdays and Fridays before 8 a.m.';
        $save = fn (array $with): TestResponse => $this->putJson(
            '/api/office',
            $with + ['name' => 'Office'] + ['version' => $this->getJson('/api/office')->json('data.version')] + $office,
        );
        self::assertStringNotContainsString('Watering rules here', $this->page());
        $save(['water_rules' => $rules, 'water_rules_from' => '2026-04-18', 'water_rules_until' => '2026-04-18'])->assertOk();
        self::assertStringContainsString($rules, $this->page());
        self::assertStringContainsString('Watering rules here:', $this->page());
        self::assertSame(
            [null, $rules, null],
            array_map(static fn (int $day): ?string => Office::inUse()->waterRulesOn(Day::of(2026, 4, $day)), [17, 18, 19]),
        );
        $save(['water_rules' => $rules, 'water_rules_from' => '2026-05-01', 'water_rules_until' => null])->assertOk();
        self::assertStringNotContainsString($rules, $this->page(), 'they do not hold yet');
        $save(['water_rules' => $rules, 'water_rules_from' => null, 'water_rules_until' => null])->assertOk();
        self::assertSame($rules, Office::inUse()->waterRulesOn(Day::of(2030, 1, 1)), 'until somebody says otherwise');
        $save(['water_rules' => $rules, 'water_rules_from' => '2026-05-02', 'water_rules_until' => '2026-05-01'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.water_rules_until.0', 'The rules end before they start. Check both days.');
        $save(['water_rules' => $rules, 'water_rules_from' => 'in May'])->assertUnprocessable();
    }

    public function test_the_page_is_made_anew_when_the_day_is_another_and_only_then(): void
    {
        // Another zone with an edition, so that zones come in a list.
        Zone::factory()->create(['slug' => 'test-basin', 'name' => 'Test Basin']);
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile()],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $this->publish()->assertStatus(202);
        $link = readlink(PublicSite::root().'/basin-floor/1/now/this-week');
        $this->artisan(TurnDay::class)->assertSuccessful();
        self::assertSame($link, readlink(PublicSite::root().'/basin-floor/1/now/this-week'));
        config(['anthesis.today' => '2026-04-25']);
        $this->artisan(TurnDay::class)->assertSuccessful();
        self::assertStringContainsString('This season, 25 April 2026', $this->page());
        self::assertCount(1, glob(PublicSite::root().'/basin-floor/1/season/*') ?: [], 'the old one is gone');
        // Ten days without weather, and nothing is told of a season nobody knows.
        config(['anthesis.today' => '2026-05-20']);
        $this->artisan(TurnDay::class)->assertSuccessful();
        self::assertStringNotContainsString('This season', $this->page());
        self::assertStringContainsString('14 May to 20 May', $this->page());
    }

    public function test_an_advisory_is_published_until_a_day_once_however_often_it_is_sent(): void
    {
        $this->tell(['key' => 'the-same-key'])
            ->assertCreated()
            ->assertJsonPath('data.in_force', true);
        $this->tell(['key' => 'the-same-key'])
            ->assertCreated()
            ->assertJsonPath('data.text', 'Cover beans tonight.');
        $this->tell(['key' => 'the-same-key', 'text' => 'Another text.'])
            ->assertUnprocessable()
            ->assertJsonValidationErrorFor('key');
        self::assertSame(1, Advisory::query()->count());
        self::assertStringContainsString('Cover beans tonight.', $this->page());
        config(['anthesis.today' => '2026-04-26']);
        $this->artisan(TurnDay::class)->assertSuccessful();
        self::assertStringNotContainsString('Cover beans tonight.', $this->page(), 'it has expired');
        $this->getJson('/api/zones/basin-floor/advisories')
            ->assertJsonPath('data.0.in_force', false)
            ->assertJsonPath('data.0.withdrawn', null);
    }

    public function test_it_is_withdrawn_with_the_reason_and_never_edited(): void
    {
        $id = $this->tell()->assertCreated()->json('data.id');
        $this->postJson("/api/advisories/{$id}/withdrawal", ['reason' => ' '])
            ->assertUnprocessable()
            ->assertJsonPath('errors.reason.0', 'Enter the reason for withdrawing it. Readers will see it on the pages.');
        $this->postJson("/api/advisories/{$id}/withdrawal", ['reason' => 'The cloud stayed.'])
            ->assertOk()
            ->assertJsonPath('data.withdrawn.reason', 'The cloud stayed.')
            ->assertJsonPath('data.in_force', false);
        $this->postJson("/api/advisories/{$id}/withdrawal", ['reason' => 'Another reason.'])
            ->assertOk()
            ->assertJsonPath('data.withdrawn.reason', 'The cloud stayed.');
        self::assertStringContainsString('<s>Cover beans tonight.</s>', $this->page());
        self::assertStringContainsString('Withdrawn on 18 April 2026: The cloud stayed.', $this->page());
        $this->actingAs($this->person(Role::Volunteer))->deleteJson("/api/advisories/{$id}/withdrawal")->assertForbidden();
        $this->actingAs($this->person())
            ->deleteJson("/api/advisories/{$id}/withdrawal")
            ->assertOk()
            ->assertJsonPath('data.withdrawn', null)
            ->assertJsonPath('data.in_force', true);
        $this->deleteJson("/api/advisories/{$id}/withdrawal")->assertOk();
        self::assertStringContainsString('Cover beans tonight.', $this->page());
        self::assertStringNotContainsString('The cloud stayed.', $this->page());
        self::assertSame(1, Change::query()->where('act', 'reinstated')->count());
    }

    public function test_the_evidence_of_a_draft_is_the_servers_own_word(): void
    {
        $grounds = $this->getJson('/api/zones/basin-floor/today')->json('data.grounds');
        self::assertNotSame([], $grounds, 'a cold spring gives reason to say something');
        $this->tell(['ground' => $grounds[0]['key'], 'evidence' => ['made up']])
            ->assertCreated()
            ->assertJsonPath('data.evidence', $grounds[0]['evidence']);
        $this->tell(['ground' => 'comet'])
            ->assertCreated()
            ->assertJsonPath('data.evidence', []);
    }

    public function test_bad_days_and_volunteers_are_refused(): void
    {
        $this->tell(['until' => '2026-04-17'])
            ->assertUnprocessable()
            ->assertJsonPath(
                'errors.until.0',
                'Choose a day from today on, at most 60 days ahead: what is said of a season does not keep.',
            );
        $this->tell(['until' => '2026-06-18'])->assertUnprocessable();
        $this->tell(['until' => 'soon'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.until.0', 'Enter the last day it should be shown as YYYY-MM-DD.');
        $this->tell(['text' => ''])->assertUnprocessable();
        $this->actingAs($this->person(Role::Volunteer));
        $this->tell()->assertForbidden();
        self::assertSame(0, Advisory::query()->count());
    }

    public function test_a_changed_page_is_noticed_taken_away_and_made_anew(): void
    {
        $file = (string) realpath(PublicSite::root().'/basin-floor/1/now/this-week').'/index.html';
        file_put_contents($file, str_replace('This season', 'That season', (string) file_get_contents($file)));
        $this->artisan('anthesis:verify')
            ->assertFailed()
            ->expectsOutputToContain('its page about this season was altered; it is being made again');
        self::assertStringContainsString('This season, 18 April 2026', $this->page(), 'made anew at once, as the queue here is');
        $this->artisan('anthesis:verify')->assertSuccessful();
        Storage::disk('published')->assertExists('basin-floor/1/manifest.json');
    }

    public function test_tonights_work_names_what_a_freeze_would_kill_and_what_keeps_it(): void
    {
        $nights = $this->getJson('/api/zones/basin-floor/today')->json('data.nights');
        self::assertNotSame([], $nights['expected'], 'the demonstration begins with freezes to come');
        foreach ($nights['expected'] as $night) {
            self::assertGreaterThanOrEqual($night['of'] / 2, $night['members']);
            self::assertContains($night['date'], ['2026-04-19', '2026-04-20', '2026-04-21']);
        }
        $coldest = min(array_column($nights['expected'], 'celsius'));
        $keeps = ['row cover' => 2.5, 'low tunnel' => 5.0, 'cold frame' => 7.5];
        foreach ($nights['tender'] as $one) {
            self::assertGreaterThanOrEqual($coldest, $one['kills']);
            if ($one['cover'] !== null) {
                self::assertGreaterThan($one['kills'], $coldest + $keeps[$one['cover']]);
            }
        }
    }

    public function test_news_of_editions_and_advice_are_a_feed_any_reader_opens(): void
    {
        $id = $this->tell()->assertCreated()->json('data.id');
        $this->tell(['text' => 'A <b>heat</b> & wind.'])->assertCreated();
        $this->postJson("/api/advisories/{$id}/withdrawal", ['reason' => 'The cloud stayed.'])->assertOk();
        $response = $this->get('/zones/basin-floor/news.atom')
            ->assertOk()
            ->assertHeader('Content-Type', 'application/atom+xml; charset=utf-8');
        $document = new \DOMDocument();
        self::assertTrue($document->loadXML((string) $response->getContent()));
        $atom = new \DOMXPath($document);
        $atom->registerNamespace('a', 'http://www.w3.org/2005/Atom');
        $all = static fn (string $path): array => array_map(
            static fn (\DOMNode $n): string => $n->textContent,
            iterator_to_array($atom->query($path) ?: []),
        );
        self::assertSame('Basin Floor: news of the planting calendar', $all('/a:feed/a:title')[0]);
        self::assertEqualsCanonicalizing(
            ['Edition 1', 'Advice for Basin Floor', 'Advice for Basin Floor, withdrawn'],
            $all('//a:entry/a:title'),
        );
        self::assertContains("A <b>heat</b> & wind.\nHolds until 25 April.", $all('//a:entry/a:content'));
        self::assertContains("Cover beans tonight.\nThe cloud stayed.\nHolds until 25 April.", $all('//a:entry/a:content'));
        // As RFC 4287 asks: each entry its own id, title, date and author; the feed as new as its newest entry.
        self::assertCount(3, array_unique($all('//a:entry/a:id')));
        self::assertCount(3, $all('//a:entry[a:title and a:author/a:name and a:link/@href]/a:updated'));
        self::assertSame(max($all('//a:entry/a:updated')), $all('/a:feed/a:updated')[0]);
        $this->get('/zones/basin-floor/news.atom', ['If-None-Match' => (string) $response->headers->get('ETag')])->assertStatus(
            304,
        );
        Zone::factory()->create(['slug' => 'bare', 'name' => 'Bare']);
        $this->get('/zones/bare/news.atom')->assertNotFound();
    }
}
