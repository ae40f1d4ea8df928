<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Words\Phrase;

/**
 * The normal course of a daily quantity through the year: the mean of each sow day over the record, smoothed by a mean
 * and three harmonics fitted by least squares.
 */
final readonly class Normals
{
    private const HARMONICS = 3;

    /** @param  non-empty-list<float>  $values length 365: the normal value on sow day i+1 */
    private function __construct(public array $values)
    {
    }

    /**
     * @param  list<float|null>  $series  one value per day, starting on the first day
     *
     * @throws RecordTooShort if some day of the year has no value at all
     */
    public static function of(Day $first, array $series): self
    {
        $sums = array_fill(0, YearDay::YEAR, 0.0);
        $counts = array_fill(0, YearDay::YEAR, 0);
        foreach ($first->yearDays(count($series)) as $i => $day) {
            if ($series[$i] !== null) {
                $sums[$day - 1] += $series[$i];
                $counts[$day - 1]++;
            }
        }
        $means = [];
        foreach ($sums as $i => $sum) {
            if ($counts[$i] === 0) {
                throw new RecordTooShort(Phrase::of('error.day-never-measured', ['day' => Phrase::day(YearDay::fromNumber($i + 1))]));
            }
            $means[] = $sum / $counts[$i];
        }

        return new self(self::smooth($means));
    }

    public function on(YearDay $day): float
    {
        return $this->values[$day->number - 1];
    }

    /**
     * On 365 evenly spaced days the harmonics are orthogonal, so the least-squares fit is a projection.
     *
     * @param  non-empty-list<float>  $means  length 365
     * @return non-empty-list<float>
     */
    private static function smooth(array $means): array
    {
        $n = count($means);
        $smooth = array_fill(0, $n, array_sum($means) / $n);
        for ($h = 1; $h <= self::HARMONICS; $h++) {
            $cosine = $sine = 0.0;
            foreach ($means as $i => $mean) {
                $cosine += $mean * cos((2 * M_PI * $h * $i) / $n);
                $sine += $mean * sin((2 * M_PI * $h * $i) / $n);
            }
            foreach ($smooth as $i => $value) {
                $angle = (2 * M_PI * $h * $i) / $n;
                $smooth[$i] = $value + (2 / $n) * ($cosine * cos($angle) + $sine * sin($angle));
            }
        }

        return $smooth;
    }
}
