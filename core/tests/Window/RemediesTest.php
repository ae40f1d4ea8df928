<?php

declare(strict_types=1);

namespace Anthesis\Tests\Window;

use Anthesis\Crop\Crop;
use Anthesis\Messages\Words;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\NoWindow;
use Anthesis\Window\RouteWindows;
use Anthesis\Window\School\FromReplay;
use Anthesis\Window\School\Remedies;
use Anthesis\Words\Phrase;
use PHPUnit\Framework\TestCase;

final class RemediesTest extends TestCase
{
    private function crop(string $slug): Crop
    {
        return Fixtures::crops()->find($slug) ?? self::fail("no crop {$slug}");
    }

    private function windows(Crop $crop, float $share, string $site = 'open ground', ?Remedies $remedies = null): RouteWindows
    {
        $latitude = Fixtures::latitude('north');

        return (new FromReplay(
            new Replay(Fixtures::record('north'), $latitude, Site::named($site)),
            $latitude->yearStart(),
            $site,
            $remedies,
        ))->at($crop, $share)[0];
    }

    public function test_a_crop_without_a_window_is_offered_the_variety_and_the_least_cover_that_opens_one(): void
    {
        $muskmelon = $this->crop('muskmelon');
        $none = $this->windows($muskmelon, 0.8, remedies: new Remedies())->noWindow ?? self::fail('a window');
        // Each way out holds what it says, and the next easier one does not.
        $days = $none->longestDays ?? self::fail('no variety');
        self::assertLessThan($muskmelon->growth->maturityDays, $days);
        self::assertNotSame([], $this->windows($muskmelon->maturingIn($days - 5), 0.8)->windows);
        $cover = (string) array_key_first($none->openedBy);
        self::assertEquals($this->windows($muskmelon, 0.8, $cover)->windows, $none->openedBy[$cover]);
        $easier = array_slice(
            [
                'straw mulch',
                'dark plastic mulch',
                'raised bed',
                'sun-facing wall',
                'shade cloth',
                'row cover',
                'low tunnel',
                'cold frame',
            ],
            0,
            (int) array_search(
                $cover,
                [
                    'straw mulch',
                    'dark plastic mulch',
                    'raised bed',
                    'sun-facing wall',
                    'shade cloth',
                    'row cover',
                    'low tunnel',
                    'cold frame',
                ],
                true,
            ),
        );
        foreach ($easier as $site) {
            self::assertSame([], $this->windows($muskmelon, 0.8, $site)->windows, $site);
        }
        $words = implode(' ', array_map(static fn (Phrase $p): string => Words::in('en')->phrase($p), $none->phrases()));
        self::assertStringContainsString("It needs a variety that matures in {$days} days or fewer.", $words);
        self::assertMatchesRegularExpression('/(On|In|By|Under) .* it opens: \d+ \w+ to \d+ \w+\./', $words);
    }

    public function test_a_harder_standard_asks_for_more_and_an_easier_one_is_not_answered_from_it(): void
    {
        $ways = new Remedies();
        $days = fn (float $share): ?int => $this->windows($this->crop('muskmelon'), $share, remedies: $ways)->noWindow?->longestDays;
        $alone = fn (float $share): ?int => $this->windows($this->crop('muskmelon'), $share, remedies: new Remedies())->noWindow
            ?->longestDays;
        self::assertSame([$alone(0.9), $alone(0.8), $alone(0.95)], [$days(0.9), $days(0.8), $days(0.95)]);
        self::assertLessThanOrEqual($days(0.8), $days(0.9));
    }

    public function test_without_ways_out_to_try_a_crop_only_says_why(): void
    {
        $none = $this->windows($this->crop('muskmelon'), 0.8)->noWindow;
        self::assertInstanceOf(NoWindow::class, $none);
        self::assertSame([null, []], [$none->longestDays, $none->openedBy]);
        self::assertNull($this->windows($this->crop('radish'), 0.8, remedies: new Remedies())->noWindow);
    }
}
