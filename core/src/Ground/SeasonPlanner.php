<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Record\Day;

/**
 * Fits crops into beds by a simple search whose rules can be explained (docs/method.md, "Plan my beds for me"):
 *
 * 1. What already is in the beds stays as it is.
 * 2. Crops with the fewest possible sow days go first; among equals, those that stay longest, then by key.
 * 3. A crop goes on the first day of the season that is open to it, in a bed with room for its whole stay where it keeps the rotation.
 * 4. Among several beds on that day, it takes one where it feeds what a heavy feeder left; then the one that has been empty the shortest,
 *    so long open spaces stay whole; then the first.
 */
final class SeasonPlanner
{
    public const FEEDS = 'feeds';

    public const FOLLOWS = 'follows';

    public const FREE = 'free';

    /**
     * @param  list<Bed>  $beds  with what is in them, locked or not
     * @param  list<Wish>  $wishes
     * @return list<Placement> one per crop to fit in, in the order in which they were placed
     */
    public static function plan(array $beds, array $wishes, Day $from, Day $to): array
    {
        $days = $stays = [];
        foreach ($wishes as $wish) {
            [$days[$wish->key], $stays[$wish->key]] = self::choice($wish, $from, $to);
        }
        usort(
            $wishes,
            static fn (Wish $a, Wish $b): int => [$days[$a->key], -$stays[$a->key], $a->key] <=> [
                $days[$b->key],
                -$stays[$b->key],
                $b->key,
            ],
        );
        $placements = [];
        foreach ($wishes as $wish) {
            [$placement, $at] = self::place($beds, $wish, $from, $to);
            $placements[] = $placement;
            if ($at !== null && $placement->candidate !== null && $placement->on !== null && $placement->to !== null) {
                $beds = array_values(
                    array_replace($beds, [
                        $at => $beds[$at]->with(
                            new Occupancy($wish->key, $placement->candidate->crop, $placement->on, $placement->to, $wish->metres),
                        ),
                    ]),
                );
            }
        }

        return $placements;
    }

    /** @return array{int, int} days a crop may be sown on, and its longest stay */
    private static function choice(Wish $wish, Day $from, Day $to): array
    {
        $open = $longest = 0;
        for ($on = $from; ! $to->isBefore($on); $on = $on->plus(1)) {
            foreach ($wish->candidates as $candidate) {
                $until = $candidate->days->isOpen($on) ? $candidate->days->until($on) : null;
                if ($until !== null) {
                    $open++;
                    $longest = max($longest, $until->number - $on->number);
                }
            }
        }

        return [$open, $longest];
    }

    /**
     * @param  list<Bed>  $beds
     * @return array{Placement, int|null} with the bed's place in the list
     */
    private static function place(array $beds, Wish $wish, Day $from, Day $to): array
    {
        $reason = Placement::NO_WINDOW;
        for ($on = $from; ! $to->isBefore($on); $on = $on->plus(1)) {
            foreach ($wish->candidates as $candidate) {
                $until = $candidate->days->isOpen($on) ? $candidate->days->until($on) : null;
                if ($until === null) {
                    continue;
                }
                $best = null;
                foreach ($beds as $i => $bed) {
                    if ($bed->free($on, $until) < $wish->metres) {
                        $reason = $reason === Placement::NO_WINDOW ? Placement::NO_ROOM : $reason;

                        continue;
                    }
                    if (Rotation::broken($bed, $candidate->crop, $on, $until) !== null) {
                        $reason = Placement::REST;

                        continue;
                    }
                    $before = $bed->before($on);
                    $feeds = Rotation::feedsAfterHunger($bed, $candidate->crop, $on);
                    $rank = [! $feeds, $before === null ? PHP_INT_MAX : $on->number - $before->to->number, $i];
                    if ($best === null || $rank < $best[0]) {
                        $best = [
                            $rank,
                            $i,
                            match (true) {
                                $feeds => self::FEEDS,
                                $before !== null => self::FOLLOWS,
                                default => self::FREE,
                            },
                        ];
                    }
                }
                if ($best !== null) {
                    return [Placement::on($wish, $beds[$best[1]], $candidate, $on, $until, $best[2]), $best[1]];
                }
            }
        }

        return [Placement::none($wish, $reason), null];
    }
}
