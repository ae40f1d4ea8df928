<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Record\Day;

/** Something in a bed that does not work as planned. */
final readonly class Conflict
{
    /** More is in it than it is long. */
    public const DOUBLE = 'double';

    /** A planned crop breaks the rotation of its family. */
    public const REST = 'rest';

    /** A planned crop goes in outside every window. */
    public const OUTSIDE = 'outside';

    /** A planned crop does not fit between the rows it is planned between. */
    public const BETWEEN = 'between';

    /**
     * @param  list<string>  $keys  of the stays in conflict, the planned one first
     * @param  list<string>  $why  why they do not go together, one of the constants of `Between`
     */
    private function __construct(public string $kind, public Day $from, public Day $to, public array $keys, public array $why = [])
    {
    }

    /**
     * @param  array<string, StandingKind>  $kinds  of its stays, by key
     * @param  array<string, GroundDays>  $usual  how long planned crops stay here, by key of the stay
     * @return list<self>
     */
    public static function on(Bed $bed, array $kinds, array $usual): array
    {
        $conflicts = [];
        foreach ($bed->doubleBooked() as $span) {
            if (array_filter($span['keys'], static fn (string $key): bool => ! ($kinds[$key] ?? StandingKind::Planned)->isOver()) !== []) {
                $conflicts[] = new self(self::DOUBLE, $span['from'], $span['to'], $span['keys']);
            }
        }
        foreach ($bed->stays as $stay) {
            if (($kinds[$stay->key] ?? null) !== StandingKind::Planned || ! isset($usual[$stay->key])) {
                continue;
            }
            $broken = Rotation::broken($bed->without($stay->key), $stay->crop, $stay->from, $stay->to);
            if ($broken !== null) {
                $conflicts[] = new self(self::REST, $stay->from, $stay->to, [$stay->key, $broken->key]);
            }
            if (! $usual[$stay->key]->isOpen($stay->from)) {
                $conflicts[] = new self(self::OUTSIDE, $stay->from, $stay->from, [$stay->key]);
            }
            $first = $bed->stay($stay->between);
            $between = $first === null ? null : Between::judge($first, $stay);
            if ($first !== null && $between !== null && ! $between->agrees()) {
                $conflicts[] = new self(self::BETWEEN, $stay->from, $stay->to, [$stay->key, $first->key], $between->against);
            }
        }

        return $conflicts;
    }
}
