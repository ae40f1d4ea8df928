<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Record\Day;

/** Families that stay out of a bed for some years, and what follows well after what; docs/method.md, "Fitting it into beds". */
final class Rotation
{
    private const USUAL_YEARS = 3;

    /** Families whose diseases outlast the usual rotation. */
    private const YEARS = ['Brassicaceae' => 4, 'Amaryllidaceae' => 4];

    private const YEAR = 365;

    /** @return int years a family stays out of a bed */
    public static function years(string $family): int
    {
        return self::YEARS[$family] ?? self::USUAL_YEARS;
    }

    /**
     * @return Occupancy|null the nearest stay in the bed of the same family, before or after, whose rotation this one would break; null:
     *   none. Cover crops have no rotation, because they are cut before they are much of a plant
     */
    public static function broken(Bed $bed, Crop $crop, Day $from, Day $to): ?Occupancy
    {
        if ($crop->kind === Crop::COVER) {
            return null;
        }
        $rest = self::years($crop->family) * self::YEAR;
        $nearest = null;
        $least = PHP_INT_MAX;
        foreach ($bed->stays as $stay) {
            if ($stay->crop->family !== $crop->family || $stay->crop->kind === Crop::COVER || $stay->overlaps($from, $to)) {
                continue;
            }
            $apart = max($from->number - $stay->to->number, $stay->from->number - $to->number);
            if ($apart < $rest && $apart < $least) {
                [$nearest, $least] = [$stay, $apart];
            }
        }

        return $nearest;
    }

    /** Whether a crop that gives nitrogen comes after a heavy feeder. */
    public static function feedsAfterHunger(Bed $bed, Crop $crop, Day $from): bool
    {
        return $crop->feeder === 'fixes' && $bed->before($from)?->crop->feeder === 'heavy';
    }
}
