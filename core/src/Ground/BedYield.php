<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Record\YearDay;

/** What a crop yields for the space and time it takes, planted on its best day; docs/method.md, "Fitting it into beds". */
final readonly class BedYield
{
    private const WEEK = 7;

    private const CM = 100.0;

    /**
     * @param  YearDay  $on  the day in its windows that yields most; among equals, the first after January 1
     * @param  int  $days  in the ground, as planned
     * @param  float  $share  of years that come to harvest, 0…1
     * @param  float  $amount  kg or stems to expect per square meter and week
     */
    private function __construct(public YearDay $on, public int $days, public float $share, public float $amount)
    {
    }

    /** @return self|null null if its yield is not known, or no day in a window comes to harvest */
    public static function of(Candidate $candidate): ?self
    {
        $crop = $candidate->crop;
        $yield = $crop->yieldPerMetre();
        if ($yield === null) {
            return null;
        }
        $perSquareMetre = $yield[0] / ($crop->spacing->rowCm / self::CM);
        $best = null;
        foreach ($candidate->days->open as $i => $isOpen) {
            [$late, $harvest] = [$candidate->days->late[$i], $candidate->days->harvest[$i]];
            if (! $isOpen || $late === null || $harvest === null) {
                continue;
            }
            $days = $late + $harvest + 1;
            $share = $candidate->days->shares[$i];
            $amount = ($share * $perSquareMetre * self::WEEK) / $days;
            if ($best === null || $amount > $best->amount) {
                $best = new self(YearDay::fromNumber($i + 1), $days, $share, $amount);
            }
        }

        return $best;
    }
}
