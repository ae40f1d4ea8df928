<?php

declare(strict_types=1);

namespace Anthesis\Log;

/**
 * An entry of the log that counts: neither corrected nor deleted.
 *
 * @phpstan-type Told array{variety?: string|null, metres?: int|float|null, under_cover?: bool|null, plot?: int|null, cause?: string|null, kilograms?: int|float|null, stems?: int|null, quality?: int|null, ...}
 */
final readonly class StandingEntry
{
    /**
     * @param  string  $day  YYYY-MM-DD
     * @param  Told  $told  what it says beyond its task
     */
    public function __construct(public LoggedAct $act, public string $day, public array $told, public ?int $cropId, public ?int $bedId)
    {
    }
}
