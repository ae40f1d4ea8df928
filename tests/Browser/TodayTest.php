<?php

declare(strict_types=1);

namespace Tests\Browser;

final class TodayTest extends BrowserTestCase
{
    public function test_the_packets_on_the_table_are_sorted_read_and_kept(): void
    {
        $this->logIn();
        $this->browser->see('Demonstration: it is 18 April 2026');
        $this->browser->visit('/desk/zones/basin-floor/today')->see('Soil at 5 cm')->see('A freeze comes on or after 18 April in 29 of 29 years')
            ->see('Last chance')->see('Hold a week')->see('first pick')->see('Simulated, as this station is.');
        $this->browser->fill('Find a crop', 'carrot')->see('a week on');
        $this->browser->visit('/desk/zones/basin-floor/today?of=carrot.direct.sow-outdoors')->see('Young plants stand a light freeze.')->see('Basin Long')
            ->see('fits, ');
        $this->browser->find('aside input[type=checkbox]')->click();
        $this->browser->visit('/desk/zones/basin-floor/today?mine=1')->see('Carrot');
        $this->browser->until(fn (): bool => ! str_contains($this->browser->text(), 'Snap and snow pea'), 'Only the packets one has are left.');
        $this->browser->visit('/desk/zones/basin-floor/today?of=carrot.direct.sow-outdoors')->see('Basin Long')->find('aside input[type=checkbox]')->click();
        self::assertSame([], $this->browser->errors());
    }

    public function test_another_date_is_told_by_the_record_alone(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/averrin-sound/today?on=09-20')->see('By the record alone')->see('this season so far is left out')->press('back to today')
            ->see('then as each of');
        self::assertSame([], $this->browser->errors());
    }
}
