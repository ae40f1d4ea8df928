<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Record\YearDay;

/** What a crop gives for the ground and the time it takes, sown or set out on its best day; docs/method.md, "Fitting it on the ground". */
final readonly class BedYield
{
    private const WEEK = 7;

    private const CM = 100.0;

    /**
     * @param  YearDay  $on  of the days in its windows the one that gives most; of equals the first after January 1
     * @param  int  $days  on the ground, as it is planned for
     * @param  float  $share  of years that come to a harvest, 0…1
     * @param  float  $amount  kg or stems to be expected, a square meter and week
     */
    private function __construct(public YearDay $on, public int $days, public float $share, public float $amount)
    {
    }

    /** @return self|null null where its yield is not known, or no day is in a window and comes to a harvest */
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
