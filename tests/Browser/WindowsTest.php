<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;

final class WindowsTest extends BrowserTestCase
{
    public function test_everything_frequent_is_done_by_keys(): void
    {
        $this->logIn();
        $this->browser
            ->visit('/desk/zones/basin-floor/planting-windows?on=04-20')
            ->see('On 20 April')
            ->see('a freeze still came on or after 20 April');
        $this->browser
            ->keys(']')
            ->see('On 27 April')
            ->keys('[', '[')
            ->see('On 13 April')
            ->keys('}')
            ->see('On 14 April')
            ->keys('{', '{')
            ->see('On 12 April');
        $this->browser->keys('t')->see('On 18 April');
        $this->browser
            ->keys('j')
            ->see('Raphanus sativus')
            ->see('Sow outdoors: ')
            ->keys('j')
            ->see('var. longipinnatus')
            ->keys('k')
            ->see('Turns hot and hollow');
        $this->browser->keys(WebDriverKeys::ESCAPE)->see('On 18 April');
        $this->browser
            ->keys('/', 'garlic')
            ->see('3 of 113 crops')
            ->keys(WebDriverKeys::ENTER)
            ->see('Sown on every day of every year on record');
        $this->browser
            ->keys('g', 'p')
            ->see('Publish edition')
            ->keys('g', 'c')
            ->see('Dates and how sure they are')
            ->keys('g', 'a')
            ->see('Orchard Bench');
        $this->browser->keys('?')->see('one week back');
        self::assertSame([], $this->browser->errors());
    }

    public function test_a_click_on_the_ruler_sets_the_date_and_one_on_a_name_opens_its_derivation(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/averrin-sound/planting-windows')->see('113 of 113 crops');
        $this->browser->driver->executeScript(
            <<<'JS'
            const ruler = document.querySelector('svg.ruler');
            const box = ruler.getBoundingClientRect();
            ruler.dispatchEvent(new MouseEvent('click', { bubbles: true, clientX: box.left + 188, clientY: box.top + 40 }));
            JS
            ,
        );
        // Which of these days is there depends on a pixel.
        $this->browser->see(' July')->see('seasons on record');
        self::assertSame(1, preg_match('/On [12] July/', $this->browser->text(), $day), 'the day under the click');
        $this->browser->fill('Find a crop', 'bush bean')->see('1 of 113 crops')->find('#row-bush-bean .name')->click();
        $this->browser->see('Show crop evidence')->see('(mean of 7 days)')->see('Seed may be treated');
        self::assertStringContainsString('crop=bush-bean', $this->browser->driver->getCurrentURL());
        $this->browser->follow('Back to the day')->see($day[0]);
    }

    public function test_a_crop_is_found_and_the_cursor_reads_its_evidence_in_the_dossier(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/basin-floor/planting-windows?on=04-03')->see('113 of 113 crops')->keys('/', 'snow');
        $this->browser->until(
            fn (): bool => $this->browser->find('.count')->getText() === '1 of 113 crops',
            'The search does not leave one crop.',
        );
        $this->browser->keys(WebDriverKeys::ENTER)->see('Snap and snow pea')->see('On 3 April: harvest');
        $this->browser->follow('Show crop evidence')->see('Compare methods')->see('On 3 April')->see('The replay opens');
        self::assertMatchesRegularExpression('/harvest\s+\d+ of (29|30) years/', $this->browser->text());
        $this->browser->see('low tunnel')->find('.climate svg g > title');
        // Once the page has asked for nothing for two seconds, whatever is asked for is asked for by the cursor.
        $quiet = 'return performance.now() - Math.max(...performance.getEntriesByType("resource").map((e) => e.startTime)) > 2000';
        $this->browser->until(fn (): bool => $this->browser->driver->executeScript($quiet) === true, 'The page never stops loading.');
        $since = $this->browser->driver->executeScript('return performance.now()');
        $this->browser->keys(']')->see('On 10 April')->keys('{')->see('On 9 April');
        $asked = 'return performance.getEntriesByType("resource").filter((e) => e.startTime > arguments[0]).map((e) => e.name)';
        self::assertSame([], $this->browser->driver->executeScript($asked, [$since]), 'the cursor reads what is there already');
        $this->browser->see('low tunnel')->see('days earlier')->see('Saddle Dwarf');
        self::assertStringNotContainsString(
            'NaN',
            $this->browser->driver->executeScript('return document.querySelector(".climate svg").outerHTML'),
        );
        self::assertSame([], $this->browser->errors());
    }

    public function test_own_dates_are_set_with_a_reason_shown_in_plum_and_undone(): void
    {
        $this->logIn();
        $this->browser
            ->visit('/desk/zones/lakeshore/planting-windows/dill')
            ->see('The calendar follows the replay.')
            ->press('Set your own dates')
            ->fill('From 1', '02-01')
            ->fill('To 1', '02-30')
            ->fill('Why', 'The herb club sows early.')
            ->press('Save')
            ->see('Enter a date such as 4/18, Apr 18, or 18 April.');
        $this->browser
            ->fill('To 1', 'Feb 20')
            ->press('Save')
            ->see('The calendar follows your own dates.')
            ->see('Wren Adeyemi-Holt, ')
            ->see('The herb club sows early.')
            ->see('fewer than half of the years on record came to a harvest');
        self::assertNotCount(0, $this->browser->driver->findElements(WebDriverBy::cssSelector('.climate svg path.own')));
        $this->browser->visit('/desk/zones/lakeshore/planting-windows')->see('your own dates');
        $this->browser
            ->visit('/desk/zones/lakeshore/planting-windows/dill')
            ->see('For an even harvest')
            ->press('Undo')
            ->see('The calendar follows the replay.');
        self::assertCount(0, $this->browser->driver->findElements(WebDriverBy::cssSelector('.climate svg path.own')));
    }

    public function test_another_site_is_computed_when_it_is_chosen(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/high-meadow/planting-windows')->see('113 of 113 crops');
        $radish = fn (): string => (string) $this->browser->driver->executeScript(
            'return document.querySelector("#row-radish path.bracket")?.getAttribute("d") ?? ""',
        );
        $open = $radish();
        $this->choose('Growing site', 'cold frame');
        $this->browser->until(
            static fn (): bool => ! in_array($radish(), ['', $open], true),
            'The windows of a cold frame differ from those of open ground.',
        );
        $this->choose('Growing site', 'open ground');
        $this->browser->until(static fn (): bool => $radish() === $open, 'Open ground does not bring its windows back.');
    }

    public function test_a_bolder_standard_widens_windows_and_crops_are_grouped_by_what_is_next(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/high-meadow/planting-windows')->see('Brassicaceae');
        $brackets = fn (): string => (string) $this->browser->driver->executeScript(
            'return [...document.querySelectorAll("#row-radish path.bracket")].map((p) => p.getAttribute("d")).join()',
        );
        $before = $brackets();
        $this->browser->driver->findElement(WebDriverBy::xpath("//label[normalize-space()='6 of 10']"))->click();
        $this->browser->see('Use in the calendar');
        $this->browser->until(static fn (): bool => $brackets() !== $before, 'The brackets stay where they were.');
        $this->choose('Grouped', 'by what is next');
        $this->browser->see('Open now');
        $this->choose('Grouped', 'by season');
        $this->browser->see('Cool season');
        self::assertSame([], $this->browser->errors());
    }

    private function choose(string $label, string $option): void
    {
        (new WebDriverSelect($this->browser->find("select[aria-label='{$label}']")))->selectByVisibleText($option);
    }

    public function test_a_volunteer_sees_all_and_is_offered_nothing_to_publish(): void
    {
        $this->logIn('tobias@kestrel.example');
        $this->browser->visit('/desk')->see('Zones');
        self::assertStringNotContainsString('Add a zone', $this->browser->text());
        $this->browser->visit('/desk/zones/basin-floor/calendars')->see('Published calendars');
        self::assertCount(0, $this->browser->driver->findElements(WebDriverBy::cssSelector('form')));
        $this->browser->visit('/desk/zones/basin-floor/climate/files')->see('Uploaded files');
        self::assertCount(0, $this->browser->driver->findElements(WebDriverBy::cssSelector('input[type=file]')));
        $this->browser->visit('/desk/profile')->press('Log out')->see('Log in');
        $this->browser->visit('/desk/zones/basin-floor/planting-windows');
        self::assertSame('/desk/login', $this->browser->path());
    }

    public function test_a_wrong_password_is_said_where_it_is_typed(): void
    {
        $this->logInByForm('ines@kestrel.example', 'guess');
        $this->browser->see('The e-mail or password is wrong.');
    }

    public function test_the_desk_is_accessible(): void
    {
        $this->logIn();
        foreach (
            [
                '/desk' => 'Tonight’s work',
                '/desk/profile' => 'Home zone',
                '/desk/zones' => 'Compare zones',
                '/desk/settings/office' => 'Office hours',
                '/desk/zones/basin-floor/harvest-plan' => 'Leaf lettuce: ',
                '/desk/zones/new' => 'Add a zone',
                '/desk/zones/basin-floor/planting-windows?crop=radish' => 'Raphanus',
                '/desk/zones/basin-floor/planting-windows/broccoli' => 'Compare methods',
                '/desk/zones/basin-floor/today' => 'Wait a week',
                '/desk/zones/basin-floor/method' => 'heat on seedlings',
                '/desk/settings/crops/carrot' => 'It has never been changed.',
                '/desk/zones/basin-floor/climate' => 'Is it shifting',
                '/desk/zones/orchard-bench/climate/course' => 'low tunnel',
                '/desk/zones/basin-floor/climate/doubts' => 'Leave out another value',
                '/desk/zones/orchard-bench/climate/files' => 'Uploaded files',
                '/desk/zones/basin-floor/climate/readings' => 'Soil readings',
                '/desk/settings/growing-sites' => 'dark plastic mulch',
                '/desk/zones/basin-floor/calendars' => 'current',
                '/desk/zones/basin-floor/edit' => 'Edit the zone',
            ] as $path => $text
        ) {
            $this->browser->visit($path)->see($text);
            $this->assertAccessible($path);
        }
        $this->browser->devTools('Emulation.setEmulatedMedia', [
            'features' => [['name' => 'prefers-color-scheme', 'value' => 'dark']],
        ]);
        foreach (
            [
                '/desk/zones/basin-floor/planting-windows?crop=radish' => 'Raphanus',
                '/desk/zones/basin-floor/today' => 'Wait a week',
                '/desk/zones/new' => 'Add a zone',
                '/desk/settings/crops/carrot' => 'It has never been changed.',
            ] as $path => $text
        ) {
            $this->browser->visit($path)->see($text);
            $this->assertAccessible("{$path}, dark");
        }
        foreach (['dark', 'light'] as $scheme) {
            $this->browser->devTools('Emulation.setEmulatedMedia', [
                'features' => [['name' => 'prefers-color-scheme', 'value' => $scheme]],
            ]);
            $this->browser->visit('/desk/zones/new')->press('Save')->see('Enter a latitude from 0 to 90 degrees, such as 46.8 N.');
            $this->assertAccessible("a form with errors, {$scheme}");
        }
        $this->browser->devTools('Emulation.setEmulatedMedia', ['features' => []]);
    }

    public function test_narrow_and_magnified_screens_hold_the_desk(): void
    {
        $this->logIn();
        // 640 points are 1280 at 200%.
        foreach ([820, 640] as $width) {
            $this->browser->devTools('Emulation.setDeviceMetricsOverride', [
                'width' => $width,
                'height' => 800,
                'deviceScaleFactor' => 1,
                'mobile' => false,
            ]);
            foreach (
                [
                    '/desk' => 'Orchard Bench',
                    '/desk/zones/basin-floor/planting-windows' => '113 of 113 crops',
                    '/desk/zones/basin-floor/planting-windows/broccoli' => 'Compare methods',
                    '/desk/zones/basin-floor/today' => 'Wait a week',
                    '/desk/settings/crops/carrot' => 'It has never been changed.',
                    '/desk/settings/growing-sites' => 'dark plastic mulch',
                ] as $path => $text
            ) {
                $this->browser->visit($path)->see($text);
                $this->assertFitsTheWidth("{$path} at {$width}");
            }
        }
        $this->browser->devTools('Emulation.clearDeviceMetricsOverride', []);
    }

    public function test_the_keyboard_comes_to_a_crop_in_a_few_steps_and_is_never_lost(): void
    {
        $this->logInByForm('wren@kestrel.example');
        $this->browser->see('Zones');
        $at = fn (string $what): mixed => $this->browser->driver->executeScript("return document.activeElement.{$what}");
        $this->browser->until(static fn (): bool => $at('tagName') === 'MAIN', 'After the log-in the keyboard is on the screen.');
        $this->browser->visit('/desk/zones/basin-floor/planting-windows')->see('113 of 113 crops');
        for ($tabs = 0; $tabs < 25 && ! str_starts_with((string) $at('id'), 'stop-'); $tabs++) {
            $this->browser->driver->switchTo()->activeElement()->sendKeys(WebDriverKeys::TAB);
        }
        self::assertLessThan(20, $tabs, 'one stop for all rows');
        $this->browser->driver->switchTo()->activeElement()->sendKeys(WebDriverKeys::ARROW_DOWN);
        $this->browser->see('Show crop evidence');
        $this->browser->until(
            static fn (): bool => str_starts_with((string) $at('id'), 'stop-'),
            'The arrow takes the keyboard along.',
        );
        self::assertMatchesRegularExpression('/^[A-Z][^:]+: (sow outdoors|set out|plant)/', (string) $at('ariaLabel'));
        self::assertSame(
            'solid',
            $this->browser->driver->executeScript('return getComputedStyle(document.activeElement).outlineStyle'),
            'and it is seen where it is',
        );
    }
}
