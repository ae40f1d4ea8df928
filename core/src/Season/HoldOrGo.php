<?php

declare(strict_types=1);

namespace Anthesis\Season;

use Anthesis\Record\Day;
use Anthesis\Record\Tolerance;
use Anthesis\Replay\Outcome;
use Anthesis\Window\ProofStandard;

/**
 * Whether a task should be done on a day or later; docs/method.md, "This season".
 *
 * Go if the confidence level is reached and waiting does not help much. Otherwise hold until it does.
 */
final readonly class HoldOrGo
{
    /** Days within which a much better day is worth waiting for. */
    private const WAIT = 21;

    /** How much better, as a share of the members, another day must be to be worth waiting for. */
    private const MUCH_BETTER = 0.1;

    /** Days within which the confidence level must be reached. */
    public const AHEAD = 60;

    /** "Soon" for the end of the days at the confidence level, or of a hold, in days. */
    private const SOON = 10;

    private const WEEK = 7;

    /**
     * @param  Day|null  $until  when to do it, if it should wait
     * @param  Outcome|null  $reason  what most of those that do not come to harvest on the day are lost to
     * @param  int|null  $slack  days to the last of the AHEAD that reaches the confidence level, even with poorer days between; null: it is
     *   not reached on the day
     * @param  array{int|null, int|null}  $waits  days from the day to the median first harvest of a task done on it, and of one done a week
     *   later; null: none
     */
    private function __construct(public Pile $pile, public ?Day $until, public ?Outcome $reason, public ?int $slack, public array $waits)
    {
    }

    /**
     * @param  Prospects  $prospects  from the day on: AHEAD days and the day itself, if they are known
     * @param  float  $standard  share of harvests needed, 0…1
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
