<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** What was done on the smaller screens is undone from its notice, and seen as it was before. */
final class UndoTest extends BrowserTestCase
{
    /** Waits for the notice that says this, and presses its button. */
    private function undo(string $says): void
    {
        $this->browser->see($says);
        static $n = 0;
        usleep(500000);
        $this->browser->find('[role=alert] button');
        $this->browser->driver
            ->findElement(WebDriverBy::xpath("//*[@role='alert'][contains(., '{$says}')]//button[normalize-space()='Undo']"))
            ->click();
        $this->browser->see('Undone.')->seeNoLonger($says);
        usleep(500000);
    }

    public function test_a_device_and_a_token_that_were_ended_are_back(): void
    {
        $this->logIn();
        $connect = fn (): Browser => $this->browser
            ->press('Connect a device')
            ->fill('Name of the device', 'Porch logger')
            ->press('Connect device')
            ->see('The token of “Porch logger”');
        $this->browser->visit('/desk/zones/lakeshore/climate/files');
        $connect();
        $this->undo('Connected: Porch logger.');
        $this->browser->see('None yet: days come with the files you upload.')->seeNoLonger('The token of “Porch logger”');
        $connect()->press('Disconnect')->seeNoLonger('not heard yet');
        $this->undo('Disconnected: Porch logger.');
        $this->browser->see('not heard yet')->press('Disconnect')->seeNoLonger('not heard yet');

        $this->browser->visit('/desk/profile')->fill('What it is for', 'Shed logger');
        $this->browser->driver->findElement(WebDriverBy::xpath("//form[@aria-label='Make token']//input[@type='checkbox']"))->click();
        $this->browser->press('Make token')->see('Shed logger:');
        $end = fn () => $this->browser->find('[aria-label="End the token Shed logger"]')->click();
        $end();
        $this->browser->seeNoLonger('Shed logger:')->seeNoLonger('Copy this token now.');
        $this->undo('Ended: Shed logger.');
        $this->browser->see('Shed logger:');
        $end();
        $this->browser->seeNoLonger('Shed logger:');
        self::assertSame([], $this->browser->errors());
    }

    public function test_an_advisory_that_was_withdrawn_is_shown_again(): void
    {
        $this->logIn();
        $this->browser
            ->visit('/desk/zones/averrin-sound/today')
            ->press('Write your own')
            ->fill('What gardeners read', 'The sound will be rough on Sunday.')
            ->press('Publish on zone page')
            ->see('shown until');
        $withdraw = fn (): Browser => $this->browser
            ->press('Withdraw')
            ->fill('Reason (gardeners read it)', 'It calmed.')
            ->press('Withdraw advisory')
            ->seeNoLonger('shown until');
        $withdraw();
        $this->undo('The advisory is withdrawn.');
        $this->browser->see('shown until');
        $withdraw();
        self::assertSame([], $this->browser->errors());
    }

    public function test_a_reading_a_plant_and_a_closed_trial_are_as_before(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/basin-floor/soil')->see('Bed 3')->press('Read the simulated probe')->see('Settled at');
        $deleted = fn (): int => count($this->browser->driver->findElements(WebDriverBy::cssSelector('.spot tr.withdrawn')));
        $before = $deleted();
        preg_match('/Settled at ([−\d.]+ °C)/u', $this->browser->text(), $found);
        $this->browser->press('Save '.($found[1] ?? '?'));
        self::assertSame($before, $deleted());
        $this->undo('Reading saved.');
        self::assertSame($before + 1, $deleted());

        $this->browser
            ->visit('/desk/zones/basin-floor/indicator-plants')
            ->fill('Plant', 'Hedge willow')
            ->fill('Stage', 'catkins open')
            ->press('Add to the list');
        $this->undo('Added: Hedge willow.');
        $this->browser->seeNoLonger('Hedge willow');

        $this->browser
            ->visit('/desk/zones/basin-floor/trials')
            ->fill('What you learned', 'The early sowing was no earlier.')
            ->press('Close trial')
            ->see('The early sowing was no earlier. (');
        $this->undo('Closed: ');
        $this->browser->seeNoLonger('The early sowing was no earlier. (')->see('Close trial');
        self::assertSame([], $this->browser->errors());
    }

    public function test_boundaries_from_a_file_make_way_for_those_before(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones')->see('Lakeshore')->find('svg.outline path');
        $outline = fn (): string => (string) $this->browser->driver->executeScript(
            'return [...document.querySelectorAll("svg.outline path")].map((path) => path.getAttribute("d")).join()',
        );
        $before = $outline();
        $file = tempnam(sys_get_temp_dir(), 'zones').'.geojson';
        $ring = [[-98.6, 46.6], [-98.0, 46.6], [-98.0, 47.0], [-98.6, 47.0], [-98.6, 46.6]];
        $feature = ['properties' => ['zone' => 'Lakeshore'], 'geometry' => ['type' => 'Polygon', 'coordinates' => [$ring]]];
        file_put_contents($file, json_encode(['type' => 'FeatureCollection', 'features' => [['type' => 'Feature'] + $feature]]));
        $this->browser->attach($file);
        $this->browser->until(fn (): bool => $outline() !== $before, 'The new boundary is on the map.');
        $this->undo('The boundaries were saved.');
        $this->browser->until(fn (): bool => $outline() === $before, 'The boundary before is on the map again.');
        unlink($file);
        self::assertSame([], $this->browser->errors());
    }
}
