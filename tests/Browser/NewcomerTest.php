<?php

declare(strict_types=1);

namespace Tests\Browser;

use Anthesis\Record\Day;
use App\Simulation\SimulatedClimate;
use App\Simulation\SimulatedStation;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** The way in: from an installation without any data to the first published page, read and typed in °F. */
final class NewcomerTest extends BrowserTestCase
{
    protected const SERVED = 'BROWSER_EMPTY_URL';

    private const CLICKS = 25;

    /** Thirty years of a made-up inland place, as an observer in the United States writes them. */
    private function fahrenheit(): string
    {
        $climate = new SimulatedClimate(10.1, 12.0, 202, [11.0, 2.0], [4.2, 0.7], 0.72, 0.0, 20261129);
        $lines = explode("\n", trim((new SimulatedStation($climate))->file(Day::of(1996, 1, 1), Day::of(2025, 12, 31))));
        $degrees = static fn (string $cell): string => $cell === '' ? '' : (string) round(((float) $cell * 9) / 5 + 32);
        $text = "DATE,TMAX (F),TMIN (F)\n";
        foreach (array_slice($lines, 1) as $line) {
            [$date, $low, $high] = explode(',', $line);
            $text .= "{$date},{$degrees($high)},{$degrees($low)}\n";
        }

        return $text;
    }

    private function logInFirst(): void
    {
        $this->browser
            ->visit('/desk')
            ->fill('E-mail address', 'robin@county.example')
            ->fill('Password', 'a first password')
            ->press('Log in');
    }

    public function test_four_steps_lead_from_nothing_to_a_published_page(): void
    {
        $file = sys_get_temp_dir().'/county-airport.csv';
        file_put_contents($file, $this->fahrenheit());
        $this->logInFirst();
        $this->browser->see('Four steps to your first planting calendar')->see('Upload daily lows and highs');
        $this->assertAccessible('the welcome');

        $this->browser
            ->follow('Add the first zone')
            ->see('First: name the zone and say where it is.')
            ->fill('Name', 'Willow County')
            ->fill('District', 'Willow')
            ->fill('Latitude', '41.3 N')
            ->fill('Longitude', '93.6 W')
            ->fill('Elevation', '960 ft')
            ->fill('Town 1', 'Tansy Grove')
            ->fill('ZIP code 1', '50999')
            ->press('Save')
            ->see('Next: upload a file with the low and high of each day.');
        $this->assertAccessible('the second step');

        $this->browser->attach($file)->see('°F, as the file says')->press('Import file');
        $this->browser->see('Next: look at the planting windows.')->follow('Planting windows')->see('113 of 113 crops');
        self::assertDoesNotMatchRegularExpression('/\d\s?°C/u', $this->browser->text());
        $this->browser->see('Last: write a sentence to gardeners')->follow('Publish');
        $this->browser->see('Review changes: edition 1')->fill('Note to gardeners', 'Our first planting calendar.');
        foreach ($this->browser->driver->findElements(WebDriverBy::cssSelector('.answers input')) as $answer) {
            $answer->sendKeys('We checked this.');
            $this->browser->clicks++;
        }
        $this->browser->press('Publish')->see('Your calendar is published.');
        $this->assertAccessible('the end of the steps');
        $before = count($this->browser->driver->getWindowHandles());
        $this->browser->follow('See what gardeners see');
        $this->browser->until(
            fn (): bool => count($this->browser->driver->getWindowHandles()) > $before,
            'The page that gardeners see was not opened.',
        );
        $handles = $this->browser->driver->getWindowHandles();
        $this->browser->driver->switchTo()->window(end($handles));
        $this->browser->see('Our first planting calendar.');
        self::assertSame('/zones/willow-county', $this->browser->path());
        self::assertLessThanOrEqual(self::CLICKS, $this->browser->clicks, 'clicks from the log-in to the page of gardeners');
        self::assertSame([], $this->browser->errors());
        $this->browser->driver->close();
        $this->browser->driver->switchTo()->window($handles[0]);
        $this->browser->press('Close these steps')->seeNoLonger('Your calendar is published.');
        unlink($file);
    }

    public function test_a_sample_file_is_read_like_any_other(): void
    {
        $this->logInFirst();
        $this->browser
            ->see('Add a zone')
            ->follow('Add a zone')
            ->fill('Name', 'Sample Hollow')
            ->fill('District', 'Willow')
            ->fill('Latitude', '41.1 N')
            ->fill('Longitude', '93.2 W')
            ->fill('Elevation', '900 ft')
            ->press('Save')
            ->see('No file at hand?')
            ->press('Try a sample file')
            ->see('How sample-climate-file.csv was read')
            ->see('°F, as the file says')
            ->see('Import file');
    }

    public function test_the_first_step_is_taken_left_and_come_back_to_by_keys_alone(): void
    {
        $this->logInFirst();
        $this->browser->see('Add a zone')->tabTo('Add a zone')->keys(WebDriverKeys::ENTER)->see('Latitude');
        $typed = [
            'Name' => 'Fern Hollow',
            'District' => 'Willow',
            'Latitude' => '41.2 N',
            'Longitude' => '93.3 W',
            'Elevation' => '880 ft',
        ];
        foreach ($typed as $field => $value) {
            $this->browser->tabTo($field)->keys($value);
        }
        $this->browser->tabTo('Save')->keys(WebDriverKeys::ENTER)->see('No file at hand?');
        $this->browser->visit('/desk')->see('Fern Hollow')->tabTo('Fern Hollow')->keys(WebDriverKeys::ENTER)->see('No file at hand?');
    }

    /** By keys alone: the panel opens from the palette, follows the screen, and returns focus. */
    public function test_help_says_what_to_do_and_explains_words(): void
    {
        $this->logInFirst();
        $this->browser->see('Help');
        $field = WebDriverBy::cssSelector('input[aria-label="Find or do anything"]');
        // The desk listens to keys from the moment it is drawn; a key pressed before that is lost.
        $this->browser->until(function () use ($field): bool {
            $this->browser->keys(WebDriverKeys::CONTROL.'k'.WebDriverKeys::NULL);

            return $this->browser->driver->findElements($field) !== [];
        }, 'The palette does not open.');
        $this->browser->find('input[aria-label="Find or do anything"]')->sendKeys('degree-days'.WebDriverKeys::ENTER);
        $this->browser->see('What to do here')->see('A sum of warmth');
        self::assertSame(
            'degree-days',
            $this->browser->driver->executeScript('return document.activeElement.dataset.term ?? document.activeElement.className'),
        );
        $this->assertAccessible('help');
        $this->browser->keys(WebDriverKeys::ESCAPE)->seeNoLonger('What to do here');
        $this->browser->press('Help')->see('Help: All zones');
    }
}
