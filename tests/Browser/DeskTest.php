<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** The desk as a person has it: their units and dates on every screen, what needs attention, and one field to find anything. */
class DeskTest extends BrowserTestCase
{
    private const ZONE = '/desk/zones/basin-floor';

    /** Screens, and a text that is on each once it has loaded, in any units. */
    private const SCREENS = [
        '/desk' => 'Tonight’s work',
        '/desk/zones' => 'Compare zones',
        self::ZONE.'/today' => 'Last chance',
        self::ZONE.'/log' => 'Tobias Marchetti',
        self::ZONE.'/soil' => 'Bed 3',
        self::ZONE.'/indicator-plants' => 'Sightings',
        self::ZONE.'/beds' => 'Summer squash',
        self::ZONE.'/harvest-plan' => 'Radish: ',
        self::ZONE.'/climate/freezes' => 'Is it shifting?',
        self::ZONE.'/climate/course' => 'Warmth and heat',
        self::ZONE.'/climate/doubts' => 'Leave out another value',
        self::ZONE.'/planting-windows?crop=radish' => 'Raphanus',
        self::ZONE.'/planting-windows/radish' => 'Compare methods',
        '/desk/settings/crops/carrot' => 'It has never been changed.',
        '/desk/settings/growing-sites' => 'dark plastic mulch',
    ];

    private const MONTH = '(?:January|February|March|April|May|June|July|August|September|October|November|December)';

    private const METRIC = '/\d\s?°C|\d\s?cm\b|\d\s?kg\b|\d m\b|, (?:°C|cm|kg|m)$|\b\d{1,2} '.self::MONTH.'\b/mu';

    private const US = '/\d\s?°F|\d\s?in\b(?! \d)|\d\s?lb\b|\d ft\b|, (?:°F|in|lb|ft)$|\b'.self::MONTH.' \d{1,2}\b/mu';

    private function choose(string $units, string $dates): void
    {
        $this->browser->visit('/desk/profile')->see('Home zone');
        $this->browser->driver->executeScript(
            <<<'JS'
            const [units, dates] = arguments;
            const selects = [...document.querySelectorAll('main select')];
            const set = Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set;
            [units, dates].forEach((value, i) => {
                set.call(selects[i], value);
                selects[i].dispatchEvent(new Event('change', { bubbles: true }));
            });
            JS
            ,
            [$units, $dates],
        );
        $read = fn (): string => (string) $this->browser->driver->executeScript('return localStorage.getItem("anthesis-reading")');
        if ($read() === "{$units} {$dates}") {
            return;
        }
        $this->browser->press('Save');
        $this->browser->until(
            fn (): bool => $this->browser->driver->executeScript('return localStorage.getItem("anthesis-reading")') === "{$units} {$dates}",
            'The choice was not saved.',
        );
    }

    /** @return list<string> texts on a screen, with everything opened, that match the pattern */
    private function read(string $pattern): array
    {
        // What a screen draws a moment later is opened too.
        $this->browser->until(
            fn (): bool => $this->browser->driver->executeScript(
                <<<'JS'
                document.querySelectorAll('details').forEach((details) => (details.open = true));
                return document.querySelector('details.behind:not(:has(table))') === null;
                JS
                ,
            ),
            'A table was not filled.',
        );
        $text = (string) $this->browser->driver->executeScript(
            <<<'JS'
            const named = [...document.querySelectorAll('[aria-label]')].map((e) => e.getAttribute('aria-label'));
            const drawn = [...document.querySelectorAll('svg text, svg title')].map((e) => e.textContent);
            return [document.body.innerText, ...named, ...drawn].join('\n');
            JS
            ,
        );
        preg_match_all($pattern, $text, $found);

        return array_values(array_unique($found[0]));
    }

    public function test_every_screen_is_in_the_units_and_dates_a_person_chose(): void
    {
        $this->logIn();
        try {
            foreach (['us' => [self::METRIC, 'month'], 'metric' => [self::US, 'day']] as $units => [$others, $dates]) {
                $this->choose($units, $dates);
                $own = 0;
                foreach (self::SCREENS as $path => $text) {
                    $this->browser->visit($path)->see($text);
                    self::assertSame([], $this->read($others), "{$path} in {$units} units");
                    $own += count($this->read($units === 'us' ? self::US : self::METRIC));
                }
                self::assertGreaterThan(50, $own, "screens say hardly anything in {$units} units");
            }
        } finally {
            $this->choose('metric', 'day');
        }
    }

    public function test_a_bed_is_measured_in_feet_and_reads_the_same_again(): void
    {
        $this->logIn();
        try {
            $this->choose('us', 'month');
            $this->browser->visit('/desk/zones/high-meadow/beds')->press('Add bed');
            $this->browser
                ->fill('Garden', 'Feet')
                ->fill('Name of the bed', 'Bed in feet')
                ->fill('Length, ft', '27.5')
                ->fill('Width, ft', '4');
            $this->browser->press('Save')->see('4 ft × 27.5 ft');
            $this->choose('metric', 'day');
            $this->browser->visit('/desk/zones/high-meadow/beds')->see('1.219 m × 8.382 m');
        } finally {
            $this->choose('metric', 'day');
        }
    }

    public function test_home_leads_to_what_needs_somebody_and_the_switcher_keeps_the_screen(): void
    {
        $this->logIn();
        $this->browser->visit('/desk')->see('Frost tonight')->see('questionable temperatures')->follow('Tonight’s work');
        $this->browser->see('Night to')->see('Season:');
        self::assertStringEndsWith('/today', $this->browser->path());
        $this->browser
            ->visit(self::ZONE.'/climate/freezes')
            ->see('Is it shifting?')
            ->press('Basin Floor');
        $this->browser->see('All zones')->see('Averrin partner district');
        $this->browser->driver->executeScript(
            "[...document.querySelectorAll('[role=menuitem]')].find((i) => i.textContent.startsWith('Lakeshore')).click()",
        );
        $this->browser->see('Lakeshore station');
        self::assertSame('/desk/zones/lakeshore/climate/freezes', $this->browser->path());
        // Screens outside zones continue with the one that was open last.
        $this->browser->visit('/desk')->follow('Planting windows')->see('of 113 crops');
        self::assertSame('/desk/zones/lakeshore/planting-windows', $this->browser->path());
        $this->browser->visit('/desk/zones/lakeshore/supply')->see('Add the crops you want');
        self::assertSame('/desk/zones/lakeshore/harvest-plan', $this->browser->path(), 'an address from before leads on');
    }

    public function test_anything_is_found_by_keys_alone(): void
    {
        $this->logIn();
        $this->browser->visit(self::ZONE.'/today')->see('Last chance');
        $this->browser->driver->getKeyboard()->sendKeys([WebDriverKeys::CONTROL, 'k', WebDriverKeys::NULL]);
        $this->browser->find('input[aria-label="Find or do anything"]')->sendKeys('publish high');
        $this->browser->see('Publish High Meadow');
        $this->assertAccessible('the field to find anything');
        $this->browser->find('input[aria-label="Find or do anything"]')->sendKeys(WebDriverKeys::ENTER);
        $this->browser->see('Warnings to explain');
        self::assertSame('/desk/zones/high-meadow/calendars', $this->browser->path());
    }

    public function test_home_its_acts_the_screens_and_the_zones_are_come_to_by_keys_alone(): void
    {
        $this->logIn();
        $this->browser->visit('/desk')->see('Frost tonight')->tabTo('Tonight’s work')->keys(WebDriverKeys::ENTER);
        $this->browser->see('Night to');
        self::assertSame(self::ZONE.'/today', $this->browser->path());
        // The groups are in the header, before the screen: a screen of another one, and another zone on the same screen.
        $this->browser
            ->visit(self::ZONE.'/today')
            ->see('Last chance')
            ->tabTo('Harvest plan', back: true)
            ->keys(WebDriverKeys::ENTER);
        $this->browser->see('Crops to harvest');
        $this->browser
            ->visit(self::ZONE.'/harvest-plan')
            ->see('Crops to harvest')
            ->tabTo('Basin Floor: change zone', back: true)
            ->keys(WebDriverKeys::ENTER);
        $this->browser->see('Averrin partner district');
        $menu = fn (): string => (string) $this->browser->driver->executeScript('return document.activeElement.textContent');
        for ($i = 0; $i < 12 && ! str_starts_with($menu(), 'Lakeshore'); $i++) {
            $this->browser->keys(WebDriverKeys::ARROW_DOWN);
        }
        $this->browser->keys(WebDriverKeys::ENTER)->see('Add the crops you want');
        self::assertSame('/desk/zones/lakeshore/harvest-plan', $this->browser->path());
    }
}
