<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** The crop book: reading, trying, saving, undoing. */
final class CropBookTest extends BrowserTestCase
{
    public function test_a_number_shows_its_effect_before_it_is_saved_and_can_be_taken_back(): void
    {
        $this->logIn();
        $this->browser
            ->visit('/desk/settings/crops')
            ->see('113 crops')
            ->fill('Find a crop', 'parsnip')
            ->follow('Parsnip')
            ->see('It has never been changed.');
        $this->browser->fill('Days to maturity', '9999')->see('“9999” is not a number from 1 to 400.');
        $this->browser->fill('Days to maturity', '160')->see('sow outdoors, then')->see('Days to maturity: ');
        $this->browser
            ->fill('Reason and source', 'Three winters of trials.')
            ->press('Save')
            ->see('Three winters of trials.')
            ->see('Restore');
        $this->browser->press('Restore')->see('Restored to the version before');
        $this->browser->until(
            fn (): bool => count($this->browser->driver->findElements(WebDriverBy::xpath("//button[normalize-space()='Restore']"))) === 2,
            'There are not two to take back.',
        );
        self::assertSame(
            [],
            array_values(array_filter($this->browser->errors(), static fn (string $e): bool => ! str_contains($e, 'status of 422'))),
        );
    }

    public function test_a_variety_is_added_and_taken_out(): void
    {
        $name = 'Marl Root '.substr(uniqid(), -4);
        $this->logIn();
        $this->browser
            ->visit('/desk/settings/crops/beet')
            ->press('Add a variety')
            ->fill('Variety’s name', $name)
            ->fill('Own days', '44')
            ->press('Save the variety')
            ->see('44 from sowing');
        $this->browser->driver
            ->findElement(WebDriverBy::xpath("//tr[td[normalize-space()='{$name}']]//button[normalize-space()='Delete']"))
            ->click();
        $this->browser->seeNoLonger($name);
    }
}
