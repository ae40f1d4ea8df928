<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Beds under the ruler: an open space filled, a conflict seen and fixed, a season proposed around what is locked, all of it undone. */
final class GroundTest extends BrowserTestCase
{
    private const GROUND = '/desk/zones/basin-floor/beds';

    /** @return int number of stays drawn in a bed */
    private function stays(): int
    {
        return count($this->browser->driver->findElements(WebDriverBy::cssSelector('.ground .stay')));
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->logIn();
        $this->browser->visit(self::GROUND)->see('Broccoli')->see('2 conflicts');
    }

    public function test_a_gap_is_found_by_keys_filled_and_undone(): void
    {
        $this->assertAccessible('ground');
        $before = $this->stays();
        for ($bed = 1; $bed <= 7; $bed++) {
            $this->browser->keys(WebDriverKeys::ARROW_DOWN);
        }
        $this->browser->see('Bed 7')->keys(WebDriverKeys::ARROW_RIGHT)->keys(WebDriverKeys::ARROW_RIGHT);
        $this->browser->see('Free until')->see('of years');
        $this->assertAccessible('what fits');
        $this->browser->find('.fits li .plain')->click();
        $this->browser->until(fn (): bool => $this->stays() === $before + 1, 'Nothing was planned.');
        $this->browser->press('Undo');
        $this->browser->until(fn (): bool => $this->stays() === $before, 'It was not undone.');
        self::assertSame([], $this->browser->errors());
    }

    public function test_two_on_the_same_ground_are_seen_and_mended(): void
    {
        $this->browser->see('Broccoli, Cucumber overlap')->press('Show')->see('Family');
        $this->browser->press('Delete');
        $this->browser->see('Undo')->keys(WebDriverKeys::ESCAPE);
        $this->browser->seeNoLonger('Broccoli, Cucumber overlap')->see('Summer squash on 4 May 2026 is outside every planting window');
        $this->browser->press('Undo')->see('Broccoli, Cucumber overlap');
    }

    public function test_a_household_of_four_is_supplied_and_a_missed_sowing_is_seen(): void
    {
        $this->browser
            ->visit('/desk/zones/basin-floor/harvest-plan')
            ->see('Radish: ')
            ->see('Leaf lettuce: ')
            ->see('the last on');
        $this->assertAccessible('the harvest plan');
        $before = $this->browser->text();
        $this->browser->find('.harvest-plan-screen .tick');
        $this->browser->driver->executeScript(
            "document.querySelectorAll('.harvest-plan-screen .tick')[1].dispatchEvent(new MouseEvent('click', {bubbles: true}))",
        );
        $this->browser->until(fn (): bool => $this->browser->text() !== $before, 'A missed sowing changes nothing.');
        // A deletion shows a notice, and can be undone from there, on another screen too.
        $this->browser->press('Delete')->see('The harvest plan is saved.')->seeNoLonger('Leaf lettuce: ');
        $this->assertAccessible('a notice');
        $this->browser->follow('Soil')->see('Take a reading');
        $this->browser->press('Undo')->see('Undone.')->follow('Harvest plan')->see('Leaf lettuce: ');
        self::assertSame([], $this->browser->errors());
    }

    public function test_the_worth_of_the_ground_is_sorted_by_the_prices_of_whoever_looks(): void
    {
        $this->browser->driver->executeScript(
            "[...document.querySelectorAll('summary')].find((s) => s.textContent === 'Value per square meter').click()",
        );
        $this->browser->see('harvest per week, kg per m²')->press('money per m² and week');
        $priced = fn (): array => $this->browser->driver->executeScript(
            "return [...document.querySelectorAll('.worth tbody tr')].slice(0, 5).map((r) => [r.querySelector('input').value !== '', Number(r.cells[7].textContent)])",
        );
        $this->browser->until(
            static fn (): bool => array_column($priced(), 0) === array_fill(0, 5, true),
            'Those with a price do not come first.',
        );
        $money = array_column($priced(), 1);
        $falling = $money;
        rsort($falling);
        self::assertSame($falling, $money, 'the most first');
        $this->assertAccessible('worth of the ground');
        $this->browser->visit('/desk/zones/basin-floor/today')->see('Tasks in your beds');
    }

    public function test_beds_are_filled_with_wishes_around_what_is_pinned(): void
    {
        $this->browser->driver->executeScript(
            "[...document.querySelectorAll('.stay')].find((s) => s.getAttribute('aria-label').startsWith('Summer squash')).dispatchEvent(new MouseEvent('click', {bubbles: true}))",
        );
        $this->browser->see('stays when beds are planned again');
        $this->browser->driver->executeScript("document.querySelector('aside input[type=checkbox]').click()");
        $this->browser->see('Summer squash, locked');
        $this->browser->press('Plan my beds')->see('Beds to fill');
        foreach (['beet', 'kale'] as $crop) {
            $this->browser->find("aside select option[value={$crop}]");
            $this->browser->driver->executeScript(
                "const s = document.querySelector('aside select'); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(s, '{$crop}'); s.dispatchEvent(new Event('change', {bubbles: true}))",
            );
            $this->browser->press('Add');
        }
        $this->browser->see('Beet, 4 m')->see('Kale, 4 m')->press('Suggest a plan')->see('Suggested plan')->see('that were not locked');
        $this->assertAccessible('a proposal');
        $this->browser->press('Use this plan')->seeNoLonger('Beds to fill');
        $this->browser->see('Summer squash, locked')->see('Beet')->seeNoLonger('Main-crop tomato');
        $this->browser->press('Undo')->see('Main-crop tomato');
        $this->browser->press('Undo')->seeNoLonger('Summer squash, locked');
    }
}
