<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\Gardener\RenderingProcess;
use App\Operations\BrokenSeal;
use App\Zones\SaveZone;
use Illuminate\Support\Facades\DB;
use LogicException;
use Sabre\VObject\Reader;
use Tests\TestCase;

final class EditionTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
    }

    private function published(string $note = 'The first edition.'): Edition
    {
        $number = $this->publish($note)->assertStatus(202)->assertJsonPath('data.state', 'done')->json('data.edition.number');

        return Edition::query()->where('number', $number)->firstOrFail();
    }

    private function first(): Edition
    {
        $this->zoneInPrint();

        return Edition::query()->firstOrFail();
    }

    public function test_an_edition_has_number_date_note_and_checksum_and_stays_as_it_is(): void
    {
        $first = $this->published();
        self::assertSame([1, '2026-05-12', 'Educator'], [$first->number, $first->published_on->format('Y-m-d'), $first->published_by]);
        self::assertSame(hash('sha256', $first->document), $first->checksum);

        // What happens afterward does not reach it.
        $this->editZone($this->zoneValues('Renamed'))->assertOk();
        $this->post(
            '/api/zones/test-basin/record-imports',
            ['file' => $this->stationFile('south'), 'confirmed' => '1'],
            ['Accept' => 'application/json'],
        )->assertStatus(202);
        $second = $this->published('Another station.');
        self::assertSame(2, $second->number);
        self::assertSame($first->document, $first->refresh()->document);
        self::assertSame('Test Basin', $first->open()->content['zone']['name']);
        self::assertNotEquals($first->open()->content['crops'], $second->open()->content['crops']);

        $this->expectException(LogicException::class);
        $first->update(['note' => 'Something else.']);
    }

    public function test_an_edition_is_not_deleted(): void
    {
        $edition = $this->first();
        $this->expectException(LogicException::class);
        $edition->delete();
    }

    public function test_a_document_changed_behind_our_back_is_noticed(): void
    {
        $edition = $this->first();
        DB::table('editions')->update(['document' => str_replace('Radish', 'Rubbish', $edition->document)]);
        $this->expectException(BrokenSeal::class);
        $edition->refresh()->open();
    }

    public function test_a_note_is_asked_for(): void
    {
        $this->postJson('/api/zones/test-basin/editions', ['note' => ' ', 'key' => 'some-key-0'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.note.0', 'Describe this edition, or what changed, in a sentence.');
        $this->postJson('/api/zones/test-basin/editions', ['note' => str_repeat('x', 1001), 'key' => 'some-key-1'])->assertUnprocessable();
        self::assertSame(0, Edition::query()->count());
    }

    public function test_gardeners_read_the_current_edition_without_an_account(): void
    {
        $this->first();
        $this->app['auth']->forgetGuards();
        $this->get('/zones/test-basin')
            ->assertOk()
            ->assertSee('The planting year in')
            ->assertSee('Radish')
            ->assertSee('1 Apr to 10 Jul')
            ->assertSee('edition')
            ->assertCookieMissing('anthesis-session');
        $this->get('/zones/test-basin/crops/radish')
            ->assertOk()
            ->assertSee('1 April to 10 July')
            ->assertSee('Sown on every day of every year on record')
            ->assertSee('13 years on record');
        $this->get('/zones/test-basin/crops/bush-bean')->assertSee('Seed may be treated');
        $this->get('/zones/test-basin/crops/moonflower')->assertNotFound()->assertSee('There is no such crop in this calendar.');
        $this->get('/zones/nowhere')->assertNotFound();
        $this->get('/zones/test-basin/editions/1')->assertOk();
        $this->get('/zones/test-basin/editions/1/crops/radish')->assertOk()->assertSee('/zones/test-basin/editions/1/this-week', false);
        $this->get('/zones/test-basin/editions/9')->assertNotFound()->assertSee('has no edition 9.');
        $this->get('/zones/test-basin')->assertHeader('Cache-Control', 'max-age=300, public');
    }

    public function test_this_week_is_the_week_of_today(): void
    {
        $this->first();
        $page = $this->get('/zones/test-basin/this-week')
            ->assertOk()
            ->assertSee('7 May')
            ->assertSee('13 May')
            ->assertSee('Sow outdoors')
            ->assertSee('Main-crop tomato')
            ->assertSee('opens 13 May')
            ->assertDontSee('Garlic');
        $page->assertSee('/zones/test-basin/weeks/18', false)->assertSee('/zones/test-basin/weeks/20', false);
        // It is the page of the week, without what closed in it before today.
        $crops = static function (string $html): array {
            preg_match_all('~/zones/test-basin/crops/([a-z-]+)~', $html, $found);

            return array_values(array_unique($found[1]));
        };
        $week = $crops((string) $this->get('/zones/test-basin/weeks/19')->getContent());
        self::assertSame([], array_diff($crops((string) $page->getContent()), $week));
        self::assertNotSame([], $week);
        $this->get('/zones/test-basin/weeks/1')
            ->assertOk()
            ->assertSee('Nothing to sow or transplant this week.')
            ->assertSee('/weeks/52', false);
        $this->get('/zones/test-basin/weeks/53')->assertNotFound();
    }

    public function test_a_zone_is_found_by_settlement_postcode_or_name(): void
    {
        app(SaveZone::class)->create(['settlements' => [['name' => 'Fen End', 'postcode' => null]]] + $this->zoneValues('Fen Zone'));
        $this->published();
        $this->get('/')->assertOk()->assertSee('Test Basin')->assertDontSee('Fen Zone');
        foreach (['Port Ilvane', 'port-ilvane', '70110', 'Test Basin', 'fen'] as $asked) {
            $this->get('/?place='.urlencode($asked))->assertRedirect('/zones/test-basin/this-week');
        }
        $this->get('/?place=Atlantis')->assertOk()->assertSee('We know no zone by that name.')->assertSee('Test Basin');
        $this->get('/?place='.urlencode('<script>'))
            ->assertOk()
            ->assertSee('We know no zone');
    }

    public function test_downloads_are_open_to_everyone_and_carry_the_checksum(): void
    {
        $edition = $this->first();
        $json = $this->get('/zones/test-basin/calendar.json')->assertOk()->assertHeader('Access-Control-Allow-Origin', '*');
        self::assertSame($edition->document, $json->getContent());
        self::assertSame("\"{$edition->checksum}\"", $json->headers->get('ETag'));
        $this->get('/zones/test-basin/calendar.json', ['If-None-Match' => "\"{$edition->checksum}\""])->assertStatus(304);
        $feed = (string) $this->get('/zones/test-basin/calendar.ics')
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
            ->getContent();
        self::assertGreaterThan(count($this->book ?? []), count(Reader::read($feed)->select('VEVENT')));
        $table = (string) $this->get('/zones/test-basin/editions/1/calendar.csv')->assertOk()->getContent();
        self::assertStringContainsString('test-basin,radish,Radish,direct,"sow outdoors",04-01,07-10', $table);
        $this->get('/zones/test-basin/calendar.xls')->assertNotFound();
    }

    public function test_pages_are_rendered_at_publication_and_not_again(): void
    {
        $this->first();
        // A page that had to be made would not be answered.
        RenderingProcess::closeAll();
        config(['anthesis.node' => '/bin/false']);
        $this->get('/zones/test-basin')->assertOk();
        $this->get('/zones/test-basin/this-week')->assertOk();
        $this->get('/zones/test-basin/crops/kale')->assertOk();
    }

    public function test_an_edition_has_the_varieties_with_their_own_dates_and_names_the_method_it_was_made_by(): void
    {
        $this->postJson('/api/crops/carrot/varieties', [
            'name' => 'Basin Quick',
            'cells' => ['maturity_days' => '50'],
            'tags' => ['quick'],
        ])->assertCreated();
        $edition = $this->published();
        $carrot = array_column($edition->open()->content['crops'], null, 'slug')['carrot'];
        self::assertSame(['Basin Quick', ['quick']], [$carrot['varieties'][0]['name'], $carrot['varieties'][0]['tags']]);
        self::assertGreaterThan(
            array_sum(array_column($carrot['routes'][0]['windows'], 'days')),
            array_sum(array_column($carrot['varieties'][0]['routes'][0]['windows'], 'days')),
        );
        self::assertSame(3, $edition->open()->content['method']['edition'] ?? null);
        $this->get('/zones/test-basin/crops/carrot')
            ->assertSee('Basin Quick')
            ->assertSee('50 days, quick')
            ->assertSee('By the 3rd edition of the method.');
    }

    public function test_a_crop_without_a_window_says_why_and_what_would_open_one(): void
    {
        $crops = array_column($this->first()->open()->content['crops'], null, 'slug');
        $routes = array_merge(...array_values(array_map(static fn (array $sheet): array => $sheet['routes'], $crops)));
        foreach ($routes as $route) {
            self::assertSame($route['windows'] === [], isset($route['no_window']), 'told where there is none, and only there');
        }
        $muskmelon = $crops['muskmelon']['routes'][0]['no_window'] ?? self::fail('a muskmelon has a window here');
        $page = $this->get('/zones/test-basin/crops/muskmelon')->assertSee(
            "It needs a variety that matures in {$muskmelon['longest_days']} days or fewer.",
        );
        $page->assertSee('it opens:');
    }
}
