<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Record\Day;

/** A crop to fit in that got a place, or the reason why it did not. */
final readonly class Placement
{
    /** Why one could not be placed, the first that applies; `placement.<value>` in words. */
    public const NO_WINDOW = 'no-window';

    public const NO_ROOM = 'no-room';

    public const REST = 'rest';

    /**
     * @param  Bed|null  $bed  null: on none
     * @param  string  $reason  why there, or why not
     */
    private function __construct(
        public Wish $wish,
        public ?Bed $bed,
        public ?Candidate $candidate,
        public ?Day $on,
        public ?Day $to,
        public string $reason,
    ) {
    }

    public static function on(Wish $wish, Bed $bed, Candidate $candidate, Day $on, Day $to, string $reason): self
    {
        return new self($wish, $bed, $candidate, $on, $to, $reason);
    }

    public static function none(Wish $wish, string $reason): self
    {
        return new self($wish, null, null, null, null, $reason);
    }
}
