<?php

declare(strict_types=1);

namespace Anthesis\Place;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Closure;

/** A record whose length and checksum are known; its thousands of days are read when somebody needs them. */
final class KnownRecord
{
    private ?DailyRecord $record = null;

    /**
     * @param  string  $checksum  DailyRecord::checksum() of what is read
     * @param  Closure(): DailyRecord  $read
     */
    public function __construct(
        public readonly string $checksum,
        public readonly Day $first,
        public readonly Day $last,
        private readonly Closure $read,
    ) {
    }

    public static function of(DailyRecord $record): self
    {
        return new self($record->checksum(), $record->first, $record->last(), static fn (): DailyRecord => $record);
    }

    public function days(): DailyRecord
    {
        return $this->record ??= ($this->read)();
    }

    /**
     * What is known on the morning of a day: nothing of that day or later, however much is on record. Days that have not been reported yet
     * are included as missing.
     *
     * @return DailyRecord up to the day before
     */
    public function before(Day $day): DailyRecord
    {
        $days = $this->days();
        $known = $days->between($days->first, $day->plus(-1));

        return $known->withMissing($known->last()->daysUntil($day) - 1);
    }
}
