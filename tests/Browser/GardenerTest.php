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
        self::assertCount(82, $this->browser->driver->findElements(WebDriverBy::cssSelector('table.calendar tbody tr:not([hidden])')));
        $this->browser->visit('/zones/orchard-bench/crops/tomato-main');
        self::assertStringContainsString('Start under cover', $this->browser->find('.derivation')->getText());
    }

    public function test_with_javascript_the_page_comes_alive_without_complaint(): void
    {
        $this->browser->visit('/zones/basin-floor');
        $this->browser->fill('Find a crop', 'toma');
        $rows = fn (): array => array_map(static fn ($e): string => $e->getText(), $this->browser->driver->findElements(WebDriverBy::cssSelector('table.calendar tbody tr:not([hidden]) th')));
        $this->browser->until(static fn (): bool => count($rows()) === 4, 'The calendar does not come down to four rows.');
        self::assertSame(['Early tomato', 'Main-crop tomato', 'Cherry tomato', 'Tomatillo'], $rows());
        foreach (['this-week', 'crops/lettuce-leaf', 'crops/garlic-hardneck', 'weeks/52'] as $page) {
            $this->browser->visit("/zones/saltbush-flats/{$page}");
        }
        self::assertSame([], $this->browser->errors(), 'what was rendered on the server is what the browser renders');
    }

    public function test_the_south_reads_its_own_seasons(): void
    {
        $this->browser->visit('/zones/averrin-sound/crops/bush-bean')->see('Sow outdoors');
        self::assertMatchesRegularExpression('/Sow outdoors \d+ (September|October|November) to \d+ (January|February|March)/', $this->browser->text());
        self::assertStringNotContainsString('NaN', $this->browser->text());
        $months = $this->browser->driver->executeScript("return [...document.querySelectorAll('svg.wide text')].slice(0, 12).map((t) => t.textContent)");
        self::assertSame('Jul', $months[0], 'the year starts at midwinter');
        self::assertSame('Jun', $months[11]);
    }

    public function test_public_pages_are_accessible(): void
    {
        foreach (['/', '/zones/basin-floor/this-week', '/zones/basin-floor', '/zones/basin-floor/crops/pepper-hot'] as $path) {
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
