<?php

declare(strict_types=1);

namespace Anthesis\Ground;

use Anthesis\Record\Day;

/** Something to do for a planting; `task.<key>` in words. */
final readonly class Task
{
    /**
     * @param  string  $key  key of its words
     * @param  Day  $on  the day, or the first of them
     * @param  Day|null  $to  the last of several; null: one day
     */
    public function __construct(public string $key, public Day $on, public ?Day $to = null)
    {
    }
}
