<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\Day;
use Anthesis\Record\Tolerance;
use Anthesis\Replay\Outcome;
use Anthesis\Window\ProofStandard;

/**
 * Whether an act is to be done on a day or later; docs/method.md, "This season".
 *
 * Go where the standard of proof is reached and waiting does not make it much better; otherwise hold until it does.
 */
final readonly class HoldOrGo
{
    /** Days within which a much better day is worth waiting for. */
    private const WAIT = 21;

    /** By how much of the members another day must be better to be worth waiting for. */
    private const MUCH_BETTER = 0.1;

    /** Days within which the standard must be reached. */
    public const AHEAD = 60;

    /** A share that falls below the standard for good, or a hold that ends, within so many days is soon. */
    private const SOON = 10;

    private const WEEK = 7;

    /**
     * @param  Day|null  $until  when to do it, where it is held
     * @param  Outcome|null  $reason  what becomes of most that do not come to a harvest on the day
     * @param  int|null  $slack  days to the last of the AHEAD that reaches the standard, be there poorer ones between; null: it is not
     *     reached on the day
     * @param  array{int|null, int|null}  $waits  days from the day to the median first harvest of an act on it, and of one a week later; null: none
     */
    private function __construct(public Pile $pile, public ?Day $until, public ?Outcome $reason, public ?int $slack, public array $waits)
    {
    }

    /**
     * @param  Prospects  $prospects  from the day on, AHEAD days and the day itself, if they are known
     * @param  float  $standard  share of harvests asked for, 0…1
     */
    public static function of(Prospects $prospects, float $standard): self
    {
        $shares = array_slice($prospects->shares, 0, self::AHEAD + 1);
        $enough = $standard - Tolerance::SUMS;
        $now = $shares[0];
        $reached = $now >= $enough;
        $hold = null;
        $slack = null;
        foreach ($shares as $i => $share) {
            if ($reached && $share >= $enough) {
                $slack = $i;
            }
            if (
                $hold === null &&
                ($reached ? $i <= self::WAIT && $share > $now + self::MUCH_BETTER + Tolerance::SUMS : $share >= $enough)
            ) {
                $hold = $i;
            }
        }
        $pile = match (true) {
            $hold !== null => $hold <= self::SOON ? Pile::HoldAWeek : Pile::Hold,
            $reached => $slack < self::SOON ? Pile::LastChance : Pile::Go,
            $now >= ProofStandard::FAIR - Tolerance::SUMS => Pile::FairChance,
            default => Pile::Over,
        };
        $later = $prospects->waits[self::WEEK] ?? null;

        return new self($pile, $hold === null ? null : $prospects->from->plus($hold), $prospects->loss(), $slack, [
            $prospects->waits[0][1] ?? null,
            $later === null ? null : self::WEEK + $later[1],
        ]);
    }
}
