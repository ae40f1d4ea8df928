<?php

declare(strict_types=1);

namespace Anthesis\Stations;

/** A station in a file, and how much of it there is. */
final readonly class StationExtent
{
    /** @param  string  $first  and $last: ISO dates of its rows, in whatever order they come */
    public function __construct(public string $station, public string $first, public string $last, public int $rows)
    {
    }
}
