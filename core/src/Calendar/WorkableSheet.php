<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\Quantile;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Season\Splice;
use Anthesis\Soil\Ground;
use Anthesis\Water\WaterDays;
use Anthesis\Water\Workable;

/**
 * Whether ground can be worked today, and when it likely can: this season as measured and forecast, continued as each year on record went.
 *
 * A plain document, ready for JSON: `of` years continued from this season; by kind of ground, in how many of them it can be worked `today`,
 * whether it is `fit` (more than half), and the dates by which in half and in nine of ten of them there has been a day to work it (null:
 * not within AHEAD days).
 *
 * @phpstan-type GroundToday array{ground: string, today: int, fit: bool, half: string|null, most: string|null}
 * @phpstan-type Workables array{of: int, grounds: list<GroundToday>}
 */
final class WorkableSheet
{
    /** Days to look at, from today on. */
    public const AHEAD = 120;

    /** Days before today of which nine in ten need their rain on record. */
    private const BEFORE = 60;

    private const HALF = 0.5;

    private const MOST = 0.9;

    /**
     * @param  Place  $place  in its season
     * @return Workables|null null without rain on record recently
     */
    public static function of(Place $place): ?array
    {
        $known = $place->known();
        if ($known->rain === null) {
            return null;
        }
        $today = $place->today();
        $since = array_fill_keys(Ground::names(), []);
        $now = array_fill_keys(Ground::names(), 0);
        $of = 0;
        foreach (Splice::members($known, $place->outlook()) as $member) {
            $water = WaterDays::of($member->record, $place->latitude);
            $at = $today->number - $member->record->first->number;
            if (! $water->knowsRain(max(0, $at - self::BEFORE), $at - 1)) {
                return null;
            }
            $of++;
            foreach (Ground::names() as $ground) {
                $days = array_slice(Workable::of($water, Ground::named($ground))->days, $at, self::AHEAD);
                $first = array_search(true, $days, true);
                $since[$ground][] = $first === false ? INF : (float) $first;
                $now[$ground] += $first === 0 ? 1 : 0;
            }
        }

        return $of === 0 ? null : [
            'of' => $of,
            'grounds' => array_map(
                static fn (string $ground): array => [
                    'ground' => $ground,
                    'today' => $now[$ground],
                    'fit' => 2 * $now[$ground] > $of,
                    'half' => self::date($since[$ground], self::HALF, $today),
                    'most' => self::date($since[$ground], self::MOST, $today),
                ],
                Ground::names(),
            ),
        ];
    }

    /** @param  list<float>  $since  days from today to the first on which it can be worked */
    private static function date(array $since, float $share, Day $today): ?string
    {
        sort($since);
        $days = Quantile::of($since, $share);

        return $days === null ? null : $today->plus((int) ceil($days))->iso();
    }
}
