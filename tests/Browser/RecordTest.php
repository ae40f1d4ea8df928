<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverSelect;

/** The Climate screen: reading freezes, soil, and light; questionable values; sites and readings. */
final class RecordTest extends BrowserTestCase
{
    private function choose(string $label, string $option): void
    {
        $this->browser->see($label);
        $select = $this->browser->driver->findElement(
            WebDriverBy::xpath("//select[@id=//label[starts-with(normalize-space(), '{$label}')]/@for]"),
        );
        (new WebDriverSelect($select))->selectByVisibleText($option);
    }

    public function test_the_record_reads_on_any_date_and_at_any_threshold(): void
    {
        $this->logIn();
        $this->browser
            ->visit('/desk/zones/averrin-sound/climate?on=08-10')
            ->see('On 10 August')
            ->see('still came on or after 10 August');
        $this->browser->keys(']')->see('On 17 August')->keys('{')->see('On 16 August');
        $titles = fn (): array => $this->browser->driver->executeScript(
            "return [...document.querySelectorAll('.climate svg g > title')].map((t) => t.textContent)",
        );
        self::assertMatchesRegularExpression('/^(last freeze \d+ \w+ \d{4}|no freeze before summer), /', $titles()[0]);
        $this->browser->driver->findElement(WebDriverBy::xpath("//label[normalize-space()='−4.4 °C']"))->click();
        $this->browser->see('There are too few freezes on record to say.');
        self::assertStringNotContainsString(
            'NaN',
            $this->browser->text().
                $this->browser->driver->executeScript('return document.querySelector(".climate svg").outerHTML'),
        );
        self::assertStringNotContainsString('1970', implode(' ', $titles()));
        self::assertSame([], $this->browser->errors());
    }

    public function test_dragging_the_cursor_reads_every_threshold_without_asking_the_server_again(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/orchard-bench/climate/freezes')->see('On 18 April');
        $asked = 'return performance.getEntriesByType("resource").length';
        $before = $this->browser->driver->executeScript($asked);
        $this->browser->driver->executeScript(
            <<<'JS'
            const chart = document.querySelector('.climate svg[role=img]');
            const box = chart.getBoundingClientRect();
            for (let x = 400; x <= 700; x += 5)
                chart.dispatchEvent(
                    new MouseEvent('mousemove', { bubbles: true, buttons: 1, clientX: box.left + x, clientY: box.top + 150 }),
                );
            JS
            ,
        );
        $this->browser->see('Had come')->see('of 30');
        self::assertSame($before, $this->browser->driver->executeScript($asked));
    }

    public function test_a_zone_is_held_against_another_and_against_other_years_on_the_same_axes(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/orchard-bench/climate/freezes')->see('Dates and how sure they are');
        $plum = fn (): int => count(
            $this->browser->driver->findElements(WebDriverBy::cssSelector('.climate svg [stroke="var(--plum)"]')),
        );
        self::assertSame(0, $plum());
        $this->choose('Compare with', 'High Meadow');
        $this->browser->see('In purple: High Meadow.');
        $this->browser->find('.climate svg [stroke="var(--plum)"]');
        self::assertGreaterThanOrEqual(3, $plum());
        $this->choose('Compare with', '1996 to 2010');
        $this->browser->see('In purple: 1996 to 2010.')->follow('Soil, air, and light')->see('In purple: 1996 to 2010.');
        $this->choose('Year to compare', '2012');
        $this->browser->see('In 2012: ');
        $this->choose('Soil of', 'cold frame');
        $this->browser->see(', cold frame; ');
        self::assertSame([], $this->browser->errors());
    }

    public function test_the_years_leaned_on_reach_the_dates(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/lakeshore/climate/freezes')->see('29 winters count.');
        $this->choose('Years used', 'latest 15');
        $this->browser->see('15 winters count.')->see('of 15');
        $this->choose('Years used', 'all');
        $this->browser->see('29 winters count.');
    }

    public function test_a_doubted_value_is_let_count_with_a_reason_and_that_is_undone(): void
    {
        $this->logIn();
        $this->browser
            ->visit('/desk/zones/high-meadow/climate/doubts')
            ->see('Questionable values')
            ->see('outside what is possible (temperatures −70 to 60 °C');
        $this->browser->driver
            ->findElement(
                WebDriverBy::xpath("//section[h3[contains(., 'more than 25')]]//button[normalize-space()='Use anyway']"),
            )
            ->click();
        $this->browser
            ->fill('Why it counts', 'Two neighbours saw the same.')
            ->press('Use value')
            ->see('counts: Two neighbours saw the same. (Wren Adeyemi-Holt')
            ->see('Updated.');
        $this->browser->press('Undo')->see('left out by the rule');
        $this->browser->seeNoLonger('Two neighbours');
        self::assertSame([], $this->browser->errors());
    }

    public function test_a_value_nothing_doubts_is_left_out_and_comes_back(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/high-meadow/climate/doubts')->press('Leave out another value');
        $this->browser->driver->executeScript('document.querySelector("input[type=date]").focus()');
        $this->browser
            ->fill('Day', '06/15/2001')
            ->fill('Why leave it out', 'The screen had blown open.')
            ->press('Leave out')
            ->see('left out: The screen had blown open.')
            ->see('questioned only by the person who left it out: 1')
            ->see('Updated.');
        $this->browser->press('Undo');
        $this->browser->seeNoLonger('blown open');
    }

    public function test_stations_say_what_they_fill_in_and_are_put_in_order(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/orchard-bench/climate/files')->see('from Packing Shed')->see('for height; +');
        $first = fn (): ?string => $this->browser->find('input[aria-label="Name of station 1"]')->getAttribute('value');
        $this->browser->press('Move up')->press('Save and update')->see('Updated.')->see('Filled in: ');
        $this->browser->until(fn (): bool => $first() === 'Packing Shed', 'The packing shed is not first.');
        $this->browser->press('Move up')->press('Save and update');
        $this->browser->until(fn (): bool => $first() === 'Orchard Bench station', 'The station is not first again.');
        self::assertSame([], $this->browser->errors());
    }

    public function test_readings_correct_the_soil_and_are_kept_as_a_site(): void
    {
        $path = sys_get_temp_dir().'/anthesis-readings.csv';
        $rows = array_map(static fn (int $d): string => sprintf('2025-04-%02d 15:30,5,%.1f', $d, 9 + $d / 3), range(1, 28, 3));
        file_put_contents($path, "timestamp,depth_cm,temperature_c\n".implode("\n", $rows)."\n");
        $name = 'school bed '.substr(uniqid(), -5);
        $this->logIn();
        $this->browser
            ->visit('/desk/zones/basin-floor/climate/readings')
            ->attach($path)
            ->see('10 of 10 readings count, at 5 cm, open ground.')
            ->fill('Save as growing site', $name)
            ->press('Save growing site')
            ->see("Saved as “{$name}”.");
        unlink($path);
        $this->browser->visit('/desk/settings/growing-sites')->see($name)->see('From 10 readings at 5 cm;');
        $this->browser->driver
            ->findElement(WebDriverBy::xpath("//tr[td[normalize-space()='{$name}']]//button[normalize-space()='Edit']"))
            ->click();
        $this->browser->fill('Rate', '9')->press('Save and update')->see('Enter a number between 0.1 and 3.');
        $this->browser->press('Cancel');
        $this->browser->driver
            ->findElement(WebDriverBy::xpath("//tr[td[normalize-space()='{$name}']]//button[normalize-space()='Delete']"))
            ->click();
        $this->browser->seeNoLonger($name);
    }
}
