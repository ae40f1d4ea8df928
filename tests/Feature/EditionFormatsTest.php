<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Calendar\EditionReader;
use Anthesis\Calendar\WeekList;
use App\Editions\Edition;
use App\Gardener\EditionPages;
use App\Gardener\OpenData;
use App\Gardener\PublicSite;
use App\Gardener\RenderEditionJob;
use App\Operations\Seal;
use App\Zones\Zone;
use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;

/** An edition stays readable on every kind of page and in every form, whatever program published it. */
final class EditionFormatsTest extends TestCase
{
    protected ?array $book = ['radish'];

    /** @return iterable<string, array{string}> */
    public static function formats(): iterable
    {
        foreach (glob(__DIR__.'/../fixtures/editions/*.json.gz') ?: [] as $path) {
            yield basename($path, '.json.gz') => [$path];
        }
    }

    /** @param  (Closure(array<string, mixed>): array<string, mixed>)|null  $change  of what it says */
    private function published(string $path, ?Closure $change = null, bool $inForce = true): Edition
    {
        $text = (string) gzdecode((string) file_get_contents($path));
        if ($change !== null) {
            $text = json_encode($change(json_decode($text, true)), JSON_THROW_ON_ERROR);
        }
        $document = EditionReader::open($text)->content;
        $zone = Zone::factory()->named('High Meadow')->create();
        $edition = new Edition([
            'zone_id' => $zone->id,
            'number' => $document['edition']['number'],
            'published_on' => $document['edition']['published_on'],
            'published_by' => $document['edition']['published_by'],
            'note' => $document['edition']['note'],
            'document' => $text,
            'checksum' => hash('sha256', $text),
            'in_force_at' => $inForce ? now() : null,
        ]);
        $edition->seal = Seal::of(...$edition->sealedParts());
        $edition->save();

        return $edition->refresh();
    }

    #[DataProvider('formats')]
    public function test_one_in_sentences_is_read_in_those_alone(string $path): void
    {
        $edition = $this->published($path);
        $isInSentences = EditionPages::isInOneReading($edition->open());
        foreach (['en-f', 'es', 'es-f'] as $reading) {
            $answer = $this->get("/{$reading}/zones/high-meadow/editions/{$edition->number}");
            $isInSentences ? $answer->assertRedirect("/zones/high-meadow/editions/{$edition->number}") : $answer->assertOk();
        }
    }

    #[DataProvider('formats')]
    public function test_every_page_of_it_is_made(string $path): void
    {
        $edition = $this->published($path);
        $site = app(PublicSite::class);
        $failed = $site->build($edition);
        self::assertSame([], $failed);
        $site->turnTo($edition->zone);
        $crops = $edition->open()->content['crops'];
        self::assertGreaterThan(60, count($crops));
        foreach ($crops as $crop) {
            self::assertStringContainsString('<h1', (string) PublicSite::read("zones/high-meadow/crops/{$crop['slug']}"));
        }
        self::assertSame([], $site->changedFiles($edition));
    }

    #[DataProvider('formats')]
    public function test_every_form_of_it_is_answered(string $path): void
    {
        $edition = $this->published($path);
        $crop = $edition->open()->content['crops'][0]['slug'];
        foreach (['', "/editions/{$edition->number}"] as $which) {
            $base = "/zones/high-meadow{$which}";
            foreach (
                [
                    '',
                    '/this-week',
                    '/weeks/1',
                    '/weeks/'.WeekList::WEEKS,
                    "/crops/{$crop}",
                    "/mine?crops={$crop}",
                    '/calendar.ics',
                    "/calendar.ics?crops={$crop}&events=short",
                    '/calendar.csv',
                    '/calendar.json',
                ] as $address
            ) {
                self::assertContains($this->get($base.$address)->getStatusCode(), [200], "{$base}{$address}");
            }
            foreach (EditionPages::SHEETS as $sheet) {
                $this->get("{$base}/paper/{$sheet}?crop={$crop}")->assertOk();
            }
        }
        $this->get('/zones/high-meadow/embed')->assertOk();
        $this->get('/zones/high-meadow/news.atom')->assertOk();
        foreach (OpenData::ZONE_TABLES as $table) {
            self::assertContains($this->get("/open/v1/zones/high-meadow/{$table}.csv")->getStatusCode(), [200, 404], $table);
        }
    }

    /**
     * @param  array<string, mixed>  $content
     * @return array<string, mixed> a few of its crops, of which the page of one cannot be made
     */
    private static function withoutOneCropsPage(array $content): array
    {
        $content['crops'] = array_slice($content['crops'], 0, 6);
        // No page can show notes that are a list within a list.
        $content['crops'][1]['notes'] = ['not' => ['a' => 'text']];

        return $content;
    }

    public function test_a_page_that_cannot_be_made_keeps_no_other_from_being_made_and_is_told_of(): void
    {
        $edition = $this->published(__DIR__.'/../fixtures/editions/format-2c.json.gz', self::withoutOneCropsPage(...));
        $site = app(PublicSite::class);
        $slug = $edition->open()->content['crops'][1]['slug'];
        self::assertEqualsCanonicalizing(
            ["/crops/{$slug}", "en-f/crops/{$slug}", "es/crops/{$slug}", "es-f/crops/{$slug}"],
            array_keys($site->build($edition)),
            'that page in each reading, and no other',
        );
        $site->turnTo($edition->zone);
        self::assertNull(PublicSite::read("zones/high-meadow/crops/{$slug}"));
        self::assertNotNull(PublicSite::read('zones/high-meadow/crops/'.$edition->open()->content['crops'][0]['slug']));
        $this->artisan('anthesis:verify')->expectsOutputToContain('pages cannot be made by this version of the program (')->assertFailed();
        self::assertFalse($this->getJson('/up')->assertStatus(503)->json('checks.verification.sound'));
    }

    public function test_a_new_edition_with_a_page_that_cannot_be_made_is_not_put_in_force(): void
    {
        $edition = $this->published(__DIR__.'/../fixtures/editions/format-2c.json.gz', self::withoutOneCropsPage(...), inForce: false);
        try {
            app()->call((new RenderEditionJob($edition->id))->handle(...));
            self::fail('nothing was said');
        } catch (RuntimeException $why) {
            self::assertStringContainsString('pages of the edition cannot be made', $why->getMessage());
        }
        self::assertNull($edition->refresh()->in_force_at);
    }
}
