<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gardener\PaperSize;
use App\Gardener\PdfPress;
use App\Operations\NamedLock;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use PDO;
use SplFileInfo;
use Tests\TestCase;

/** What gardeners make of a calendar: their own crops, printable calendars, a frame, a search. */
final class OwnPagesTest extends TestCase
{
    protected ?array $book = ['radish', 'tomato-main', 'summer-squash', 'parsnip'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneInPrint();
        config(['anthesis.paper' => ($paper = storage_path('framework/testing/paper-'.getmypid()))]);
        File::deleteDirectory($paper);
    }

    public function test_ticked_crops_lead_to_an_address_that_shows_them_and_what_to_take_along(): void
    {
        $this->get('/es/zones/test-basin/mine?radish=1&parsnip=1')->assertRedirect(
            '/es/zones/test-basin/mine?crops=radish,parsnip',
        );
        $page = (string) $this->get('/zones/test-basin/mine?crops=parsnip,radish,nonsense')->assertOk()->getContent();
        self::assertSame(2, substr_count($page, '<tr data-name='));
        self::assertStringContainsString('calendar.ics?crops=radish,parsnip&amp;events=short', $page);
        self::assertStringContainsString('webcal://', $page);
        self::assertStringContainsString('/paper/year.pdf?crops=radish,parsnip&amp;size=letter', $page);
        self::assertStringContainsString(
            'Choose the crops you grow.',
            (string) $this->get('/zones/test-basin/mine')->assertOk()->getContent(),
        );
    }

    public function test_sheets_are_pdf_with_their_title_tags_and_text_in_order_and_made_once(): void
    {
        $response = $this->get('/zones/test-basin/paper/year.pdf?crops=radish,tomato-main&size=letter')
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf');
        $file = tempnam(sys_get_temp_dir(), 'sheet').'.pdf';
        file_put_contents($file, $response->getContent());
        $info = Process::run(['pdfinfo', $file])->output();
        self::assertMatchesRegularExpression('/Title:\s+The planting year in Test Basin/', $info);
        self::assertMatchesRegularExpression('/Tagged:\s+yes/', $info);
        self::assertMatchesRegularExpression('/Pages:\s+1\n/', $info);
        self::assertStringContainsString('612 x 792', $info, 'Letter');
        $text = Process::run(['pdftotext', '-layout', $file, '-'])->output();
        self::assertMatchesRegularExpression(
            '/The planting year in Test Basin.*Last freeze.*Radish.*Main-crop tomato.*Edition 1/s',
            $text,
        );
        self::assertStringNotContainsString('Parsnip', $text);
        self::assertStringContainsString(
            '/zones/test-basin/mine?crops=radish,tomato-main',
            (string) preg_replace('/\s+/', '', $text),
        );
        unlink($file);
        self::assertCount(1, File::files((string) config('anthesis.paper')));
        Process::fake();
        $this->get('/zones/test-basin/paper/year.pdf?crops=radish,tomato-main&size=letter')->assertOk();
        Process::assertNothingRan();
    }

    public function test_sheets_that_were_asked_for_longest_ago_make_room_for_others(): void
    {
        $folder = (string) config('anthesis.paper');
        File::ensureDirectoryExists($folder);
        foreach (['old' => 300, 'older' => 400, 'read-again' => 500] as $name => $ago) {
            File::put("{$folder}/{$name}.pdf", str_repeat('x', 1 << 19));
            touch("{$folder}/{$name}.pdf", time() - $ago);
        }
        touch("{$folder}/read-again.pdf", time() - 10);
        config(['anthesis.paper_mib' => 1]);
        $this->get('/zones/test-basin/paper/year.pdf?crops=radish')->assertOk();
        $left = array_map(static fn (SplFileInfo $file): string => $file->getFilename(), File::files($folder));
        self::assertCount(2, $left);
        self::assertContains('read-again.pdf', $left);
    }

    public function test_one_reader_has_one_sheet_made_at_a_time(): void
    {
        $c = config('database.connections.mariadb');
        $other = new PDO("mysql:host={$c['host']};port={$c['port']};dbname={$c['database']}", $c['username'], $c['password']);
        $name = DB::getDatabaseName().'-press-for-'.hash('xxh64', '127.0.0.1');
        self::assertSame(1, (int) $other->query('SELECT GET_LOCK('.$other->quote($name).', 0)')->fetchColumn());
        $this->get('/zones/test-basin/paper/year.pdf?crops=radish')->assertStatus(503)->assertHeader('Retry-After', '5');
        $other = null;
    }

    public function test_a_sheet_of_a_crop_shows_its_cautions_and_one_that_is_not_there_is_none(): void
    {
        $page = (string) $this->get('/zones/test-basin/paper/crop?crop=parsnip')->assertOk()->getContent();
        self::assertStringContainsString('Take care', $page);
        self::assertStringNotContainsString('<script', $page);
        $this->get('/zones/test-basin/paper/crop?crop=moon')->assertNotFound();
        $this->get('/zones/test-basin/paper/crop.pdf')->assertNotFound();
        $this->get('/zones/test-basin/paper/poster')->assertNotFound();
        self::assertStringContainsString(
            'class="sheet wall tabloid"',
            (string) $this->get('/zones/test-basin/paper/wall?size=tabloid')->getContent(),
        );
        self::assertStringContainsString(
            'class="sheet wall a3"',
            (string) $this->get('/zones/test-basin/paper/wall?size=a4')->getContent(),
            'a wall sheet is a large one',
        );
    }

    public function test_without_chromium_a_plainer_sheet_is_made_and_a_busy_press_says_so(): void
    {
        config(['anthesis.chromium' => '']);
        self::assertFalse(PdfPress::tags());
        $pdf = (new PdfPress())->print(
            '<!doctype html><html><head><title>T</title></head><body><h1>Radish</h1><svg class="chart"><path d="M0 0"/></svg></body></html>',
            PaperSize::A4,
        );
        self::assertStringStartsWith('%PDF-', $pdf);
        $this->get('/zones/test-basin/paper/week.pdf')->assertOk()->assertHeader('Content-Type', 'application/pdf');
        // Locks belong to a connection, so another one has to hold them.
        config(['database.connections.other' => config('database.connections.mariadb')]);
        $held = [];
        foreach ([0, 1] as $press) {
            $name = (new \ReflectionMethod(NamedLock::class, 'full'))->invoke(null, "press-{$press}");
            $held[] = (int) app('db')
                ->connection('other')
                ->scalar('SELECT GET_LOCK(?, 0)', [$name]);
        }
        self::assertSame([1, 1], $held);
        $this->get('/zones/test-basin/paper/leaflet.pdf')->assertStatus(503)->assertHeader('Retry-After', '5');
        app('db')->connection('other')->disconnect();
    }

    public function test_a_frame_runs_nothing_and_may_stand_anywhere(): void
    {
        $response = $this->get('/zones/test-basin/embed')->assertOk();
        self::assertStringContainsString('frame-ancestors *', (string) $response->headers->get('Content-Security-Policy'));
        self::assertStringNotContainsString('script-src', (string) $response->headers->get('Content-Security-Policy'));
        self::assertFalse($response->headers->has('X-Frame-Options'));
        self::assertStringNotContainsString('<script', (string) $response->getContent());
        self::assertSame('DENY', $this->get('/zones/test-basin')->headers->get('X-Frame-Options'), 'and no other page may');
    }

    public function test_a_crop_is_found_by_any_of_its_names_in_either_language(): void
    {
        foreach (
            ['courgette', 'zucchini', 'Summer squash', 'Cucurbita', 'calabacín', 'calabacita', 'courgete', 'calabacin'] as $asked
        ) {
            foreach (['', '/es'] as $prefix) {
                self::assertStringContainsString(
                    "{$prefix}/zones/test-basin/crops/summer-squash",
                    (string) $this->get("{$prefix}/search?for=".rawurlencode($asked))
                        ->assertOk()
                        ->getContent(),
                    "{$prefix} {$asked}",
                );
            }
        }
        $this->patchJson('/api/crops/summer-squash', [
            'cells' => ['also_called' => 'pattypan'],
            'note' => 'As they say here.',
            'version' => 1,
        ])->assertOk();
        $this->publish('Another name.', ['even_unchanged' => true])->assertStatus(202);
        self::assertStringContainsString(
            '/zones/test-basin/crops/summer-squash',
            (string) $this->get('/search?for=pattypan')->getContent(),
            'a name that was added is in the next edition',
        );
        self::assertStringContainsString('href="/glossary#bolting"', (string) $this->get('/search?for=bolting')->getContent());
        self::assertStringContainsString(
            'href="/zones/test-basin/this-week"',
            (string) $this->get('/search?for=Fennick')->getContent(),
        );
        self::assertStringContainsString('Nothing found for “qqqq”', (string) $this->get('/search?for=qqqq')->getContent());
    }

    public function test_pages_about_the_calendars_are_there_and_say_whom_to_ask(): void
    {
        foreach (['about', 'method', 'glossary', 'contact', 'privacy', 'accessibility'] as $page) {
            self::assertStringContainsString(
                '<h1>',
                (string) $this->get("/{$page}")
                    ->assertOk()
                    ->getContent(),
            );
            self::assertStringContainsString(
                'lang="es"',
                (string) $this->get("/es/{$page}")
                    ->assertOk()
                    ->getContent(),
            );
        }
        self::assertStringContainsString('The office has not said yet', (string) $this->get('/contact')->getContent());
        $office = [
            'name' => 'Kestrel Basin Extension',
            'mail' => 'garden@kestrel.example',
            'phone' => '+00 555 0140',
            'address' => "12 Road\nPort Ilvane",
            'hours' => 'Tuesdays.',
            'licence' => 'CC BY 4.0',
            'second_signature' => false,
            'units' => 'us',
            'dates' => 'month',
        ];
        $this->putJson('/api/office', $office + ['version' => 1])
            ->assertOk()
            ->assertJsonPath('data.version', 2);
        $this->putJson('/api/office', $office + ['version' => 1])->assertStatus(409);
        $this->putJson('/api/office', ['mail' => 'no address', 'version' => 2] + $office)
            ->assertUnprocessable()
            ->assertJsonValidationErrors('mail');
        $contact = (string) $this->get('/contact')->getContent();
        self::assertStringContainsString('mailto:garden@kestrel.example', $contact);
        self::assertStringContainsString('tel:+005550140', $contact);
    }
}
