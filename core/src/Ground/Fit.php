<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Record\Day;

/** What fits in a bed from one day to another, best first; docs/method.md, "Fitting it into beds". */
final readonly class Fit
{
    /** An open space this many days long in which nothing fits gets a cover crop. */
    public const COVER_DAYS = 40;

    /**
     * @param  Day  $on  day of sowing or transplanting: the first that is open
     * @param  Day  $first  median first harvest
     * @param  Day  $to  last day in the ground, within the open space
     * @param  float  $share  of years that come to harvest, 0…1
     * @param  float  $worth  to expect per meter and day in the ground; 0 if the yield is not known
     * @param  string|null  $unit  its unit: `kg`, or for a flower `stems`; null: not known
     * @param  Occupancy|null  $breaks  the stay of its family whose rotation it would break; null: none
     * @param  bool  $feeds  whether it gives nitrogen after a heavy feeder
     */
    private function __construct(
        public Candidate $candidate,
        public Day $on,
        public Day $first,
        public Day $to,
        public float $share,
        public float $worth,
        public ?string $unit,
        public ?Occupancy $breaks,
        public bool $feeds,
    ) {
    }

    /**
     * @param  list<Candidate>  $candidates
     * @return list<self>
     */
    public static function rank(Bed $bed, array $candidates, Day $from, Day $to): array
    {
        $fits = $covers = [];
        foreach ($candidates as $candidate) {
            $fit = self::of($bed, $candidate, $from, $to);
            if ($fit !== null && $candidate->crop->kind === Crop::COVER) {
                $covers[] = $fit;
            } elseif ($fit !== null) {
                $fits[] = $fit;
            }
        }
        if (
            array_filter($fits, static fn (self $f): bool => $f->breaks === null) === [] &&
            $to->number - $from->number + 1 >= self::COVER_DAYS
        ) {
            array_push($fits, ...$covers);
        }
        // Stems and kilograms are not compared: food crops come first, then flowers among themselves.
        $rank = static fn (self $f): array => [
            $f->breaks !== null,
            ! $f->feeds,
            array_search($f->unit, ['kg', 'stems', null], true),
            -$f->worth,
            $f->candidate->crop->name,
            $f->candidate->variety ?? '',
            $f->candidate->route->value,
        ];
        usort($fits, static fn (self $a, self $b): int => $rank($a) <=> $rank($b));

        return $fits;
    }

    /** @return self|null null if no open day comes to a harvest worth having in time */
    public static function of(Bed $bed, Candidate $candidate, Day $from, Day $to): ?self
    {
        $days = $candidate->days;
        $least = $candidate->crop->harvest->leastDays;
        for ($on = $from; ! $to->isBefore($on); $on = $on->plus(1)) {
            $late = $days->isOpen($on) ? $days->lateHarvest($on) : null;
            if ($late === null || $late->number + $least > $to->number) {
                continue;
            }
            $first = $days->firstHarvest($on) ?? $late;
            $until = $days->until($on) ?? $late;
            $ends = $to->isBefore($until) ? $to : $until;
            $share = $days->share($on);
            [$yield, $unit] = $candidate->crop->yieldPerMetre() ?? [0.0, null];
            $worth = ($share * $yield) / ($ends->number - $on->number + 1);

            return new self(
                $candidate,
                $on,
                $first,
                $ends,
                $share,
                $worth,
                $unit,
                Rotation::broken($bed, $candidate->crop, $on, $ends),
                Rotation::feedsAfterHunger($bed, $candidate->crop, $on),
            );
        }

        return null;
    }
}
