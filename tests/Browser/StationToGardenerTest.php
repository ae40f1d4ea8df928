<?php

declare(strict_types=1);

namespace Tests\Browser;

use Anthesis\Record\Day;
use App\Simulation\SimulatedClimate;
use App\Simulation\SimulatedStation;
use Facebook\WebDriver\WebDriverBy;

/** The whole path in a real browser: from a station's file to the page a gardener reads. */
final class StationToGardenerTest extends BrowserTestCase
{
    /** @var list<string> */
    private array $files = [];

    protected function tearDown(): void
    {
        array_map(unlink(...), $this->files);
        parent::tearDown();
    }

    private function file(string $name, string $text): string
    {
        $path = sys_get_temp_dir()."/{$name}";
        file_put_contents($path, $text);
        $this->files[] = $path;

        return $path;
    }

    /** Thirty years of a made-up inland place. */
    private function celsius(): string
    {
        $climate = new SimulatedClimate(9.4, 11.5, 201, [11.5, 2.0], [4.0, 0.7], 0.72, 0.0, 20260512);

        return (new SimulatedStation($climate))->file(Day::of(1996, 1, 1), Day::of(2025, 12, 31));
    }

    private function inFahrenheit(string $celsius): string
    {
        $degrees = static fn (string $cell): string => $cell === '' ? '' : (string) round(((float) $cell * 9) / 5 + 32, 2);
        $lines = array_map(static function (string $line) use ($degrees): string {
            [$day, $minimum, $maximum] = explode(',', $line);

            return implode(',', [$degrees($maximum), $day, $degrees($minimum)]);
        }, array_slice(explode("\n", trim($celsius)), 1));

        return "High °F,Day,Low °F\n".implode("\n", $lines)."\n";
    }

    public function test_from_a_station_file_to_the_page_a_gardener_reads(): void
    {
        $celsius = $this->celsius();
        $name = 'Browser Bench '.substr(uniqid(), -5);
        $slug = str_replace(' ', '-', strtolower($name));

        $this->logIn();
        $this->browser
            ->visit('/desk')
            ->follow('Add a zone')
            ->fill('Name', $name)
            ->fill('District', 'Kestrel Basin')
            ->fill('Latitude', '95')
            ->fill('Longitude', '98.1 W')
            ->fill('Elevation', '1,706 ft')
            ->fill('Town 1', "Nettle Ford {$slug}")
            ->fill('ZIP code 1', '70199')
            ->press('Save')
            ->see('Enter a latitude from 0 to 90 degrees');
        $this->browser->fill('Latitude', '46°48′ N')->press('Save')->see('No climate record yet');

        // A broken file is refused in words, and nothing of it is kept.
        $this->browser
            ->attach($this->file('broken.csv', "date,tmin_c,tmax_c\n2001-01-02,1,2\n2001-01-01,1,2\n"))
            ->see('Line 3, column “date”: 2001-01-01 comes after 2001-01-02.');
        self::assertStringContainsString('None yet.', $this->browser->text());

        $this->browser
            ->visit("/desk/zones/{$slug}/climate/files")
            ->attach($this->file('bench.csv', $celsius))
            ->see('1 January 1996 to 31 December 2025, 10958 rows')
            ->see('°C, as the file says')
            ->see('40 days from')
            ->see('Questionable values, kept and not used: ')
            ->press('Import file')
            ->see('Updated. Show planting windows');
        $this->browser->follow('Show planting windows')->see('113 of 113 crops');
        $first = $this->radish();
        self::assertMatchesRegularExpression('/^Sow outdoors: \d+ (March|April) to \d+ \w+(, and \d+ \w+ to \d+ \w+)*$/', $first);

        // The same record in °F, columns in another order, gives the same windows.
        $this->browser
            ->visit("/desk/zones/{$slug}/climate/files")
            ->attach($this->file('bench-f.csv', $this->inFahrenheit($celsius)))
            ->see('°F, as the file says')
            ->see('minimum “Low °F”')
            ->press('Import file')
            ->see('Updated. Show planting windows');
        $this->browser->visit("/desk/zones/{$slug}/planting-windows")->see('113 of 113 crops');
        self::assertSame($first, $this->radish());

        $this->browser
            ->visit("/desk/zones/{$slug}/calendars")
            ->see('Review changes: edition 1')
            ->see('Warnings to explain before publishing')
            ->fill('Note to gardeners', 'The first calendar of the bench.');
        foreach ($this->browser->driver->findElements(WebDriverBy::cssSelector('.answers input')) as $answer) {
            $answer->sendKeys('Looked at.');
        }
        $this->browser->press('Publish')->see('Edition 1 is published and current.')->see('1, current');
        self::assertSame([], $this->unexpected($this->browser->errors()));

        // A gardener, on a phone and without an account.
        $this->browser->driver->manage()->deleteAllCookies();
        $this->browser
            ->phone()
            ->visit('/')
            ->fill('Your town, ZIP code, or zone', "Nettle Ford {$slug}")
            ->press('Show its calendar')
            ->see('Sow outdoors');
        self::assertSame("/zones/{$slug}/this-week", $this->browser->path());
        $this->assertFitsTheWidth('this week');
        $this->browser
            ->follow('The year')
            ->see("The planting year in {$name}")
            ->see('The first calendar of the bench.');
        $this->assertFitsTheWidth('the year');
        $this->browser->follow('Radish')->see('Why these dates: sow outdoors')->see(str_replace('Sow outdoors: ', '', $first));
        $this->assertFitsTheWidth('a crop');
        self::assertSame([], $this->browser->errors());
    }

    private function radish(): string
    {
        $this->browser->find('#stop-radish')->sendKeys("\n");

        // The panel for the initial day turns to the crop.
        return $this->browser->starting('.windows aside h3', 'Sow outdoors: ');
    }

    /**
     * Refusals that the test provokes show up in the console as failed loads.
     *
     * @param  list<string>  $errors
     * @return list<string>
     */
    private function unexpected(array $errors): array
    {
        return array_values(
            array_filter(
                $errors,
                static fn (string $e): bool => ! str_contains($e, 'status of 422') &&
                    ! (str_contains($e, '/windows') && str_contains($e, 'status of 404')),
            ),
        );
    }
}
