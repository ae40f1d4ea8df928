<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editions\Edition;
use App\Gardener\PublicSite;
use App\Gardener\Reading;
use App\Languages\Translation;
use App\People\Role;
use Tests\TestCase;

/** Public pages are read in the reader's language and units, and what people wrote in them is translated or marked. */
final class ReadingTest extends TestCase
{
    protected ?array $book = ['radish', 'lettuce-leaf', 'tomato-main', 'garlic-hardneck'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->zoneWithRecord();
    }

    /** A page without its styles, which say nothing. */
    private function html(string $address): string
    {
        return (string) preg_replace('#<style>.*?</style>#s', '', (string) $this->get($address)->assertOk()->getContent());
    }

    public function test_every_page_is_made_in_every_reading_and_each_says_where_the_others_are(): void
    {
        $this->zoneInPrint();
        self::assertSame(['', 'en-f', 'es', 'es-f'], array_map(static fn (Reading $r): string => $r->name(), Reading::all()));
        foreach (Reading::all() as $reading) {
            foreach (['', '/this-week', '/weeks/19', '/crops/radish'] as $path) {
                self::assertNotNull(PublicSite::read("zones/test-basin{$path}", $reading), $reading->name().$path);
            }
        }
        $es = $this->html('/es/zones/test-basin/crops/radish');
        self::assertStringContainsString('<html lang="es" dir="ltr">', $es);
        self::assertStringContainsString('hreflang="en" href="'.url('/zones/test-basin/crops/radish').'"', $es);
        self::assertStringContainsString('data-reading="/es-f"', $es);
        self::assertStringNotContainsString('data-reading="/en-f"', $es, 'one step at a time: language or units');
        self::assertStringContainsString('<a href="/es/zones/test-basin">', $es, 'links stay in the reading');
        self::assertStringNotContainsString('~base~', $es.$this->html('/zones/test-basin/editions/1'));
        self::assertSame([], app(PublicSite::class)->changedFiles(Edition::query()->firstOrFail()));
    }

    public function test_spanish_pages_are_spanish_throughout(): void
    {
        $this->zoneInPrint();
        foreach (
            [
                '',
                '/weeks/19',
                '/crops/radish',
                '/crops/garlic-hardneck',
                '/crops/tomato-main',
                '/mine?crops=radish',
                '/paper/leaflet',
            ] as $path
        ) {
            $text = html_entity_decode(strip_tags(str_replace('>', '> ', $this->html("/es/zones/test-basin{$path}"))));
            self::assertDoesNotMatchRegularExpression(
                '/\b(the|and|harvest|sow|until|years|best|window|from|of)\b/i',
                str_replace(['The first edition.', 'Test Basin'], '', $text),
                "{$path} holds English",
            );
            self::assertDoesNotMatchRegularExpression(
                '/\b(page|act|legend|derivation|source|letter|sheet|office)\.[a-z-]+(\.[a-z-]+)*\b/',
                $text,
                "{$path} holds a key",
            );
        }
        self::assertStringContainsString('Rábano', $this->html('/es/zones/test-basin'));
        self::assertMatchesRegularExpression('/del \d+ (mar|abr) al \d+ [a-z]{3}/', $this->html('/es/zones/test-basin'));
    }

    public function test_units_are_never_mixed_on_a_page(): void
    {
        $this->zoneInPrint();
        foreach (['', '/this-week', '/crops/lettuce-leaf', '/crops/tomato-main', '/paper/crop?crop=lettuce-leaf'] as $path) {
            foreach (
                ['/en-f' => '/\d ?(°C|cm\b|mm\b)/u', '' => '/\d ?(°F|in\b(?! the| [0-9]| which| \w+ of))/u'] as $prefix => $other
            ) {
                $text = html_entity_decode(strip_tags(str_replace('>', '> ', $this->html("{$prefix}/zones/test-basin{$path}"))));
                if ($prefix === '') {
                    self::assertStringNotContainsString('°F.', $text);

                    continue;
                }
                self::assertDoesNotMatchRegularExpression($other, str_replace('°C, cm', '', $text), $prefix.$path);
            }
        }
        self::assertStringContainsString(
            'Seed refuses to sprout in soil above about 81 °F.',
            $this->html('/en-f/zones/test-basin/crops/lettuce-leaf'),
        );
        self::assertStringContainsString(
            'Seed refuses to sprout in soil above about 27 °C.',
            $this->html('/zones/test-basin/crops/lettuce-leaf'),
        );
        self::assertStringContainsString('por encima de unos 81 °F', $this->html('/es-f/zones/test-basin/crops/lettuce-leaf'));
    }

    public function test_what_a_person_wrote_is_translated_in_the_next_edition_and_marked_until_then(): void
    {
        $this->publish('A note of ours.')->assertStatus(202);
        self::assertStringContainsString('<span lang="en">A note of ours.</span>', $this->html('/es/zones/test-basin'));
        $this->putJson('/api/translations', [
            'language' => 'es',
            'text' => 'A note of ours.',
            'translation' => 'Una nota nuestra.',
            'before' => null,
        ])
            ->assertOk()
            ->assertJsonPath('data.translation', 'Una nota nuestra.');
        self::assertStringContainsString(
            '<span lang="en">A note of ours.</span>',
            $this->html('/es/zones/test-basin/editions/1'),
            'an edition stays as it was',
        );
        $this->publish('A note of ours.', ['even_unchanged' => true])->assertStatus(202);
        self::assertStringContainsString('Una nota nuestra.', $this->html('/es/zones/test-basin'));
        self::assertStringContainsString('A note of ours.', $this->html('/zones/test-basin'));
        $this->publish('Another.', ['even_unchanged' => true, 'note_in' => ['es' => 'Otra.']])->assertStatus(202);
        self::assertStringContainsString('Otra.', $this->html('/es/zones/test-basin'), 'given with the note');
    }

    public function test_translators_see_what_the_public_reads_and_do_not_overwrite_each_other(): void
    {
        $texts = array_column($this->getJson('/api/translations')->assertOk()->json('data.texts'), null, 'text');
        self::assertSame(['crop-name', 'Rábano'], [$texts['Radish']['where'], $texts['Radish']['translations']['es']]);
        self::assertSame('crop-note', $texts['Seed refuses to sprout in soil above about 27 °C.']['where']);
        self::assertNull($texts['Kestrel Basin']['translations']['es']);
        $put = fn (?string $translation, ?string $before) => $this->putJson('/api/translations', [
            'language' => 'es',
            'text' => 'Radish',
            'translation' => $translation,
            'before' => $before,
        ]);
        $put('Rabanito', 'Rábano')->assertOk();
        $put('Rábano rojo', 'Rábano')
            ->assertUnprocessable()
            ->assertJsonValidationErrors(['translation' => 'Somebody has translated this in the meantime: “Rabanito”']);
        $put('Rabanito', 'Rábano')->assertOk();
        self::assertSame(1, Translation::query()->count(), 'the same again is nothing new');
        self::assertSame(['Radish' => 'Rabanito'], Translation::of('es', ['Radish']));
        $put(null, 'Rabanito')->assertOk()->assertJsonPath('data.translation', null);
        self::assertSame([], Translation::of('es', ['Radish']), 'taken back is not translated');
        $this->putJson('/api/translations', ['language' => 'xx', 'text' => 'Radish', 'translation' => 'x', 'before' => null])
            ->assertUnprocessable()
            ->assertJsonValidationErrors('language');
        $this->actingAs($this->person(Role::Volunteer))
            ->putJson('/api/translations', ['language' => 'es', 'text' => 'Radish', 'translation' => 'x', 'before' => null])
            ->assertForbidden();
    }

    public function test_feeds_and_tables_are_in_the_reading_and_hold_what_was_chosen(): void
    {
        $this->zoneInPrint();
        self::assertStringContainsString('SUMMARY:Rábano: sembrar al aire libre', $this->html('/es/zones/test-basin/calendar.ics'));
        self::assertStringContainsString(',Rábano,direct,', $this->html('/es/zones/test-basin/calendar.csv'));
        $short = $this->html('/zones/test-basin/calendar.ics?crops=radish&events=short');
        self::assertStringContainsString('SUMMARY:Radish: harvest from today', $short);
        self::assertStringNotContainsString('lettuce', $short);
        self::assertStringContainsString('lettuce', $this->html('/zones/test-basin/calendar.ics'));
        self::assertStringContainsString(
            'lettuce',
            $this->html('/zones/test-basin/calendar.ics?crops=unknown'),
            'crops nobody knows choose nothing',
        );
    }

    public function test_a_reading_that_is_not_there_is_no_address_and_made_up_ones_are_for_the_demonstration(): void
    {
        $this->get('/fr/zones/test-basin')->assertNotFound();
        $this->get('/pseudo')->assertNotFound();
        config(['anthesis.demonstration' => true]);
        self::assertContains('mirrored', array_map(static fn (Reading $r): string => $r->name(), Reading::served()));
        self::assertSame('rtl', Reading::named('mirrored')?->direction());
    }
}
