<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Record\Day;

/**
 * Fills beds with wishes, by a plain search whose rules can be told (docs/method.md, "Fill my beds"):
 *
 * 1. What stands on the beds already stays as it is.
 * 2. Wishes with the fewest days to be sown on go first; of equals those that stay longest, then by their key.
 * 3. A wish goes on the first day of the season that is open to it, on a bed with room for all its stay and no rest broken.
 * 4. Of several beds on that day: one where it feeds what a hungry crop left; then the one that stood empty the shortest, so that
 *    long gaps stay whole; then the first.
 */
final class SeasonPlanner
{
    public const FEEDS = 'feeds';

    public const FOLLOWS = 'follows';

    public const FREE = 'free';

    /**
     * @param  list<Bed>  $beds  with what stands on them, pinned and other
     * @param  list<Wish>  $wishes
     * @return list<Placement> one a wish, in the order in which they were placed
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

    /** @return array{int, int} days a wish may be sown on, and its longest stay */
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
