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
        $this->browser->keys('g', 'p')->see('Publish edition')->keys('g', 'r')->see('Dates and how sure they are')->keys('g', 'z')->see('Orchard Bench');
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

    public function test_a_volunteer_sees_all_and_is_offered_nothing_to_publish(): void
    {
        $this->logIn('tobias@kestrel.example');
        self::assertStringNotContainsString('Add a zone', $this->browser->text());
        $this->browser->visit('/desk/zones/basin-floor/press')->see('Editions');
        self::assertCount(0, $this->browser->driver->findElements(WebDriverBy::cssSelector('form')));
        $this->browser->visit('/desk/zones/basin-floor/record/files')->see('Files brought');
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
            '/desk/zones/basin-floor/record' => 'Is it shifting', '/desk/zones/orchard-bench/record/course' => 'low tunnel', '/desk/zones/basin-floor/record/doubts' => 'Leave out another value',
            '/desk/zones/orchard-bench/record/files' => 'Files brought', '/desk/zones/basin-floor/record/readings' => 'Soil readings', '/desk/sites' => 'dark plastic mulch', '/desk/zones/basin-floor/press' => 'current'] as $path => $text) {
            $this->browser->visit($path)->see($text);
            $this->assertAccessible($path);
        }
    }
}
