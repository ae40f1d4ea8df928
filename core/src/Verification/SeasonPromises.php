<?php

declare(strict_types=1);

namespace Anthesis\Verification;

use Anthesis\Crop\Crop;
use Anthesis\Crop\LightSchool;
use Anthesis\Crop\Route;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Replay\Outcome;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Season\Splice;
use Anthesis\Soil\Site;

/**
 * Whether this season's counts keep their promise: on the 15th of each month of each year, figured as it would have been that morning from
 * all other years, and compared with the outcome and with what the record alone would have said.
 */
final readonly class SeasonPromises
{
    /** Day of the month that is judged. */
    public const DATE = 15;

    /** With fewer members, nothing is judged. */
    public const LEAST_MEMBERS = 5;

    /** Days before and after over which the record's own seasons are pooled. */
    private const HALF_WEEK = 3;

    /**
     * @param  int  $cases  that were judged
     * @param  float|null  $brier  mean of (share of members that came to harvest − outcome)²; null: no case
     * @param  float|null  $brierOfRecord  the same for the other years' seasons within three days of the date
     * @param  float|null  $skill  1 minus the first over the second; null: the record was never wrong
     */
    private function __construct(public int $cases, public ?float $brier, public ?float $brierOfRecord, public ?float $skill)
    {
    }

    public static function of(
        DailyRecord $record,
        Latitude $latitude,
        Site $site,
        LightSchool $light,
        Crop $crop,
        Route $route,
        ?int $fromYear = null,
        ?int $toYear = null,
    ): self {
        $runs = (new Replay($record, $latitude, $site, $light))->runs($crop, $route);
        $cases = 0;
        $brier = $ofRecord = 0.0;
        for ($year = $record->first->year(), $last = $record->last()->year(); $year <= $last; $year++) {
            if (($fromYear !== null && $year < $fromYear) || ($toYear !== null && $year > $toYear)) {
                continue;
            }
            for ($month = 1; $month <= 12; $month++) {
                $day = Day::of($year, $month, self::DATE);
                $came = self::came($runs, $record, $day);
                if ($came === null) {
                    continue;
                }
                $shares = [];
                foreach (Splice::onDay($record, $day, $year) as $member) {
                    $at = $day->number - $member->record->first->number;
                    $of = (new Replay($member->record, $latitude, $site, $light))->runs($crop, $route, $at, $at);
                    $member = self::cameOn($of, $at);
                    if ($member !== null) {
                        $shares[] = $member;
                    }
                }
                $own = self::ofOtherYears($runs, $record, $day);
                if (count($shares) < self::LEAST_MEMBERS || $own === null) {
                    continue;
                }
                $cases++;
                $brier += (array_sum($shares) / count($shares) - $came) ** 2;
                $ofRecord += ($own - $came) ** 2;
            }
        }

        return new self(
            $cases,
            $cases === 0 ? null : $brier / $cases,
            $cases === 0 ? null : $ofRecord / $cases,
            $ofRecord > 0.0 ? 1 - $brier / $ofRecord : null,
        );
    }

    /** @return int|null 1 if what was sown on the day came to harvest, 0 if not; null: it does not count */
    public static function came(Runs $runs, DailyRecord $record, Day $day): ?int
    {
        return self::cameOn($runs, $day->number - $record->first->number);
    }

    /** @return int|null the same for the i-th day of a record */
    public static function cameOn(Runs $runs, int $i): ?int
    {
        $code = $runs->outcomes[$i] ?? Outcome::NONE;

        return $code === Outcome::NONE ? null : ($code === Outcome::Harvest->code() ? 1 : 0);
    }

    /** @return float|null share of harvests among the other years' seasons within three days of the date; null: there are none */
    public static function ofOtherYears(Runs $runs, DailyRecord $record, Day $day): ?float
    {
        $harvest = Outcome::Harvest->code();
        $all = $harvests = 0;
        for ($j = -self::HALF_WEEK; $j <= self::HALF_WEEK; $j++) {
            foreach ($runs->sowDays->days[$day->yearDay()->plus($j)->number] as $i) {
                if ($runs->outcomes[$i] !== Outcome::NONE && $record->first->plus($i)->year() !== $day->year()) {
                    $all++;
                    $harvests += $runs->outcomes[$i] === $harvest ? 1 : 0;
                }
            }
        }

        return $all === 0 ? null : $harvests / $all;
    }
}
