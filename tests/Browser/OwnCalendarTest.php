<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** A gardener's own calendar: saved language and units, crops, a newsletter, a zone offline. */
final class OwnCalendarTest extends BrowserTestCase
{
    private function js(string $script): mixed
    {
        return $this->browser->driver->executeScript($script);
    }

    public function test_a_reading_is_chosen_once_and_kept(): void
    {
        $this->browser->visit('/zones/basin-floor')->follow('Español')->see('El año de siembra en Basin Floor');
        self::assertSame('/es/zones/basin-floor', $this->browser->path());
        $this->browser->follow('°F, in')->see('días de 86 °F');
        self::assertSame('/es-f/zones/basin-floor', $this->browser->path());
        // Somebody who comes back from nowhere, at an address without a reading, is led to their own.
        $this->js("window.name = ''; location.href = 'about:blank'");
        $this->browser->visit('/zones/basin-floor/crops/radish')->see('Rábano');
        self::assertSame('/es-f/zones/basin-floor/crops/radish', $this->browser->path());
        $this->browser->follow('English')->follow('°C, cm')->see('Radish');
        self::assertSame('/zones/basin-floor/crops/radish', $this->browser->path());
    }

    public function test_chosen_crops_are_kept_by_the_browser_and_lead_to_a_feed_and_a_sheet(): void
    {
        $this->browser->visit('/zones/lakeshore/mine')->see('Choose the crops you grow.');
        foreach (['radish', 'kale', 'tomato-main'] as $crop) {
            $this->browser->find("input[name={$crop}]")->click();
        }
        $this->browser->press('Show these')->see('Their year');
        self::assertCount(3, $this->browser->driver->findElements(WebDriverBy::cssSelector('table.calendar tbody tr')));
        self::assertStringContainsString(
            'crops=radish,kale,tomato-main',
            (string) $this->browser->find('.taking a[href^=webcal]')->getAttribute('href'),
        );
        $this->browser
            ->visit('/zones/lakeshore/this-week?'.uniqid())
            ->follow('My crops')
            ->see('Their year');
        $this->browser->visit('/?'.uniqid())->see('Last read here:');
        self::assertSame('Lakeshore', $this->browser->find('.last-zone a')->getText());
        self::assertSame([], $this->browser->errors());
    }

    public function test_the_letter_is_asked_for_confirmed_and_seen_in_the_outbox(): void
    {
        $mail = 'reader-'.uniqid().'@example.org';
        $this->browser->visit('/es/zones/orchard-bench/mine?crops=radish');
        $this->browser->find('#mail')->sendKeys($mail);
        $this->browser->press('Pedir la carta')->see('Mire su correo');
        $this->logIn();
        $this->browser->visit('/desk/settings/office')->see('so nothing is sent')->see($mail);
        $this->browser->find('details summary')->click();
        preg_match('#(/es/letters/\S+/confirm\S*)#', $this->browser->find('details .letter')->getText(), $link);
        $this->browser->visit($link[1])->press('Sí, envíenme la carta')->see('La próxima carta de Orchard Bench es para usted.');
    }

    public function test_the_year_is_narrowed_by_month_family_and_what_is_quick(): void
    {
        $this->browser->visit('/zones/lakeshore');
        $seen = fn (): int => count(
            $this->browser->driver->findElements(WebDriverBy::cssSelector('table.calendar tbody tr:not([hidden])')),
        );
        $all = $seen();
        $this->js(
            "const s = document.querySelector('[name=family]'); s.value = 'Apiaceae'; s.dispatchEvent(new Event('input', {bubbles: true}))",
        );
        $this->browser->until(static fn (): bool => $seen() > 2 && $seen() < 12, 'The family does not narrow the table.');
        $this->browser->find('[name=quick]')->click();
        $this->browser->until(static fn (): bool => $seen() < 8, 'Quick ones are no fewer.');
        self::assertGreaterThan(70, $all);
        self::assertSame(
            'hidden',
            $this->js(
                "return getComputedStyle(document.querySelector('table.calendar tr[hidden]')).display === 'none' ? 'hidden' : 'shown'",
            ),
        );
    }

    public function test_a_zone_that_is_kept_opens_without_a_signal(): void
    {
        $this->browser->visit('/zones/high-meadow/this-week');
        $this->browser->press('Save for reading offline');
        $this->browser->see('Saved: this zone opens offline.');
        $this->browser->until(
            fn (): bool => (bool) $this->browser->driver->executeAsyncScript(
                'const done = arguments[0]; navigator.serviceWorker.ready.then((r) => done(r.active !== null))',
            ),
            'There is no worker.',
        );
        $this->browser->visit('/zones/high-meadow');
        $this->browser->until(
            fn (): bool => (bool) $this->js('return navigator.serviceWorker.controller !== null'),
            'The worker does not answer for the page.',
        );
        $this->browser->devTools('Network.enable', []);
        $this->browser->devTools('Network.emulateNetworkConditions', [
            'offline' => true,
            'latency' => 0,
            'downloadThroughput' => 0,
            'uploadThroughput' => 0,
        ]);
        try {
            $this->browser->visit('/zones/high-meadow/crops/radish')->see('Sow outdoors');
            $this->browser->visit('/zones/high-meadow/weeks/30')->see('High Meadow');
            self::assertSame(
                'rgb(251, 248, 241)',
                $this->js('return getComputedStyle(document.body).backgroundColor'),
                'with its styles',
            );
        } finally {
            $this->browser->devTools('Network.emulateNetworkConditions', [
                'offline' => false,
                'latency' => 0,
                'downloadThroughput' => -1,
                'uploadThroughput' => -1,
            ]);
        }
        $this->browser->visit('/zones/high-meadow/this-week')->press('Delete what is saved');
        $this->browser->see('Save for reading offline');
    }

    public function test_every_kind_of_public_page_is_accessible_in_both_languages_and_fits_a_phone(): void
    {
        $pages = [
            '/es',
            '/es-f/zones/lakeshore',
            '/es/zones/lakeshore/this-week',
            '/es/zones/lakeshore/crops/tomato-main',
            '/zones/lakeshore/mine?crops=radish,kale',
            '/es/zones/lakeshore/mine',
            '/about',
            '/es/method',
            '/glossary',
            '/es/contact',
            '/privacy',
            '/accessibility',
            '/search?for=courgette',
            '/es/search?for=nada',
            '/find?at=46.80,-98.00',
            '/zones/lakeshore/embed',
            '/zones/lakeshore/paper/year?crops=radish',
            '/es/zones/lakeshore/paper/week',
        ];
        foreach ($pages as $path) {
            $this->browser->visit($path);
            $this->assertAccessible($path);
        }
        $this->browser->phone();
        foreach (
            [
                ...array_filter($pages, static fn (string $p): bool => ! str_contains($p, '/paper/')),
                '/mirrored/zones/lakeshore/this-week',
                '/mirrored/zones/lakeshore/crops/garlic-hardneck',
            ] as $path
        ) {
            $this->browser->visit($path);
            $this->assertFitsTheWidth($path);
        }
    }
}
