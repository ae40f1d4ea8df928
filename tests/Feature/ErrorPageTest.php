<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

/**
 * What cannot be shown is said in the site's frame, in the reader's language, with the search; and tells nothing of how the program
 * is made.
 */
final class ErrorPageTest extends TestCase
{
    public function test_a_page_that_is_not_there_is_said_in_the_readers_language_with_the_search(): void
    {
        $this->zoneInPrint();
        $readings = ['' => ['There is no such page', 'lang="en"'], '/es' => ['Esta página no existe', 'lang="es"']];
        foreach ($readings as $reading => [$title, $language]) {
            foreach (
                [
                    '/zones/nope',
                    '/zones/nope/crops/radish',
                    '/zones/test-basin/crops/mango',
                    '/zones/test-basin/weeks/99',
                    '/zones/test-basin/editions/9',
                    '/nothing/here',
                ] as $address
            ) {
                if ($reading === '/es' && $address === '/nothing/here') {
                    continue;
                }
                $page = (string) $this->get($reading.$address)
                    ->assertNotFound()
                    ->assertHeader('Cache-Control', 'no-store, private')
                    ->getContent();
                self::assertStringContainsString("<h1>{$title}</h1>", $page, $reading.$address);
                self::assertStringContainsString($language, $page);
                self::assertStringContainsString("action=\"{$reading}/search\"", $page);
                self::assertStringNotContainsString('App\\', $page);
                self::assertStringNotContainsString('nope', $page);
            }
        }
    }

    public function test_programs_are_answered_in_words_without_classes_or_routes(): void
    {
        $this->zoneInPrint();
        $this->getJson('/api/zones/nope')
            ->assertNotFound()
            ->assertJsonPath('message', 'There is no zone at this address. Choose one from the list of zones.');
        $this->getJson('/zones/nope/calendar.json')
            ->assertNotFound()
            ->assertJsonPath('message', 'There is no zone at this address. Choose one from the list of zones.');
        $this->getJson('/api/crops/mango')
            ->assertNotFound()
            ->assertJsonPath('message', 'There is no such crop in the crop book. Choose one from the list.');
        self::assertStringNotContainsString(
            'App\\',
            (string) $this->get('/zones/nope/calendar.ics')->assertNotFound()->getContent(),
        );
    }
}
