<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Record\Day;

/** A crop on a bed as it is known: planned, under way or over; when it is first picked, and until when it takes its ground. */
final readonly class Standing
{
    /** A sowing of the crop on the bed, so many days either side of the day it was planned for, is the one that was meant. */
    private const MEANT_DAYS = 21;

    /** @param  Day|null  $first  harvest; null: none is to come */
    private function __construct(public StandingKind $kind, public ?Day $first, public Day $to)
    {
    }

    /**
     * One that the log tells of. What was seen stands; otherwise what this season's members say; otherwise what is usual here.
     *
     * @param  GroundDays|null  $usual  how long it stays here; null: that is not known
     * @param  Day  $in  when it came into the ground
     * @param  Day|null  $picked  for the first time
     * @param  array{Day, Day}|null  $likely  the first harvest in half of this season's members, and in nine of ten
     * @param  Day|null  $ended  last picked, or lost
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
     * @param  GroundDays|null  $usual  how long it stays here; null: that is not known, and the packet's days are taken
     */
    public static function ofPlan(Crop $crop, ?GroundDays $usual, Day $on): self
    {
        $to = $usual?->until($on) ?? $on->plus((int) ceil($crop->growth->maturityDays) + $crop->harvest->days);

        return new self(StandingKind::Planned, $usual?->firstHarvest($on), self::notBefore($to, $on));
    }

    /**
     * What was planned and sown: the log takes its place.
     *
     * @param  array<int, array{int, Day}>  $planned  crop and day, in the order of their days
     * @param  array<int, array{int, Day}>  $sown  crop and day it came into the ground, in the order of their days
     * @return array<int, int> the sowing that was meant, by planting; each sowing is one planting's
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
