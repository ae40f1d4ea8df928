<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** The log in a pocket: three touches, no signal, a trial from its plan to its verdict, an indicator plant. */
final class LogTest extends BrowserTestCase
{
    private function js(string $script): mixed
    {
        return $this->browser->driver->executeScript($script);
    }

    private function offline(bool $offline): void
    {
        $this->browser->devTools('Network.enable', []);
        $this->browser->devTools('Network.emulateNetworkConditions', [
            'offline' => $offline,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    }

    private function openLog(string $zone = 'Lakeshore'): void
    {
        $this->browser->phone();
        $this->logIn('tobias@kestrel.example');
        $this->browser->visit('/log')->see('Emerged');
        $this->js(
            "const s = document.querySelector('select'); const o = [...s.options].find((o) => o.text === '{$zone}');".
                " Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(s, o.value); s.dispatchEvent(new Event('change', {bubbles: true}))",
        );
        $this->browser->starting('.log h1', $zone);
    }

    public function test_a_sowing_is_logged_in_three_touches_and_the_desk_has_it(): void
    {
        $this->openLog('Basin Floor');
        $this->assertFitsTheWidth('the log');
        $this->assertAccessible('the log');
        $this->browser->press('sown')->see('Which crop');
        $this->browser->press('Radish');
        $this->assertFitsTheWidth('a sowing');
        $this->assertAccessible('a sowing');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('.keep button'))->click();
        $this->browser->see('Saved: sown.')->see('Everything is sent');
        $this->browser->devTools('Emulation.clearDeviceMetricsOverride', []);
        $this->browser->visit('/desk/zones/basin-floor/log')->starting('.log-screen tbody tr', '18 Apr 2026');
        self::assertStringContainsString('Radish', $this->browser->find('.log-screen tbody tr')->getText());
        $this->assertAccessible('the log at the desk');
        $this->browser->press('Undo')->see('Undone.');
        $this->browser->visit('/desk/zones/basin-floor/today')->see('In the ground')->see('What indicator plants say');
        self::assertSame([], $this->browser->errors());
    }

    public function test_what_is_written_without_a_signal_waits_and_goes_when_there_is_one(): void
    {
        $this->openLog();
        $this->browser->until(
            fn (): bool => (bool) $this->browser->driver->executeAsyncScript(
                "const done = arguments[0]; caches.open('anthesis-log').then((c) => c.match('/log')).then((r) => done(r !== undefined))",
            ),
            'The log is not kept.',
        );
        $this->browser->visit('/log')->see('Emerged');
        $this->browser->until(
            fn (): bool => (bool) $this->js('return navigator.serviceWorker.controller !== null'),
            'The worker does not answer for the page.',
        );
        $this->offline(true);
        $this->browser->driver->navigate()->refresh();
        $this->browser->see('Emerged');
        $this->browser->press('sown')->see('Which crop')->press('Leaf lettuce');
        $this->browser->fill('Garden', 'Shore garden')->fill('Bed', 'Bed 9');
        $picture = tempnam(sys_get_temp_dir(), 'bed').'.jpg';
        imagejpeg(imagecreatetruecolor(400, 300) ?: self::fail('no picture'), $picture);
        $this->browser->attach($picture)->see('Photo,');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('.keep button'))->click();
        $this->browser->see('Saved on this phone: sown.');
        // What is written next knows what is waiting.
        $this->browser->press('emerged')->see('Leaf lettuce, Bed 9');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('.keep button'))->click();
        $this->browser->see('2 entries are waiting')->see('You are offline');
        $this->offline(false);
        $this->js("window.dispatchEvent(new Event('online'))");
        $this->browser->see('Everything is sent');
        unlink($picture);
        $this->browser->devTools('Emulation.clearDeviceMetricsOverride', []);
        $this->browser->visit('/desk/zones/lakeshore/log')->see('Shore garden, Bed 9')->see('photo');
        $rows = $this->js("return [...document.querySelectorAll('.log-screen tbody tr')].map((row) => row.textContent)");
        self::assertCount(
            2,
            array_filter($rows, static fn (string $row): bool => str_contains($row, 'Leaf lettuce')),
            'each line once',
        );
    }

    public function test_a_bed_is_watered_from_the_phone_and_today_knows_of_it(): void
    {
        $this->browser->phone();
        $this->logIn();
        $this->browser->visit('/log')->see('Emerged');
        $this->chooseZone('basin-floor');
        $this->browser->see('Rain gauge')->press('watered')->see('Watering rules of your district come first')->press('Bed 4');
        $this->assertFitsTheWidth('a watering');
        $this->assertAccessible('watered');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('.keep button'))->click();
        $this->browser->see('Saved')->see('Everything is sent');
        $this->browser->devTools('Emulation.clearDeviceMetricsOverride', []);
        $this->browser->visit('/desk/zones/basin-floor/today')->see('Water today');
        $this->browser->until(
            fn (): bool => (bool) $this->js(
                "return [...document.querySelectorAll('.water-today tbody tr')].some((row) => row.textContent.includes('Bed 4') && row.textContent.includes('18'))",
            ),
            'Today does not know that Bed 4 was watered.',
        );
        self::assertSame([], $this->browser->errors());
    }

    private function chooseZone(string $zone): void
    {
        $this->browser->find("select option[value={$zone}]");
        $this->js(
            "const s = document.querySelector('select'); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(s, '{$zone}'); s.dispatchEvent(new Event('change', {bubbles: true}))",
        );
        $name = ucwords(str_replace('-', ' ', $zone));
        $this->browser->until(
            fn (): bool => $this->js("return document.querySelector('h1')?.textContent") === $name,
            "The log of {$name} did not open.",
        );
    }

    public function test_a_trial_from_its_plan_to_its_verdict(): void
    {
        $question = 'Is early worth it, '.uniqid().'?';
        $this->browser->phone();
        $this->logIn();
        $this->browser->visit('/desk/zones/orchard-bench/trials')->press('Plan a trial');
        $this->browser->fill('Question to answer', $question);
        // A crop can be chosen once they are there.
        $this->browser->find('.plan select option[value=radish]');
        $this->js(
            "const s = [...document.querySelectorAll('.plan select')][0]; Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(s, 'radish'); s.dispatchEvent(new Event('change', {bubbles: true}))",
        );
        $this->browser->press('other waves')->see('Add wave');
        $this->browser->press('Plan 9 plots')->see($question)->see('9 plots are still to be done');
        $this->assertFitsTheWidth('a trial');
        $this->assertAccessible('trials');
        // The plan asks for its plots on the phone: two are sown, one of them is lost, the other harvested.
        $this->browser->visit('/log')->see('Emerged');
        $this->chooseZone('orchard-bench');
        $this->browser->see('Due for trials');
        foreach ([1, 2] as $plot) {
            $this->browser->until(
                fn (): bool => count(
                    array_filter(
                        $this->browser->driver->findElements(WebDriverBy::cssSelector('.due')),
                        static fn ($b): bool => str_contains($b->getText(), "plot {$plot}"),
                    ),
                ) > 0,
                "Plot {$plot} is not asked for.",
            );
            $this->js("[...document.querySelectorAll('.due')].find((b) => b.textContent.includes('plot {$plot}')).click()");
            $this->browser->find('.keep button:not([disabled])')->click();
            // "All sent" was there before the entry was written; "saved" was not.
            $this->browser->see('Saved: sown.')->see('Everything is sent');
        }
        foreach (['last harvest' => null, 'lost' => 'pests'] as $act => $cause) {
            $this->browser->press($act)->see('Which planting');
            $this->js("[...document.querySelectorAll('.choices')][0].querySelector('button').click()");
            $cause === null ? $this->browser->fill('Harvest, kg', '1.5') : $this->browser->press($cause);
            $this->browser->find('.keep button:not([disabled])')->click();
            $this->browser->see("Saved: {$act}.");
        }
        $this->browser->see('Everything is sent')->visit('/desk/zones/orchard-bench/trials')->see('1 of 2')->see('this is one season only');
        $this->browser
            ->fill('What you learned', 'Early is worth it where it is not eaten.')
            ->press('Close trial')
            ->see('Early is worth it where it is not eaten. (Wren Adeyemi-Holt, 18 April 2026)');
        $this->browser
            ->visit('/desk/zones/orchard-bench/planting-windows/radish')
            ->see('What your plantings show')
            ->see('Early is worth it where it is not eaten.');
    }

    public function test_a_plant_is_seen_and_tells_the_season(): void
    {
        $this->openLog('Basin Floor');
        $this->browser->press('indicator plant seen')->see('Which plant')->press('Lilac, first leaf');
        $this->browser->find('.keep button:not([disabled])')->click();
        $this->browser->see('Saved: indicator plant seen.')->see('Everything is sent');
        $this->browser
            ->visit('/desk/zones/basin-floor/indicator-plants')
            ->see('Seen this year on 18 April 2026.')
            ->see('When you see it, you can sow');
        $this->assertFitsTheWidth('plants');
        $this->assertAccessible('plants');
        self::assertSame([], $this->browser->errors());
    }
}
