<?php

declare(strict_types=1);

namespace Tests\Browser;

final class TodayTest extends BrowserTestCase
{
    public function test_the_packets_on_the_table_are_sorted_read_and_kept(): void
    {
        $this->logIn();
        $this->browser->visit('/desk')->see('Demonstration: today is 18 April 2026');
        $this->browser
            ->visit('/desk/zones/basin-floor/today')
            ->see('Soil at 5 cm')
            ->see('Expect another freeze: it froze again on or after 18 April in every one of 29 years like this one')
            ->see('Last chance')
            ->see('Wait a week')
            ->see('first harvest about')
            ->see('Simulated, as this station is.');
        $this->browser->fill('Find a crop', 'carrot')->see('a week later');
        $this->browser
            ->visit('/desk/zones/basin-floor/today?of=carrot.direct.sow-outdoors')
            ->see('Young plants survive a light freeze.')
            ->see('Basin Long')
            ->see('fits, ');
        // What loads late moves the box, so it is ticked wherever it is.
        $tick = fn () => $this->browser->driver->executeScript('arguments[0].click()', [
            $this->browser->find('aside input[type=checkbox]'),
        ]);
        $tick();
        $this->browser->visit('/desk/zones/basin-floor/today?mine=1')->see('Carrot');
        $this->browser->until(
            fn (): bool => ! str_contains($this->browser->find('.acts')->getText(), 'Snap and snow pea'),
            'Only the packets one has are left.',
        );
        $this->browser->visit('/desk/zones/basin-floor/today?of=carrot.direct.sow-outdoors')->see('Basin Long');
        $tick();
        self::assertSame([], $this->browser->errors());
    }

    public function test_another_date_is_told_by_the_record_alone(): void
    {
        $this->logIn();
        $this->browser
            ->visit('/desk/zones/averrin-sound/today?on=09-20')
            ->see('past years only, not on this season')
            ->see('are used, not this season')
            ->press('Back to today')
            ->see('then continued as in each of');
        self::assertSame([], $this->browser->errors());
    }

    /** Soil, not the calendar, decides: a reading with the timer and the simulated probe, and a crop compared with it. */
    public function test_soil_is_read_by_the_timer_and_a_crop_held_against_it(): void
    {
        $this->logIn();
        $this->browser
            ->visit('/desk/zones/basin-floor/soil')
            ->see('Bed 3')
            ->see('Cells in the frame')
            ->see('as a daily mean')
            ->press('Read the simulated probe')
            ->see('Settled at');
        preg_match('/Settled at ([−\d.]+ °C)/u', $this->browser->text(), $found);
        $this->browser->press('Save '.($found[1] ?? '?'));
        $this->browser->see('Reading saved.')->see('today; as a daily mean');
        $this->assertAccessible('the Soil screen');
        $this->browser
            ->visit('/desk/zones/basin-floor/today?of=carrot.direct.sow-outdoors')
            ->see('Soil as measured')
            ->see('It needs soil of')
            ->see('Bed 3:')
            ->see('on 18 April 2026, as a daily mean');
        self::assertSame([], $this->browser->errors());
    }

    /** A draft with its evidence is edited, read by gardeners, and withdrawn with a reason. */
    public function test_an_advisory_is_published_and_withdrawn_before_gardeners_eyes(): void
    {
        $this->logIn();
        $this->browser
            ->visit('/desk/zones/lakeshore/today')
            ->see('Advisories to gardeners')
            ->press('Write your own')
            ->fill('What gardeners read', 'Water seedlings before the wind of Sunday.')
            ->press('Publish on zone page')
            ->see('shown until');
        // Browsers keep a page for five minutes.
        $page = function (string $words): void {
            $this->browser->until(
                fn (): bool => str_contains($this->browser->visit('/zones/lakeshore/this-week?'.uniqid())->text(), $words),
                "This week says: {$words}",
            );
        };
        $page('Water seedlings before the wind of Sunday.');
        $this->browser->see('This season, 18 April 2026')->see('The weather shown here is simulated.');
        $this->assertAccessible('this week with an advisory');
        $this->browser
            ->visit('/desk/zones/lakeshore/today')
            ->press('Withdraw')
            ->fill('Reason (gardeners read it)', 'The wind turned.')
            ->press('Withdraw advisory')
            ->see('Earlier advisories');
        $page('The wind turned.');
        self::assertSame([], $this->browser->errors());
    }
}
