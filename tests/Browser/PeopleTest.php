<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\People\Totp;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverSelect;

/** From an invitation to the first log entry; a second step; a date traced to its changes. */
final class PeopleTest extends BrowserTestCase
{
    private const PASSWORD = 'three words in a row';

    /** @return string address of the latest invitation in the outbox */
    private function invitation(): string
    {
        $this->browser->visit('/desk/settings/office')->see('You are invited to');
        $mails = (string) $this->browser->driver->executeScript(
            "return [...document.querySelectorAll('pre.letter')].map((mail) => mail.textContent).join('')",
        );
        self::assertSame(1, preg_match('#/desk/invitation/[A-Za-z0-9]+#', $mails, $link));

        return $link[0];
    }

    public function test_somebody_is_invited_joins_and_logs_their_first_entry(): void
    {
        $email = 'nell-'.bin2hex(random_bytes(4)).'@kestrel.example';
        $this->logIn('ines@kestrel.example');
        $this->browser->visit('/desk/settings/people')->see('Invite a person');
        $this->assertAccessible('people');
        $this->browser->fill('Name', 'Nell Wainscott')->fill('E-mail address', $email)->press('Send invitation');
        $this->browser->see('The invitation is on its way.')->see('Nell Wainscott');
        $link = $this->invitation();
        $this->browser->asNew();
        $this->browser->phone();
        $this->browser->visit($link)->see('You are invited to Kestrel Basin Extension as: Volunteer.');
        $this->assertFitsTheWidth('an invitation');
        $this->assertAccessible('an invitation');
        $this->browser->fill('Password', self::PASSWORD)->press('Join')->see('Zones');
        $this->browser->visit('/log')->see('Emerged')->press('sown')->see('Which crop')->press('Radish');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('.keep button'))->click();
        $this->browser->see('Saved: sown.')->see('Everything is sent');
        self::assertSame([], $this->browser->errors());
        $this->browser->asNew();
        $this->browser->visit($link)->see('This link has been used or is too old.');
        $this->browser->asNew();
        $this->logIn('ines@kestrel.example');
        $this->browser->visit('/desk/settings/people')->see('Nell Wainscott');
        $this->browser->driver->findElement(WebDriverBy::cssSelector('button[aria-label="Remove Nell Wainscott"]'))->click();
        $this->browser->press('Remove for good')->seeNoLonger('Nell Wainscott');
    }

    public function test_a_second_step_is_set_up_and_asked_for(): void
    {
        $this->logIn('corwin@kestrel.example');
        $this->browser->visit('/desk/profile')->press('Set up second step')->see('Or type this key into the app');
        $this->assertAccessible('the profile');
        $secret = str_replace(' ', '', $this->browser->find('.page code')->getText());
        $code = static fn (int $ahead): string => Totp::code($secret, intdiv(time(), 30) + $ahead);
        $this->browser->fill('Code the app shows', $code(0))->press('Turn on')->see('They are not shown again.');
        $recovery = $this->browser->find('.codes code')->getText();
        $this->browser->visit('/desk/profile')->see('You have 8 recovery codes left')->press('Log out')->see('Forgot your password?');
        $this->browser->fill('E-mail address', 'corwin@kestrel.example')->fill('Password', 'kestrel-demo')->press('Log in');
        $this->browser->see('or one of your recovery codes');
        $this->assertAccessible('the second step');
        // The code of the next half minute already works, and was not used for the setup.
        $this->browser->fill('Code', $code(1))->press('Log in')->see('Zones');
        $this->browser->asNew();
        $this->logInByForm('corwin@kestrel.example');
        $this->browser->see('or one of your recovery codes')->fill('Code', $recovery)->press('Log in')->see('Zones');
        $this->browser->visit('/desk/profile')->see('You have 7 recovery codes left')->press('Turn off second step');
        $this->browser->fill('Current password', 'kestrel-demo')->press('Turn off second step')->see('Set up second step');
        self::assertSame([], $this->browser->errors());
    }

    public function test_somebody_of_two_offices_changes_between_them(): void
    {
        $this->logIn('corwin@kestrel.example');
        $this->browser
            ->visit('/desk/zones/basin-floor/today')
            ->see('Kestrel Basin Extension')
            ->press('Basin Floor')
            ->see('Your other offices');
        self::assertStringNotContainsString('Saltbush Flats', $this->browser->text(), 'a zone of the other office');
        $this->browser->driver->executeScript(
            "[...document.querySelectorAll('[role=menuitem]')].find((i) => i.textContent.startsWith('Saltbush District')).click()",
        );
        $this->browser->see('Saltbush Flats')->seeNoLonger('Lakeshore');
        $this->browser->visit('/desk/settings/people')->see('Jun Hartsock')->see('Invite a person');
        self::assertStringNotContainsString('Wren Adeyemi-Holt', $this->browser->text(), 'a person of the other office');
        $this->browser->visit('/desk/settings/office')->see('Color of its mark');
        $this->assertAccessible('the settings of an office');
        // A link to a zone of the other office still leads there, with the person's role there.
        $this->browser->visit('/desk/zones/basin-floor/today')->see('Season:');
        $this->browser->asNew();
        $this->browser->visit('/zones/saltbush-flats')->see('Saltbush District Extension')->follow('Saltbush District Extension');
        $this->browser->see('3 Wellhead Street')->see('Ochre Wells');
        self::assertSame('/offices/saltbush-district-extension', $this->browser->path());
        $this->assertAccessible('the front page of an office');
        self::assertSame([], $this->browser->errors());
    }

    public function test_a_date_is_traced_to_the_changes_behind_it(): void
    {
        $this->logIn();
        $this->browser->visit('/desk/zones/basin-floor/planting-windows/pumpkin')->see('Changes behind these dates');
        $this->browser->follow('Changes behind these dates');
        $this->browser->see('Every change behind the dates of Pumpkin in Basin Floor');
        $this->browser->see('The growers’ club sows together after the plant fair.')->see('basin-floor-station.csv');
        $this->assertAccessible('the change history');
        (new WebDriverSelect($this->browser->find('.asking select')))->selectByVisibleText('Lakeshore');
        $this->browser->see('lakeshore-station.csv')->seeNoLonger('The growers’ club');
        self::assertSame([], $this->browser->errors());
    }
}
