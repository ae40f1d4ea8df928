<?php

declare(strict_types=1);

namespace App\Log;

/** An entry of the log that counts: neither corrected nor taken back. What SowingFold reads. */
final readonly class StandingEntry
{
    /**
     * @param  string  $day  YYYY-MM-DD
     * @param  array<string, mixed>  $told  as LogEntry::$told
     */
    public function __construct(public LoggedAct $act, public string $day, public array $told, public ?int $cropId, public ?int $bedId)
    {
    }

    public static function of(LogEntry $entry): self
    {
        return new self($entry->act, $entry->day->format('Y-m-d'), $entry->told, $entry->crop_id, $entry->bed_id);
    }
}
