<?php

declare(strict_types=1);

namespace App\Season;

use Anthesis\Calendar\CropSheet;
use Anthesis\Ground\SeedNeed;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Replay;
use Anthesis\Replay\Runs;
use Anthesis\Season\ThisSeason;
use Anthesis\Succession\EvenSupply;
use Anthesis\Succession\FixedInterval;
use Anthesis\Succession\HarvestDays;
use Anthesis\Succession\SuccessionSowing;
use Anthesis\Succession\SupplyLine;
use Anthesis\Window\School\FromReplay;
use App\Windows\SowDayAsked;

/**
 * A continuous harvest of a crop: plantings for an even supply beside plantings at a fixed interval, and what both would have given in the
 * years on record, and give this season.
 */
final readonly class CropSuccession
{
    /** Days apart, if the crop's own interval is not known. */
    private const INTERVAL = 14;

    /** A day of the year further ahead than this belongs to the current year. */
    private const AHEAD = 182;

    private Runs $runs;

    /** @param  float|null  $amount  needed per week, kilograms or stems; null: not given */
    private function __construct(private SowDayAsked $asked, private ?float $amount, private ?ThisSeason $season)
    {
        $this->runs = Replay::ofPlace($asked->place)->runs($asked->crop, $asked->route);
    }

    /**
     * @param  int  $days  to sow for, after the first
     * @param  float|null  $amount  needed per week, kilograms or stems; null: not given
     * @param  ThisSeason|null  $season  null: nothing is known about it
     * @return array<string, mixed> as the contract's Succession
     */
    public static function of(SowDayAsked $asked, int $days, ?float $amount, ?ThisSeason $season): array
    {
        $self = new self($asked, $amount, $season);
        $harvests = HarvestDays::of($self->runs, FromReplay::ofPlace($asked->place)->hold($asked->crop, $asked->route, $asked->standard));
        $interval = $asked->crop->convention->successionDays ?? self::INTERVAL;
        [$yield, $unit] = $asked->crop->yieldPerMetre() ?? [null, null];

        return [
            'from' => $asked->day->iso(),
            'days' => $days,
            'interval' => $interval,
            'yield_per_m' => $yield,
            'unit' => $unit,
            'cut' => CropSheet::identity($asked->crop)['cut'] ?? null,
            'even' => $self->plan(EvenSupply::of($harvests, $asked->day, $days, $asked->standard)),
            'fixed' => $self->plan(FixedInterval::of($harvests, $asked->day, $days, $asked->standard, $interval)),
        ];
    }

    /**
     * @param  list<SuccessionSowing>  $sowings
     * @return array<string, mixed>
     */
    private function plan(array $sowings): array
    {
        $supply = SupplyLine::of($this->runs, $this->asked->day, $sowings);

        return [
            'sowings' => array_map($this->sowing(...), $sowings),
            'years' => $supply->years,
            'usual' => $supply->usual,
            ...self::lines($supply),
            'season' => $this->thisSeason($sowings),
            'gaps' => $supply->gaps(),
            'gluts' => $supply->gluts(),
        ];
    }

    /** @return array<string, mixed> */
    private function sowing(SuccessionSowing $sowing): array
    {
        $yield = $this->asked->crop->yieldPerMetre();
        $metres =
            $this->amount === null || $yield === null || $yield[0] <= 0.0 ? null : SupplyLine::metres($sowing, $this->amount, $yield[0]);
        $seed = $metres === null ? null : SeedNeed::ofRows($this->asked->crop, $metres, 1);

        return [
            'on' => $sowing->on->iso(),
            'after' => $sowing->after,
            'first' => $sowing->first,
            'last' => $sowing->last,
            'metres' => $metres === null ? null : round($metres, 1),
            'seeds' => $seed?->seeds === null ? null : (int) ceil($seed->seeds),
            'grams' => $seed?->grams === null ? null : round($seed->grams, 1),
        ];
    }

    /**
     * @param  list<SuccessionSowing>  $sowings
     * @return array<string, mixed>|null null if no member of this season goes that far
     */
    private function thisSeason(array $sowings): ?array
    {
        if ($this->season === null || $sowings === []) {
            return null;
        }
        $ahead = $this->season->today->yearDay()->daysUntil($this->asked->day);
        $from = $this->season->today->plus($ahead > self::AHEAD ? $ahead - YearDay::YEAR : $ahead);
        $supply = SupplyLine::ofSeason($this->season, $this->asked->crop, $this->asked->route, $from, $sowings);

        return $supply->years === 0 ? null : ['from' => $from->iso(), 'members' => $supply->years, ...self::lines($supply)];
    }

    /** @return array{low: list<float>, middle: list<float>, high: list<float>} */
    private static function lines(SupplyLine $supply): array
    {
        $rounded = static fn (array $line): array => array_map(static fn (float $n): float => round($n, 1), $line);

        return ['low' => $rounded($supply->low), 'middle' => $rounded($supply->middle), 'high' => $rounded($supply->high)];
    }
}
