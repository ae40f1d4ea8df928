<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Record\Day;

/** A crop in a bed as far as it is known: planned, growing, or finished; when it is first harvested, and until when it takes its space. */
final readonly class Standing
{
    /** A sowing of the crop in the bed within this many days of a planned date is the planned one. */
    private const MEANT_DAYS = 21;

    /** @param  Day|null  $first  first harvest; null: none is expected */
    private function __construct(public StandingKind $kind, public ?Day $first, public Day $to)
    {
    }

    /**
     * One from the log. What was seen counts; otherwise what this season's members say; otherwise what is typical here.
     *
     * @param  GroundDays|null  $usual  how long it stays here; null: not known
     * @param  Day  $in  when it came into the ground
     * @param  Day|null  $picked  for the first time
     * @param  array{Day, Day}|null  $likely  the first harvest in half of this season's members, and in nine of ten
     * @param  Day|null  $ended  last harvested, or lost
     */
    public static function ofSowing(Crop $crop, ?GroundDays $usual, Day $in, ?Day $picked, ?array $likely, ?Day $ended, bool $isLost): self
    {
        $kind = $ended === null ? StandingKind::UnderWay : ($isLost ? StandingKind::Lost : StandingKind::Done);
        $harvest = $usual === null ? 0 : $crop->harvest->days;
        $to = $ended ?? ($likely === null ? $usual?->until($in) ?? $in->plus($harvest) : $likely[1]->plus($harvest));

        return new self(
            $kind,
            $kind === StandingKind::Lost ? null : $picked ?? ($likely[0] ?? $usual?->firstHarvest($in)),
            self::notBefore($to, $in),
        );
    }

    /**
     * One that is planned.
     *
     * @param  GroundDays|null  $usual  how long it stays here; null: not known, and the packet's days are used
     */
    public static function ofPlan(Crop $crop, ?GroundDays $usual, Day $on): self
    {
        $to = $usual?->until($on) ?? $on->plus((int) ceil($crop->growth->maturityDays) + $crop->harvest->days);

        return new self(StandingKind::Planned, $usual?->firstHarvest($on), self::notBefore($to, $on));
    }

    /**
     * What was planned and then sown: the log replaces it.
     *
     * @param  array<int, array{int, Day}>  $planned  crop and day, in order of their days
     * @param  array<int, array{int, Day}>  $sown  crop and day it came into the ground, in order of their days
     * @return array<int, int> by planting, the sowing that carried it out; each sowing belongs to one planting
     */
    public static function meant(array $planned, array $sown): array
    {
        $meant = [];
        foreach ($planned as $planting => [$crop, $on]) {
            foreach ($sown as $sowing => [$sownCrop, $in]) {
                if ($sownCrop === $crop && abs($on->daysUntil($in)) <= self::MEANT_DAYS) {
                    $meant[$planting] = $sowing;
                    unset($sown[$sowing]);

                    break;
                }
            }
        }

        return $meant;
    }

    private static function notBefore(Day $day, Day $first): Day
    {
        return $day->isBefore($first) ? $first : $day;
    }
}
