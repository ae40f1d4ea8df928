<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\Day;
use Anthesis\Replay\Replay;
use Anthesis\Season\Splice;

/**
 * This season's counts on the 15th of each month of a year, for many crops at once. The members of a morning are made once and used for
 * every crop, which makes a zone affordable. For one crop, the result is the same as from SeasonPromises.
 *
 * @phpstan-type Morning array{month: int, share: float, own: float, came: int}
 */
final class SeasonMornings
{
    /**
     * @param  Place  $place  at the site they are grown at
     * @param  list<Crop>  $crops
     * @return array<string, list<Morning>> by crop and way of growing, "kale direct": mornings on which they can be judged, with the share
     *   of members that came to harvest, that of the record's other years, and whether what was sown that day came to harvest
     */
    public static function ofYear(Place $place, array $crops, int $year): array
    {
        $record = $place->years->days();
        $replay = Replay::ofPlace($place);
        $sown = $told = [];
        foreach ($crops as $crop) {
            foreach ($crop->routes as $route) {
                $runs = $replay->runs($crop, $route);
                for ($month = 1; $month <= 12; $month++) {
                    $day = Day::of($year, $month, SeasonPromises::DATE);
                    $came = SeasonPromises::came($runs, $record, $day);
                    $own = $came === null ? null : SeasonPromises::ofOtherYears($runs, $record, $day);
                    if ($came !== null && $own !== null) {
                        $sown[$month][] = [$crop, $route, $own, $came];
                    }
                }
            }
        }
        foreach ($sown as $month => $cases) {
            $shares = self::shares($place, Day::of($year, $month, SeasonPromises::DATE), $cases);
            foreach ($cases as $i => [$crop, $route, $own, $came]) {
                if (isset($shares[$i])) {
                    $told["{$crop->slug} {$route->value}"][] = [
                        'month' => $month,
                        'share' => $shares[$i],
                        'own' => $own,
                        'came' => $came,
                    ];
                }
            }
        }

        return $told;
    }

    /**
     * @param  list<array{Crop, Route, float, int}>  $cases
     * @return array<int, float> by case; those with too few members are left out
     */
    private static function shares(Place $place, Day $day, array $cases): array
    {
        $harvests = $members = array_fill(0, count($cases), 0);
        foreach (Splice::onDay($place->years->days(), $day, $day->year()) as $member) {
            $replay = new Replay($member->record, $place->latitude, $place->site(), $place->light);
            $at = $day->number - $member->record->first->number;
            foreach ($cases as $i => [$crop, $route]) {
                $came = SeasonPromises::cameOn($replay->runs($crop, $route, $at, $at), $at);
                $members[$i] += $came === null ? 0 : 1;
                $harvests[$i] += $came ?? 0;
            }
        }
        $shares = [];
        foreach ($members as $i => $count) {
            if ($count >= SeasonPromises::LEAST_MEMBERS) {
                $shares[$i] = $harvests[$i] / $count;
            }
        }

        return $shares;
    }
}
