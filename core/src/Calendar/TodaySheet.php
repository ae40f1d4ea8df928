<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\FreezeThreshold;
use Anthesis\Climate\Quantile;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Variety;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\Tolerance;
use Anthesis\Replay\Outcome;
use Anthesis\Season\AdvisoryGround;
use Anthesis\Season\FreezeToCome;
use Anthesis\Season\HoldOrGo;
use Anthesis\Season\NightWork;
use Anthesis\Season\Outside;
use Anthesis\Season\Pile;
use Anthesis\Season\ProspectsSource;
use Anthesis\Season\SeasonPosition;
use Anthesis\Season\SoilReady;
use Anthesis\Season\SortedActs;
use Anthesis\Season\ThisSeason;
use Anthesis\Season\WaterAdvisory;
use Anthesis\Soil\Site;
use Anthesis\Soil\SoilDate;
use Anthesis\Soil\SoilTemperature;
use Anthesis\Window\School\FromReplay;
use Anthesis\Words\Phrase;

/**
 * What can be done on a day, in this season as it is or, for another date, by the record alone: soil, freezes still ahead, and every task
 * in its group.
 *
 * A plain document, ready for JSON. Lists by day start with the day itself, except for the soil, which starts BACK days before it.
 *
 * @phpstan-import-type Span from CropSheet
 *
 * @phpstan-type Ready array{celsius: float, now: bool, dates: list<string|null>}
 * @phpstan-type Soil array{line: list<float|null>, usual: list<float>, low: list<float>, middle: list<float>, high: list<float>, ready: list<Ready>}
 * @phpstan-type Freezes array{side: string, of: int, thresholds: list<array{threshold: string, celsius: float, members: list<int>}>}
 * @phpstan-type Position array{degree_days: float, days_ahead: int|null, soil: float|null, soil_above: float|null}
 * @phpstan-type VarietyFit array{name: string, days: float, tags: list<string>, harvests: int, of: int, fits: bool}
 * @phpstan-type SeasonAct array{crop: string, name: string, kind: string, route: string, act: string, pile: string, set_out_after: int, until: string|null, reason: string|null, slack: int|null, harvests: int, of: int,
 *     first: list<string>|null, first_a_week_on: string|null, harvests_then: int|null, margin: int, frost_tolerant: bool, soil_min: float|null, next: Span|null, ribbon: array<string, list<int>>, totals: list<int>, open: list<bool>, varieties: list<VarietyFit>}
 * @phpstan-type Nights array{expected: list<array{date: string, members: int, of: int, celsius: float}>, tender: list<array{crop: string, name: string, stage: string, kills: float, cover: string|null}>}
 * @phpstan-type Ground array{key: string, says: array<string, mixed>, evidence: list<array<string, mixed>>, until: string}
 * @phpstan-type Sheet array{on: string, by: string, standard: float, members: list<int>, position: Position|null, soil: Soil|null, freezes: Freezes|null, nights: Nights|null, grounds: list<Ground>, acts: list<SeasonAct>}
 */
final class TodaySheet
{
    /** Days before the day that are shown. */
    public const BACK = 21;

    /** Days from the day on that are shown. */
    public const AHEAD = SortedActs::SHOWN;

    /** Soil temperatures growers wait for, °C. */
    private const SOIL = [5.0, 7.0, 10.0, 15.0, 18.0];

    /** A young plant that survives this survives light freezes, °C. */
    private const TOLERANT = -2.2;

    /**
     * From this season, for today.
     *
     * @param  DailyRecord  $record  after quality control, up to the day before today
     * @param  list<Crop>  $crops
     * @param  array<string, list<Variety>>  $varieties  by crop
     * @param  list<Site>  $covers  what there is to protect plants for a night
     * @return Sheet
     */
    public static function ofSeason(
        ThisSeason $season,
        DailyRecord $record,
        FromReplay $replay,
        array $crops,
        array $varieties,
        array $covers,
        float $standard,
    ): array {
        $on = $season->today;
        $soil = SoilTemperature::of($record, $season->latitude, $season->site);
        $position = SeasonPosition::of($record, $soil->dailyMean, $season->latitude);
        $ready = $season->members === [] ? [] : self::ready($season);
        $outside = Outside::on($on, $crops, $replay, $standard);
        $nights = NightWork::of($season, $outside, $covers);
        $grounds = [
            ...AdvisoryGround::of(
                $season,
                $ready,
                SoilDate::all($soil, $season->latitude, array_slice(self::SOIL, 0, count($ready))),
                self::sinceMidwinter($soil, $season),
                $nights,
                $outside,
            ),
            ...WaterAdvisory::of($record, $season->latitude),
        ];

        return [
            'on' => $on->iso(),
            'by' => 'season',
            'standard' => $standard,
            'members' => array_map(static fn ($member): int => $member->year, $season->members),
            'position' => [
                'degree_days' => round($position->degreeDays, 1),
                'days_ahead' => $position->daysAhead,
                'soil' => self::rounded($position->soil),
                'soil_above' => self::rounded($position->soilAbove),
            ],
            'soil' => $season->members === [] ? null : self::soil($season, $soil, $ready),
            'freezes' => $season->members === [] ? null : self::freezes($season),
            'nights' => $season->members === [] ? null : self::nights($nights),
            'grounds' => array_map(
                static fn (AdvisoryGround $g): array => [
                    'key' => $g->key,
                    'says' => $g->says->toArray(),
                    'evidence' => array_map(static fn (Phrase $e): array => $e->toArray(), $g->evidence),
                    'until' => $g->until->iso(),
                ],
                $grounds,
            ),
            'acts' => self::acts($season, $replay, $crops, $varieties, $on, $standard),
        ];
    }

    /**
     * From the record alone, for any date.
     *
     * @param  list<Crop>  $crops
     * @param  array<string, list<Variety>>  $varieties  by crop
     * @param  list<int>  $years  on record
     * @return Sheet
     */
    public static function ofRecord(
        ProspectsSource $source,
        FromReplay $replay,
        array $crops,
        array $varieties,
        Day $on,
        float $standard,
        array $years,
    ): array {
        return [
            'on' => $on->iso(),
            'by' => 'record',
            'standard' => $standard,
            'members' => $years,
            'position' => null,
            'soil' => null,
            'freezes' => null,
            'nights' => null,
            'grounds' => [],
            'acts' => self::acts($source, $replay, $crops, $varieties, $on, $standard),
        ];
    }

    /** @return list<SoilReady> at each temperature of SOIL */
    private static function ready(ThisSeason $season): array
    {
        $soil = $season->soil($season->today->plus(-SoilReady::DAYS_RUNNING), SoilReady::DAYS_RUNNING + ThisSeason::AHEAD);

        return array_map(static fn (float $celsius): SoilReady => SoilReady::at($celsius, $soil, $season->today), self::SOIL);
    }

    /** @return list<float|null> soil on the season's days so far, °C */
    private static function sinceMidwinter(SoilTemperature $soil, ThisSeason $season): array
    {
        return array_slice($soil->dailyMean, -1 - $season->latitude->yearStart()->daysUntil($season->today->plus(-1)->yearDay()));
    }

    /** @return Nights */
    private static function nights(NightWork $work): array
    {
        return [
            'expected' => array_map(
                static fn (array $n): array => [
                    'date' => $n['day']->iso(),
                    'members' => $n['members'],
                    'of' => $n['of'],
                    'celsius' => round($n['celsius'], 1),
                ],
                $work->nights,
            ),
            'tender' => array_map(
                static fn (array $t): array => [
                    'crop' => $t['out']->crop->slug,
                    'name' => $t['out']->crop->name,
                    'stage' => $t['out']->stage->value,
                    'kills' => $t['out']->killC(),
                    'cover' => $t['cover']?->name,
                ],
                $work->tender,
            ),
        ];
    }

    /**
     * @param  list<SoilReady>  $ready
     * @return Soil
     */
    private static function soil(ThisSeason $season, SoilTemperature $soil, array $ready): array
    {
        $today = $season->today;
        $line = array_map(static fn (?float $v): ?float => self::rounded($v), array_slice($soil->dailyMean, -self::BACK));
        $normals = $soil->normals()->values;
        $usual = [];
        for ($i = -self::BACK; $i < self::AHEAD; $i++) {
            $usual[] = round($normals[$today->plus($i)->yearDay()->number - 1], 1);
        }
        $fan = [[], [], []];
        $ahead = $season->soil($today, self::AHEAD);
        for ($i = 0; $i < self::AHEAD; $i++) {
            $day = array_column($ahead, $i);
            sort($day);
            foreach ([0.1, 0.5, 0.9] as $n => $p) {
                $fan[$n][] = round((float) Quantile::of($day, $p), 1);
            }
        }
        $ready = array_map(
            static fn (SoilReady $at): array => [
                'celsius' => $at->celsius,
                'now' => $at->now,
                'dates' => array_map(static fn (?Day $d): ?string => $d?->iso(), $at->dates),
            ],
            $ready,
        );

        return ['line' => $line, 'usual' => $usual, 'low' => $fan[0], 'middle' => $fan[1], 'high' => $fan[2], 'ready' => $ready];
    }

    /** @return Freezes still ahead before the summer solstice or, after it, past by each day */
    private static function freezes(ThisSeason $season): array
    {
        $toCome = self::isBeforeMidsummer($season->today, $season->latitude);
        $thresholds = [];
        foreach ([FreezeThreshold::LightFreeze, FreezeThreshold::KillingFreeze] as $threshold) {
            $members = [];
            for ($i = 0; $i < self::AHEAD; $i++) {
                $day = $season->today->plus($i);
                $members[] = match (true) {
                    $toCome => self::isBeforeMidsummer($day, $season->latitude)
                        ? FreezeToCome::before($season->members, $threshold->celsius(), $day, $season->latitude)
                        : 0,
                    default => FreezeToCome::by($season->members, $threshold->celsius(), $day, $season->latitude),
                };
            }
            $thresholds[] = ['threshold' => $threshold->value, 'celsius' => $threshold->celsius(), 'members' => $members];
        }

        return ['side' => $toCome ? 'to-come' : 'has-come', 'of' => count($season->members), 'thresholds' => $thresholds];
    }

    private static function isBeforeMidsummer(Day $day, Latitude $latitude): bool
    {
        return $latitude->yearStart()->daysUntil($day->yearDay()) <= 180;
    }

    /**
     * @param  list<Crop>  $crops
     * @param  array<string, list<Variety>>  $varieties
     * @return list<SeasonAct>
     */
    private static function acts(
        ProspectsSource $source,
        FromReplay $replay,
        array $crops,
        array $varieties,
        Day $on,
        float $standard,
    ): array {
        return array_map(
            static fn (SortedActs $act): array => self::act($act, $source, $replay, $varieties[$act->crop->slug] ?? [], $on, $standard),
            SortedActs::of($crops, $source, $on, $standard),
        );
    }

    /**
     * @param  list<Variety>  $varieties
     * @return SeasonAct
     */
    private static function act(
        SortedActs $act,
        ProspectsSource $source,
        FromReplay $replay,
        array $varieties,
        Day $on,
        float $standard,
    ): array {
        $prospects = $act->prospects;
        [$now, $later] = $act->verdict->waits;
        $wait = $prospects->waits[0] ?? null;
        $until = $act->until();
        $then = $until === null ? null : $prospects->after($until->number - $on->number);

        return [
            'crop' => $act->crop->slug,
            'name' => $act->crop->name,
            'kind' => $act->crop->kind,
            'route' => $act->route->value,
            'act' => $act->act->value,
            'pile' => $act->verdict->pile->value,
            'set_out_after' => $act->setOutAfter,
            'until' => $until?->iso(),
            'reason' => $act->verdict->reason?->value,
            'slack' => $act->verdict->slack,
            'harvests' => $prospects->harvests(),
            'of' => $prospects->count(),
            'first' => $now === null || $wait === null
                    ? null
                    : array_map(static fn (int $days): string => $prospects->from->plus($days)->iso(), $wait),
            'first_a_week_on' => $later === null ? null : $prospects->from->plus($later)->iso(),
            'harvests_then' => $then?->harvests(),
            'margin' => $prospects->harvests() - (int) ceil($standard * $prospects->count() - Tolerance::SUMS),
            'frost_tolerant' => $act->crop->hardiness->killYoungC <= self::TOLERANT,
            'soil_min' => $act->crop->soilMinimum($act->route),
            'next' => $act->verdict->pile === Pile::Over || $act->verdict->pile === Pile::FairChance
                    ? self::next($act, $replay, $on, $standard)
                    : null,
            'ribbon' => self::ribbon($prospects->counts),
            'totals' => array_map(array_sum(...), array_slice($prospects->counts, 0, self::AHEAD)),
            'open' => array_map(
                static fn (float $share): bool => $share >= $standard - Tolerance::SUMS,
                array_slice($prospects->shares, 0, self::AHEAD),
            ),
            'varieties' => array_map(static fn (Variety $v): array => self::variety($v, $act, $source, $standard), $varieties),
        ];
    }

    /**
     * @param  list<array<int, int>>  $counts  by day, and code of Outcome
     * @return array<string, list<int>> by outcome, those that occur
     */
    private static function ribbon(array $counts): array
    {
        $days = array_slice($counts, 0, self::AHEAD);
        $ribbon = [];
        foreach (Outcome::cases() as $outcome) {
            $own = array_map(static fn (array $day): int => $day[$outcome->code()] ?? 0, $days);
            if (array_sum($own) > 0) {
                $ribbon[$outcome->value] = $own;
            }
        }

        return $ribbon;
    }

    /** @return Span|null the window of the record that opens next, as days of the task */
    private static function next(SortedActs $act, FromReplay $replay, Day $on, float $standard): ?array
    {
        $next = null;
        foreach ($replay->of($act->crop, $act->route)->windows($standard) as $window) {
            $own = $window->shifted(-$act->setOutAfter);
            if ($next === null || $on->yearDay()->daysUntil($own->first) < $on->yearDay()->daysUntil($next->first)) {
                $next = $own;
            }
        }

        return $next === null ? null : CropSheet::span($next);
    }

    /** @return VarietyFit */
    private static function variety(Variety $variety, SortedActs $act, ProspectsSource $source, float $standard): array
    {
        $prospects = $source->prospects($variety->crop, $act->route, $act->prospects->from, HoldOrGo::AHEAD + 1);
        $pile = HoldOrGo::of($prospects, $standard)->pile;

        return [
            'name' => $variety->name,
            'days' => $variety->crop->growth->maturityDays,
            'tags' => $variety->tags,
            'harvests' => $prospects->harvests(),
            'of' => $prospects->count(),
            'fits' => in_array($pile, [Pile::LastChance, Pile::Go], true),
        ];
    }

    private static function rounded(?float $value): ?float
    {
        return $value === null ? null : round($value, 1);
    }
}
