<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\Day;
use Anthesis\Record\Median;
use Anthesis\Soil\Site;

/**
 * The work of an evening before a freeze: which nights are expected to freeze, what may be out and would die, and the lightest cover that
 * would save it.
 */
final readonly class NightWork
{
    /** Nights to look at, starting with the next one. */
    public const NIGHTS = 3;

    private const FREEZING = 0.0;

    /** Share of the members that must freeze for a freeze to be expected. */
    private const EXPECTED = 0.5;

    /**
     * @param  list<array{day: Day, members: int, of: int, celsius: float}>  $nights  expected to freeze, by the day whose minimum it is:
     *   members that freeze, and their median minimum at the site, °C
     * @param  list<array{out: Outside, cover: Site|null}>  $tender  what the coldest of them would kill, and the lightest cover that saves
     *   it; null: none of them does
     */
    private function __construct(public array $nights, public array $tender)
    {
    }

    /**
     * @param  list<Outside>  $outside
     * @param  list<Site>  $covers  to choose from, lightest first
     */
    public static function of(ThisSeason $season, array $outside, array $covers): self
    {
        $nights = [];
        for ($i = 1; $i <= self::NIGHTS; $i++) {
            $minima = self::minima($season, $season->today->plus($i));
            $freezing = count(array_filter($minima, static fn (float $m): bool => $m <= self::FREEZING));
            if ($minima !== [] && $freezing >= self::EXPECTED * count($minima)) {
                $nights[] = [
                    'day' => $season->today->plus($i),
                    'members' => $freezing,
                    'of' => count($minima),
                    'celsius' => Median::of($minima),
                ];
            }
        }
        if ($nights === []) {
            return new self([], []);
        }
        $coldest = min(array_column($nights, 'celsius'));
        $own = $season->site->air + $season->site->protection;
        $tender = [];
        foreach ($outside as $out) {
            // What sits in the ground is protected by it.
            if ($out->crop->hardiness->bySoil || $out->killC() < $coldest) {
                continue;
            }
            $keeps = array_filter($covers, static fn (Site $c): bool => $coldest - $own + $c->air + $c->protection > $out->killC());
            $tender[] = ['out' => $out, 'cover' => array_values($keeps)[0] ?? null];
        }

        return new self($nights, $tender);
    }

    /** @return list<float> for the members that know it, the minimum of a day at the site, °C */
    private static function minima(ThisSeason $season, Day $day): array
    {
        $minima = [];
        foreach ($season->members as $member) {
            $minimum = $member->record->minimum[$day->number - $member->record->first->number] ?? null;
            if ($minimum !== null) {
                $minima[] = $minimum + $season->site->air + $season->site->protection;
            }
        }

        return $minima;
    }
}
