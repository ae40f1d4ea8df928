<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use Anthesis\Record\Day;
use Anthesis\Record\Element;
use Anthesis\Tables\FormatError;

/**
 * The stations of a file while it is read, in whatever order their rows come. One is collected, the others are only measured, so memory is
 * bounded by a single record.
 *
 * @internal
 */
final class StationGathering
{
    /** If there are more stations than this, that column names something else. */
    private const MOST = 5000;

    /** The station being collected; null before its first row. */
    public ?SeriesBuilder $series = null;

    private bool $found = false;

    /**
     * @var array{string, list<array{int, int, Element, float, bool}>} a station whose rain or snow came before its temperatures, and those
     *   values
     */
    private array $waiting = ['', []];

    /** @var array<string, array{int, int, int}> first day, last day, rows */
    private array $extents = [];

    public function __construct(private readonly ReadingChoices $choices)
    {
    }

    /** Whether the station's rows are only measured, because another one is collected or was chosen. */
    public function passesBy(string $station): bool
    {
        return $this->series !== null
            ? $this->series->station !== $station
            : $this->choices->station !== null && $this->choices->station !== $station;
    }

    /** @return SeriesBuilder|null where the station's values go; null: it is not the one being collected */
    public function seriesOf(?string $station): ?SeriesBuilder
    {
        if (! $this->found && ($this->choices->station === null || $this->choices->station === $station)) {
            $this->found = true;
            $this->series = new SeriesBuilder($station, $this->choices->today);
            if ($this->waiting[0] === $station) {
                foreach ($this->waiting[1] as $depth) {
                    $this->series->depth(...$depth);
                }
            }
            $this->waiting = ['', []];
        }

        return $this->series !== null && $this->series->station === $station ? $this->series : null;
    }

    /** Rain or snow of a station. What comes before its temperatures waits for them: a station without any is not collected. */
    public function depth(string $station, int $line, int $day, Element $element, float $value, bool $flagged): void
    {
        if ($this->series !== null) {
            if ($this->series->station === $station) {
                $this->series->depth($line, $day, $element, $value, $flagged);
            }
        } elseif ($this->choices->station === null || $this->choices->station === $station) {
            if ($this->waiting[0] !== $station) {
                $this->waiting = [$station, []];
            }
            $this->waiting[1][] = [$line, $day, $element, $value, $flagged];
        }
    }

    /** @param  int|null  $day  day of the row; null: none that could be read */
    public function measure(?string $station, ?int $day): void
    {
        if ($station === null) {
            return;
        }
        if (! isset($this->extents[$station])) {
            if (count($this->extents) >= self::MOST) {
                throw FormatError::inFile('file.too-many-stations', ['most' => self::MOST]);
            }
            $this->extents[$station] = [PHP_INT_MAX, PHP_INT_MIN, 0];
        }
        $extent = &$this->extents[$station];
        if ($day !== null) {
            $extent[0] = min($extent[0], $day);
            $extent[1] = max($extent[1], $day);
        }
        $extent[2]++;
    }

    /** @return list<StationExtent> those with a day, in the order in which they start */
    public function extents(): array
    {
        $extents = [];
        foreach ($this->extents as $station => [$first, $last, $rows]) {
            if ($first <= $last) {
                $extents[] = new StationExtent((string) $station, Day::fromNumber($first)->iso(), Day::fromNumber($last)->iso(), $rows);
            }
        }

        return $extents;
    }
}
