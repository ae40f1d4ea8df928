<?php

declare(strict_types=1);

namespace Anthesis\Climate;

use Anthesis\Record\DailyRecord;
use Anthesis\Record\Latitude;
use Anthesis\Record\Median;
use Anthesis\Record\YearDay;

/** Days with a maximum at or above a temperature: how many per year, and when the first and last come. */
final readonly class Heat
{
    /**
     * @param  float  $celsius  the maximum from which a day counts
     * @param  int  $years  years on record
     * @param  float|null  $daysAYear  mean per year; null without a year on record
     * @param  YearDay|null  $first  median of the first such day, over the years that have one; null if most years have none
     * @param  YearDay|null  $last  median of the last such day, figured the same way
     */
    private function __construct(
        public float $celsius,
        public int $years,
        public ?float $daysAYear,
        public ?YearDay $first,
        public ?YearDay $last,
    ) {
    }

    /** @param  DailyRecord  $record after quality control */
    public static function of(DailyRecord $record, Latitude $latitude, float $celsius): self
    {
        $counts = $firsts = $lasts = [];
        foreach (RulerYears::of($record->first, $record->maximum, $latitude) as $maxima) {
            $hot = array_keys(array_filter($maxima, static fn (?float $v): bool => $v !== null && $v >= $celsius));
            $counts[] = count($hot);
            if ($hot !== []) {
                $firsts[] = (float) $hot[0];
                $lasts[] = (float) $hot[count($hot) - 1];
            }
        }
        if (2 * count($firsts) < count($counts)) {
            $firsts = $lasts = [];
        }

        return new self(
            $celsius,
            count($counts),
            $counts === [] ? null : array_sum($counts) / count($counts),
            self::median($firsts, $latitude),
            self::median($lasts, $latitude),
        );
    }

    /** @param  list<float>  $offsets  days after the first day of the year ruler */
    private static function median(array $offsets, Latitude $latitude): ?YearDay
    {
        return $offsets === [] ? null : $latitude->yearStart()->plus((int) round(Median::of($offsets)));
    }
}
