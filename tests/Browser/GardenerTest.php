<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

final class GardenerTest extends BrowserTestCase
{
    public function test_the_calendar_reads_without_javascript(): void
    {
        $this->browser->withoutJavaScript()->visit('/');
        $this->browser->find('#place')->sendKeys("70131\n");
        self::assertStringContainsString('Orchard Bench', $this->browser->find('.top .zone')->getText());
        self::assertSame('/zones/orchard-bench/this-week', $this->browser->path());
        $this->browser->find('nav.weeks a[rel=next]')->click();
        self::assertStringStartsWith('/zones/orchard-bench/weeks/', $this->browser->path());
        $this->browser->visit('/zones/orchard-bench');
        self::assertCount(105, $this->browser->driver->findElements(WebDriverBy::cssSelector('table.calendar tbody tr:not([hidden])')));
        $this->browser->visit('/zones/orchard-bench/crops/tomato-main');
        self::assertStringContainsString('Start indoors', $this->browser->find('.derivation')->getText());
    }

    public function test_with_javascript_the_page_comes_alive_without_complaint(): void
    {
        $this->browser->visit('/zones/basin-floor');
        $this->browser->fill('Find a crop', 'toma');
        $rows = fn (): array => array_map(
            static fn ($e): string => $e->getText(),
            $this->browser->driver->findElements(WebDriverBy::cssSelector('table.calendar tbody tr:not([hidden]) th')),
        );
        $this->browser->until(static fn (): bool => count($rows()) === 4, 'The calendar does not come down to four rows.');
        self::assertSame(['Early tomato', 'Main-crop tomato', 'Cherry tomato', 'Tomatillo'], $rows());
        foreach (['this-week', 'crops/lettuce-leaf', 'crops/garlic-hardneck', 'weeks/52'] as $page) {
            $this->browser->visit("/zones/saltbush-flats/{$page}");
        }
        self::assertSame([], $this->browser->errors(), 'what was rendered on the server is what the browser renders');
    }

    public function test_a_crops_page_says_when_to_sow_again_and_reckons_seed_without_asking_a_server(): void
    {
        $this->browser->visit('/zones/basin-floor/crops/radish')->see('For an even supply, sow again')->see('16 to a square of 30 cm');
        $days = array_map(
            static fn ($e): string => $e->getText(),
            $this->browser->driver->findElements(WebDriverBy::cssSelector('ol.again li')),
        );
        self::assertGreaterThan(5, count($days));
        self::assertMatchesRegularExpression('/^\d+ \w+\s+harvest \d+ \w+ to \d+ \w+$/', $days[0]);
        $asked = fn (): int => (int) $this->browser->driver->executeScript("return performance.getEntriesByType('resource').length");
        $before = $asked();
        $this->browser->find('tr.typed input')->sendKeys('7.5');
        self::assertSame(
            ['188', '235', '2.7'],
            array_map(
                static fn ($e): string => $e->getText(),
                $this->browser->driver->findElements(WebDriverBy::cssSelector('tr.typed td')),
            ),
            '7.5 m at 4 cm, 80 of 100 come up, 90 to a gram',
        );
        self::assertSame($before, $asked());
        $this->browser->visit('/es-f/zones/basin-floor/crops/zinnia')->see('Da tallo tras tallo')->see('onzas');
        $this->browser
            ->withoutJavaScript()
            ->visit('/zones/basin-floor/crops/radish')
            ->see('How much seed')
            ->see('5 m')
            ->see('For an even supply, sow again');
        self::assertFalse($this->browser->find('tr.typed')->isDisplayed(), 'what needs a script is not offered without');
    }

    public function test_a_crops_page_tells_its_water_and_the_years_page_its_track_record(): void
    {
        $this->browser->visit('/zones/basin-floor/crops/carrot')->see('How much water')->see('In its thirstiest week it uses about');
        $rows = $this->browser->driver->executeScript(
            "return [...document.querySelectorAll('.crop-water tbody tr')].map((row) => row.cells.length)",
        );
        self::assertNotSame([], $rows);
        self::assertSame([5], array_values(array_unique($rows)));
        self::assertStringContainsString(
            ' mm',
            (string) $this->browser->driver->executeScript("return document.querySelector('.crop-water tbody').textContent"),
        );
        $this->browser->visit('/es-f/zones/basin-floor/crops/carrot')->see('Cuánta agua');
        self::assertStringContainsString(
            ' in',
            (string) $this->browser->driver->executeScript("return document.querySelector('.crop-water tbody').textContent"),
        );
        // A zone without rain on record does not mention it.
        $this->browser->visit('/zones/lakeshore/crops/carrot')->see('How much seed');
        self::assertNull($this->browser->driver->executeScript("return document.querySelector('.crop-water')"));
        $this->browser->visit('/zones/basin-floor')->see('Judged by the years they were not made from');
        $this->browser->visit('/es/zones/basin-floor')->see('Juzgadas por los años con los que no se hicieron');
        self::assertSame([], $this->browser->errors());
    }

    public function test_the_south_reads_its_own_seasons(): void
    {
        $this->browser->visit('/zones/averrin-sound/crops/bush-bean')->see('Sow outdoors');
        self::assertMatchesRegularExpression(
            '/Sow outdoors \d+ (September|October|November) to \d+ (January|February|March)/',
            $this->browser->text(),
        );
        self::assertStringNotContainsString('NaN', $this->browser->text());
        $months = $this->browser->driver->executeScript(
            "return [...document.querySelectorAll('svg.wide text')].slice(0, 12).map((t) => t.textContent)",
        );
        self::assertSame('Jul', $months[0], 'the year starts at midwinter');
        self::assertSame('Jun', $months[11]);
    }

    public function test_public_pages_are_accessible(): void
    {
        foreach (
            [
                '/',
                '/zones/basin-floor/this-week',
                '/zones/basin-floor',
                '/zones/basin-floor/crops/pepper-hot',
                '/zones/basin-floor/crops/radish',
            ] as $path
        ) {
            $this->browser->visit($path);
            $this->assertAccessible($path);
        }
        $this->browser->phone();
        foreach (['/', '/zones/high-meadow', '/zones/saltbush-flats/crops/lettuce-leaf', '/zones/averrin-sound/this-week'] as $path) {
            $this->browser->visit($path);
            $this->assertFitsTheWidth($path);
        }
    }
}
