<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Record\Mark;
use Anthesis\Record\QualityRule;
use Anthesis\Tables\FormatError;
use Anthesis\Tables\RefusedRow;
use Anthesis\Tables\TemperatureUnit;
use Anthesis\Words\Phrase;

/**
 * One station's values while its file is being read, in the file's unit and in any order of days.
 *
 * @internal
 */
final class SeriesBuilder
{
    /** No place on earth has been this hot, in °C; in °F, nearly every place is, each summer. */
    private const HOTTEST_CELSIUS = 60.0;

    /** No place on earth has been this hot in °F; in tenths of °C, nearly every place is. */
    private const HOTTEST_FAHRENHEIT = 150.0;

    /** This many such days in a year are not a broken thermometer. */
    private const HOT_DAYS = 10;

    /** No thermometer writes such a number, in any unit. */
    private const LARGEST = 1.0e6;

    private const DAYS_TO_JUDGE_A_YEAR = 300;

    public const REFUSALS_KEPT = 100;

    private const FIRST_YEAR = 1700;

    private const LONGEST_GAP_YEARS = 20;

    /** @var array<string, array<int, float|null>> by element, then by day */
    private array $values = ['minimum' => [], 'maximum' => []];

    /** @var array<string, array<int, float|null>> rain and snow by element, then by day; in the file's unit */
    private array $depths = [];

    /** @var array<string, Mark> */
    private array $marks = [];

    /** @var array<int, array{line: int, days: int, hot: int, scorching: int}> by calendar year */
    private array $years = [];

    private int $first = PHP_INT_MAX;

    private int $last = PHP_INT_MIN;

    /** @var list<RefusedRow> */
    public array $refused = [];

    public int $refusedCount = 0;

    public int $rows = 0;

    public ?TemperatureUnit $unitInCells = null;

    public function __construct(public readonly ?string $station, private readonly ?Day $today)
    {
    }

    /** @param  array<string, int|float|string>  $with */
    public function refuse(int $line, string $column, string $reason, array $with = []): void
    {
        $this->refusedCount++;
        if (count($this->refused) < self::REFUSALS_KEPT) {
            $this->refused[] = new RefusedRow($line, $column, Phrase::of("error.{$reason}", $with));
        }
    }

    /** The last day read so far; null before the first. */
    public function lastDay(): ?int
    {
        return $this->last === PHP_INT_MIN ? null : $this->last;
    }

    /** @throws FormatError for a future day, or one so far off that it must be a mistake */
    public function day(int $line, string $column, int $day): void
    {
        if ($day > $this->last) {
            $iso = Day::fromNumber($day)->iso(...);
            if ($this->today !== null && $day > $this->today->number) {
                throw FormatError::at($line, 'record.to-come', ['day' => $iso(), 'today' => $this->today->iso()], $column);
            }
            if ($this->last !== PHP_INT_MIN && $day - $this->last > self::LONGEST_GAP_YEARS * 366) {
                throw FormatError::at(
                    $line,
                    'record.gap',
                    ['day' => $iso(), 'before' => Day::fromNumber($this->last)->iso(), 'years' => self::LONGEST_GAP_YEARS],
                    $column,
                );
            }
            $this->last = $day;
        }
        if ($day < $this->first) {
            if (Day::fromNumber($day)->year() < self::FIRST_YEAR) {
                throw FormatError::at(
                    $line,
                    'record.too-early',
                    ['day' => Day::fromNumber($day)->iso(), 'year' => self::FIRST_YEAR],
                    $column,
                );
            }
            $this->first = $day;
        }
    }

    /**
     * @param  float|null  $value  in the file's unit; a number too large to be a value is refused
     * @param  bool  $flagged whether the source itself questions the value
     */
    public function value(int $line, int $day, Element $element, ?float $value, bool $flagged = false): void
    {
        if ($value !== null && abs($value) > self::LARGEST) {
            $this->refuse($line, $element->value, 'record.too-large');

            return;
        }
        $known = &$this->values[$element->value];
        if (array_key_exists($day, $known)) {
            if ($known[$day] !== $value) {
                $this->mark($day, $element, QualityRule::Duplicate);
            }

            return;
        }
        $known[$day] = $value;
        if ($flagged && $value !== null) {
            $this->mark($day, $element, QualityRule::SourceFlag);
        }
        if ($element === Element::Maximum) {
            $this->judge($line, $day, $value);
        }
    }

    /**
     * Rain, or the depth of snow. It only counts on days within the record of temperatures, and does not make that longer.
     *
     * @param  float|null  $value  in the file's unit
     * @param  bool  $flagged  whether the source itself questions the value
     * @param  bool  $ofSeveralDays  whether it is the sum of several days
     */
    public function depth(int $line, int $day, Element $element, ?float $value, bool $flagged = false, bool $ofSeveralDays = false): void
    {
        if ($value !== null && abs($value) > self::LARGEST) {
            $this->refuse($line, $element->value, 'record.too-large');

            return;
        }
        $known = $this->depths[$element->value][$day] ?? null;
        if ($known !== null) {
            if ($value !== null && $value !== $known) {
                $this->mark($day, $element, QualityRule::Duplicate);
            }

            return;
        }
        $this->depths[$element->value][$day] = $value;
        if ($value !== null && $flagged) {
            $this->mark($day, $element, QualityRule::SourceFlag);
        }
        if ($value !== null && $ofSeveralDays) {
            $this->mark($day, $element, QualityRule::SumOfDays);
        }
    }

    public function isEmpty(): bool
    {
        return $this->first === PHP_INT_MAX;
    }

    /**
     * The unit the values themselves point to.
     *
     * @throws FormatError if it changes from one year to the next
     */
    public function concludedUnit(): TemperatureUnit
    {
        $before = null;
        foreach ($this->years as $year => $seen) {
            $unit = $this->unitOf($seen);
            if ($seen['days'] >= self::DAYS_TO_JUDGE_A_YEAR) {
                if ($before !== null && $before !== $unit) {
                    throw FormatError::at($seen['line'], 'record.unit-changes', [
                        'before' => $before->symbol(),
                        'after' => $unit->symbol(),
                        'year' => $year,
                    ]);
                }
                $before = $unit;
            }
        }
        if ($this->unitInCells !== null) {
            return $this->unitInCells;
        }

        return $before ??
            $this->unitOf([
                'hot' => max([0, ...array_column($this->years, 'hot')]),
                'scorching' => max([0, ...array_column($this->years, 'scorching')]),
            ]);
    }

    /**
     * The values from the first day to the last, converted to °C, mm of rain and cm of snow.
     *
     * @param  array<string, MeasuredDepth>  $depths  for rain and snow, if the file has them
     */
    public function record(TemperatureUnit $unit, array $depths = []): DailyRecord
    {
        $series = [];
        foreach ($this->values as $element => $values) {
            $series[$element] = $this->list($values, $unit->toCelsius(...));
        }
        foreach ($depths as $element => $depth) {
            $values = $this->depths[$element] ?? [];
            $perUnit = $element === Element::Snow->value ? 10 : 1;
            $list = $this->list($values, static fn (float $value): float => round($depth->unit->toMillimetres($value) / $perUnit, 2));
            // A column that is blank throughout measures nothing.
            if (array_filter($list, static fn (?float $value): bool => $value !== null) !== []) {
                $series[$element] = $list;
            }
        }

        return DailyRecord::ofElements(Day::fromNumber($this->first), $series);
    }

    /**
     * @param  array<int, float|null>  $values  by day
     * @param  callable(float): float  $convert
     * @return list<float|null>
     */
    private function list(array $values, callable $convert): array
    {
        $list = [];
        for ($day = $this->first; $day <= $this->last; $day++) {
            $value = $values[$day] ?? null;
            $list[] = $value === null ? null : $convert($value);
        }

        return $list;
    }

    /** @return float smallest difference between two values, °C: whole units, tenths, or hundredths of one */
    public function step(TemperatureUnit $unit): float
    {
        $fineness = 1;
        foreach ($this->values as $values) {
            foreach ($values as $value) {
                while ($value !== null && $fineness < 100 && abs($value * $fineness - round($value * $fineness)) > 1e-6) {
                    $fineness *= 10;
                }
            }
        }

        return $unit->degreeInCelsius() / $fineness;
    }

    /** Days that were given twice with different values. */
    public function contradictedDays(): int
    {
        $days = [];
        foreach ($this->marks as $mark) {
            if ($mark->rule === QualityRule::Duplicate && $mark->element->isTemperature()) {
                $days[$mark->day->number] = true;
            }
        }

        return count($days);
    }

    /** @return list<Mark> in order of day */
    public function marks(): array
    {
        // Rain and snow may have days beyond those of the temperatures.
        $marks = array_values(
            array_filter($this->marks, fn (Mark $m): bool => $m->day->number >= $this->first && $m->day->number <= $this->last),
        );
        usort(
            $marks,
            static fn (Mark $a, Mark $b): int => $a->day->number <=> $b->day->number ?: strcmp($a->element->value, $b->element->value),
        );

        return $marks;
    }

    private function mark(int $day, Element $element, QualityRule $rule): void
    {
        $this->marks["{$day} {$element->value} {$rule->value}"] = new Mark(Day::fromNumber($day), $element, $rule);
    }

    private function judge(int $line, int $day, ?float $maximum): void
    {
        $year = Day::civil($day)[0];
        $this->years[$year] ??= ['line' => $line, 'days' => 0, 'hot' => 0, 'scorching' => 0];
        if ($maximum !== null) {
            $this->years[$year]['days']++;
            $this->years[$year]['hot'] += $maximum > self::HOTTEST_CELSIUS ? 1 : 0;
            $this->years[$year]['scorching'] += $maximum > self::HOTTEST_FAHRENHEIT ? 1 : 0;
        }
    }

    /** @param array{hot: int, scorching: int, ...} $seen */
    private function unitOf(array $seen): TemperatureUnit
    {
        return match (true) {
            $seen['scorching'] >= self::HOT_DAYS => TemperatureUnit::TenthsCelsius,
            $seen['hot'] >= self::HOT_DAYS => TemperatureUnit::Fahrenheit,
            default => TemperatureUnit::Celsius,
        };
    }
}
