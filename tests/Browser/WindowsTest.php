<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

final class WindowsTest extends BrowserTestCase
{
    public function test_everything_frequent_is_done_by_keys(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/basin-floor/windows?on=04-20')->see('On 20 April')->see('A freeze still came on or after this day');
        $this->browser->keys(']')->see('On 27 April')->keys('[', '[')->see('On 13 April')->keys('}')->see('On 14 April')->keys('{', '{')->see('On 12 April');
        $this->browser->keys('t')->see('On 12 May');
        $this->browser->keys('j')->see('Raphanus sativus')->see('Sow outdoors: ')->keys('j')->see('var. longipinnatus')->keys('k')->see('Turns hot and hollow');
        $this->browser->keys(WebDriverKeys::ESCAPE)->see('On 12 May');
        $this->browser->keys('/', 'garlic')->see('2 of 71 crops')->keys(WebDriverKeys::ENTER)->see('Normal soil first falls to 4 °C');
        $this->browser->keys('g', 'p')->see('Publish edition')->keys('g', 'r')->see('The record in use')->keys('g', 'z')->see('Orchard Bench');
        $this->browser->keys('?')->see('a week back');
        self::assertSame([], $this->browser->errors());
    }

    public function test_a_click_on_the_ruler_sets_the_date_and_one_on_a_name_opens_its_derivation(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/averrin-sound/windows')->see('71 of 71 crops');
        $this->browser->driver->executeScript(<<<'JS'
            const ruler = document.querySelector('svg.ruler');
            const box = ruler.getBoundingClientRect();
            ruler.dispatchEvent(new MouseEvent('click', { bubbles: true, clientX: box.left + 188, clientY: box.top + 40 }));
            JS);
        $this->browser->see('On 1 July')->see('seasons.');
        $this->browser->fill('Find a crop', 'bush bean')->see('1 of 71 crops')->find('#row-bush-bean .name')->click();
        $this->browser->see('Hold until normal soil at 5 cm reaches 15 °C')->see('Seed may be treated');
        self::assertStringContainsString('crop=bush-bean', $this->browser->driver->getCurrentURL());
        $this->browser->follow('Back to the day')->see('On 1 July');
    }

    public function test_the_record_reads_on_any_date_and_at_any_threshold(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/averrin-sound/record?on=08-10')->see('On 10 August')->see('still came on or after this day in');
        $this->browser->keys(']')->see('On 17 August')->keys('{')->see('On 16 August');
        $titles = fn (): array => $this->browser->driver->executeScript("return [...document.querySelectorAll('section[aria-label=Climate] svg g > title')].map((t) => t.textContent)");
        self::assertMatchesRegularExpression('/^(last freeze \d+ \w+ \d{4}|no freeze before summer), /', $titles()[0]);
        $this->browser->driver->findElement(WebDriverBy::xpath("//label[normalize-space()='−4.4 °C']"))->click();
        $this->browser->see('There are too few freezes on record to tell.');
        self::assertStringNotContainsString('NaN', $this->browser->text());
        self::assertStringNotContainsString('1970', implode(' ', $titles()));
        self::assertSame([], $this->browser->errors());
    }

    public function test_a_doubted_value_is_let_count_with_a_reason_and_that_is_undone(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/high-meadow/record')->see('Doubted values')->see('outside −70 to 60 °C: ');
        $this->browser->driver->findElement(WebDriverBy::xpath("//section[h3[contains(., 'more than 25')]]//button[normalize-space()='let it count']"))->click();
        $this->browser->fill('Why it counts', 'Two neighbours saw the same.')->press('Let it count')->see('counts: Two neighbours saw the same. (Wren Adeyemi-Holt')->see('Computed.');
        $this->browser->press('undo')->see('left out by the rule');
        $this->browser->driver->wait(10)->until(fn (): bool => ! str_contains($this->browser->text(), 'Two neighbours'));
        self::assertSame([], $this->browser->errors());
    }

    public function test_a_volunteer_sees_all_and_is_offered_nothing_to_publish(): void
    {
        $this->logIn('tobias@kestrel.example');
        self::assertStringNotContainsString('Add a zone', $this->browser->text());
        $this->browser->visit('/desk/zones/basin-floor/press')->see('Editions');
        self::assertCount(0, $this->browser->driver->findElements(WebDriverBy::cssSelector('form')));
        $this->browser->visit('/desk/zones/basin-floor/record')->see('Files brought');
        self::assertCount(0, $this->browser->driver->findElements(WebDriverBy::cssSelector('input[type=file]')));
        $this->browser->press('Log out')->see('Log in');
        $this->browser->visit('/desk/zones/basin-floor/windows');
        self::assertSame('/desk/login', $this->browser->path());
    }

    public function test_a_wrong_password_is_said_where_it_is_typed(): void
    {
        $this->browser->visit('/desk/login')->fill('E-mail address', 'ines@kestrel.example')->fill('Password', 'guess')->press('Log in')
            ->see('Address and password do not belong together.');
    }

    public function test_the_desk_is_accessible(): void
    {
        $this->logIn();
        foreach (['/desk' => 'Orchard Bench', '/desk/zones/new' => 'Add a zone', '/desk/zones/basin-floor/windows?crop=radish' => 'Raphanus',
            '/desk/zones/basin-floor/record' => 'Files brought', '/desk/zones/basin-floor/press' => 'current'] as $path => $text) {
            $this->browser->visit($path)->see($text);
            $this->assertAccessible($path);
        }
    }
}
