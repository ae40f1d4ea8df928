<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use Anthesis\Record\Day;
use Anthesis\Record\Element;

/**
 * Rows of a station file while they are being read: a continuous series in the file's unit, growing at its end.
 *
 * @internal
 */
final class DailyRows
{
    public ?int $first = null;

    /** @var list<float|null> */
    public array $minimum = [];

    /** @var list<float|null> */
    public array $maximum = [];

    /** @var list<array{int, Element}> days (from the first) and elements that a later row contradicts */
    public array $contradictions = [];

    /** @var array<int, array{line: int, days: int, hot: int}> by calendar year; hot: days above DailyRecordCsv::HOTTEST_CELSIUS */
    public array $years = [];

    /** @var list<RefusedRow> */
    public array $refused = [];

    public int $refusedCount = 0;

    public int $count = 0;

    public ?TemperatureUnit $unitInCells = null;

    public function refuse(int $line, string $column, string $reason): void
    {
        $this->refusedCount++;
        if (count($this->refused) < DailyRecordCsv::REFUSALS_KEPT) {
            $this->refused[] = new RefusedRow($line, $column, $reason);
        }
    }

    /** @param  int  $day not before the last one added */
    public function add(int $line, int $day, ?float $minimum, ?float $maximum): void
    {
        $this->first ??= $day;
        $at = $day - $this->first;
        $last = count($this->minimum) - 1;
        if ($at === $last) {
            $this->repeat($at, $minimum, $maximum);

            return;
        }
        for ($i = $last + 1; $i < $at; $i++) {
            $this->minimum[] = null;
            $this->maximum[] = null;
        }
        $this->minimum[] = $minimum;
        $this->maximum[] = $maximum;
        $year = Day::civil($day)[0];
        $this->years[$year] ??= ['line' => $line, 'days' => 0, 'hot' => 0];
        if ($maximum !== null) {
            $this->years[$year]['days']++;
            $this->years[$year]['hot'] += $maximum > DailyRecordCsv::HOTTEST_CELSIUS ? 1 : 0;
        }
    }

    private function repeat(int $at, ?float $minimum, ?float $maximum): void
    {
        if ($minimum !== $this->minimum[$at]) {
            $this->contradictions[] = [$at, Element::Minimum];
        }
        if ($maximum !== $this->maximum[$at]) {
            $this->contradictions[] = [$at, Element::Maximum];
        }
    }
}
