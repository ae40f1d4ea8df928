<?php

declare(strict_types=1);

namespace Anthesis\Record;

/** An unbroken run of days without a usable minimum or maximum. */
final readonly class Gap
{
    /** The longest gap that is bridged linearly, in days. */
    public const BRIDGED_DAYS = 10;

    public function __construct(public Day $first, public int $days)
    {
    }
}
