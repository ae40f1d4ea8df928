<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Crop\Crop;
use Anthesis\Record\Day;

/**
 * Whether a second crop fits between the rows of another in the same space of a bed, and if not, why; docs/method.md, "Two crops in the
 * same space". It is a *relay* if the second is out of the ground before the rows of the first close. Otherwise the two are *companions*,
 * fully grown side by side.
 *
 * Source: rules of thumb of market and home gardeners. No trial stands behind the numbers, and the screen says so.
 */
final readonly class Between
{
    /** Rows close when this share of the days to the first harvest has passed. */
    private const CLOSES = 0.5;

    /** A crop whose rows are this far apart, in cm, and that is no taller than SHALLOWER_TENTHS of that, runs over the ground. */
    private const WIDE_CM = 100.0;

    private const LOW_TENTHS = 7;

    /** A warm-season crop is in the shade of one more than this many times as tall; a cool-season one welcomes it. */
    private const TALLER = 2.0;

    /** The shallower roots go at most this many tenths as deep as the deeper ones. */
    private const SHALLOWER_TENTHS = 7;

    /** One of the two runs over the other. */
    public const VINES = 'vines';

    /** Both are of one family: they share pests and diseases, and it breaks the rotation. */
    public const FAMILY = 'family';

    /** There is no room for a row between the rows. */
    public const ROOM = 'room';

    /** One would be in the other's shade and does not tolerate it. */
    public const SHADE = 'shade';

    /** Their roots go equally deep. */
    public const ROOTS = 'roots';

    /** Both are heavy feeders, at the same depth. */
    public const HUNGER = 'hunger';

    /** The height or the roots of one are not known. */
    public const UNKNOWN = 'unknown';

    /** It takes more meters than there are between the rows. */
    public const METRES = 'metres';

    /** They are never in the ground at the same time, so neither is between the other. */
    public const APART = 'apart';

    /**
     * @param  list<string>  $against  which of the reasons above keep them apart; empty: none
     * @param  bool  $isRelay  whether the second is out of the ground before the rows close
     * @param  int  $rows  of the second in each space between two rows of the first; 0: none fits
     * @param  float  $apartCm  between neighboring rows of either crop, with that many rows in the space; the whole space if there are none
     */
    private function __construct(public array $against, public bool $isRelay, public int $rows, public float $apartCm)
    {
    }

    /** @param  Occupancy  $first  the crop whose rows are counted from  @param  Occupancy  $second  the one between them */
    public static function judge(Occupancy $first, Occupancy $second): self
    {
        $isRelay = $second->to->isBefore(self::closes($first));
        $rows = self::rows($first->crop, $second->crop, $isRelay);
        $against = [
            self::APART => ! $first->overlaps($second->from, $second->to),
            self::METRES => $second->metres > $first->metres,
            self::FAMILY => $first->crop->family === $second->crop->family,
            self::HUNGER => $first->crop->feeder === 'heavy' &&
                $second->crop->feeder === 'heavy' &&
                ! self::drawApart($first->crop, $second->crop),
            self::ROOM => $rows === 0,
        ];
        if (! $isRelay) {
            $against += self::grown($first->crop, $second->crop);
        }

        return new self(array_keys(array_filter($against)), $isRelay, $rows, $first->crop->spacing->rowCm / ($rows + 1));
    }

    /**
     * What fits between the rows of a stay, best first, and what would be ready in time but does not fit.
     *
     * @param  list<Candidate>  $candidates
     * @param  Day  $from  first day on which something could be planted there
     * @return list<array{fit: Fit, between: self}>
     */
    public static function fits(Bed $bed, Occupancy $first, array $candidates, Day $from): array
    {
        $from = $from->isBefore($first->from) ? $first->from : $from;
        $metres = self::room($bed, $first, $from);
        $fits = [];
        foreach ($metres <= 0.0 ? [] : $candidates as $candidate) {
            if ($candidate->crop->kind === Crop::COVER) {
                continue;
            }
            // Out before the rows close, if possible; otherwise beside the other for as long as that stays.
            foreach ([self::closes($first)->plus(-1), $first->to] as $until) {
                $fit = $until->isBefore($from) ? null : Fit::of($bed, $candidate, $from, $until);
                if ($fit === null || $fit->breaks !== null) {
                    continue;
                }
                $between = self::judge($first, new Occupancy('', $candidate->crop, $fit->on, $fit->to, $metres));
                $fits[$candidate->key()] = ['fit' => $fit, 'between' => $between];
                if ($between->agrees()) {
                    break;
                }
            }
        }
        $fits = array_values($fits);
        usort($fits, static fn (array $a, array $b): int => self::rank(...$a) <=> self::rank(...$b));

        return $fits;
    }

    /** @return list<bool|float|string> what goes together first; then what is out soonest, food before flowers, and what yields most */
    private static function rank(Fit $fit, self $between): array
    {
        return [! $between->agrees(), ! $between->isRelay, $fit->unit !== 'kg', -$fit->worth, $fit->candidate->key()];
    }

    /** @return float meters between the rows of a stay with nothing in them from a day on */
    public static function room(Bed $bed, Occupancy $first, Day $from): float
    {
        $most = 0.0;
        $there = array_filter(
            $bed->stays,
            static fn (Occupancy $s): bool => $s->between === $first->key && $s->overlaps($from, $first->to),
        );
        foreach ($there as $one) {
            $day = max($one->from->number, $from->number);
            $most = max($most, array_sum(array_map(static fn (Occupancy $s): float => $s->isOn($day) ? $s->metres : 0.0, $there)));
        }

        return max(0.0, $first->metres - $most);
    }

    /** @return Day the day from which the rows of a crop are closed */
    public static function closes(Occupancy $first): Day
    {
        return $first->from->plus((int) ceil(self::CLOSES * $first->crop->growth->maturityDays));
    }

    public function agrees(): bool
    {
        return $this->against === [];
    }

    /** @return array<string, bool> what only matters if both grow there to full size */
    private static function grown(Crop $first, Crop $second): array
    {
        [$a, $b] = [$first->heightCm, $second->heightCm];
        if ($a === null || $b === null || $first->watering->rootCm === null || $second->watering->rootCm === null) {
            return [self::VINES => self::runs($first) || self::runs($second), self::UNKNOWN => true];
        }
        $lower = $a < $b ? $first : $second;
        // A crop that gives nitrogen to the ground does not take it from its neighbor, however deep its roots go.
        $gives = $first->feeder === 'fixes' || $second->feeder === 'fixes';

        return [
            self::VINES => self::runs($first) || self::runs($second),
            self::SHADE => $lower->kind === 'warm' && max($a, $b) > self::TALLER * min($a, $b),
            self::ROOTS => ! $gives && ! self::drawApart($first, $second),
        ];
    }

    /** Whether the roots of one go so much deeper that each has ground of its own. */
    private static function drawApart(Crop $first, Crop $second): bool
    {
        [$a, $b] = [$first->watering->rootCm, $second->watering->rootCm];

        return $a !== null && $b !== null && 10 * min($a, $b) <= self::SHALLOWER_TENTHS * max($a, $b);
    }

    /** Lies on the ground and covers all of it. */
    private static function runs(Crop $crop): bool
    {
        return $crop->spacing->rowCm >= self::WIDE_CM &&
            ($crop->heightCm === null || 10 * $crop->heightCm <= self::LOW_TENTHS * $crop->spacing->rowCm);
    }

    /** How many rows of the second fit between two of the first, each plant with half of its spacing on each side. */
    private static function rows(Crop $first, Crop $second, bool $isRelay): int
    {
        // A crop whose rows have not closed takes half of its later space.
        $taken = $first->spacing->spacingCm * ($isRelay ? self::CLOSES : 1.0);
        $free = intdiv((int) round(max(0.0, $first->spacing->rowCm - $taken)), max(1, (int) round($second->spacing->spacingCm)));

        return min($free, max(1, (int) floor($first->spacing->rowCm / $second->spacing->rowCm)));
    }
}
