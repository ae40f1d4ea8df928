<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Climate\RecordTooShort;
use Anthesis\Climate\RecordYears;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropColumn;
use Anthesis\Crop\CropRefused;
use Anthesis\Crop\CropSchema;
use Anthesis\Crop\NumberBasis;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Window\School\FromReplay;
use Anthesis\Words\Phrase;

/**
 * What moves a crop's windows most: each of its numbers, and the site's, made smaller and larger by as much as it may well be wrong, and
 * the record limited to its latest years or led by another station. It tells you what to measure next.
 *
 * A plain document, ready for JSON: `label` of a crop's number in words, null for its emergence in all soils, for the site, and for the
 * record, which have names of their own; `basis` of a crop's number, null for others; `by`: the amount, in `unit` (`celsius`, `share` of
 * the number itself, `rate`, `years`, or `station`, which is named); `less` and `more`: sow days on which a window then opens or closes.
 * What moves nothing is left out.
 *
 * @phpstan-import-type Words from Phrase
 *
 * @phpstan-type Mover array{of: string, name: string, label: Words|null, basis: string|null, by: float, unit: string, less: int, more: int|null}
 */
final class Sensitivity
{
    /** By how much a number may well be wrong, by its basis: a temperature in °C, anything else as a share of itself. */
    private const DEGREES = ['measured' => 0.5, 'packet' => 1.0, 'table' => 1.0, 'judgment' => 2.0];

    private const SHARES = ['measured' => 0.05, 'packet' => 0.1, 'table' => 0.15, 'judgment' => 0.25];

    /** Groups of the crop table whose numbers move no window. */
    private const ASIDE = ['identity', 'spacing', 'water', 'seed', 'cut'];

    /** The same for a site, in °C or, for its rate, as a share. */
    private const SITE = ['air' => 0.5, 'sun' => 0.5, 'rate' => 0.1, 'protection' => 0.5];

    /** Latest years to which the record is limited. */
    private const YEARS = [15, 10];

    private const EMERGENCE = '/^em_\d+$/';

    /**
     * @param  Place  $place  at the site it is grown at
     * @param  array<string, string>  $cells  of the crop, by column
     * @param  float|null  $measuredDays  local days to maturity, instead of the cell's; null: none
     * @param  callable(CropColumn): NumberBasis  $basis  basis of a number
     * @param  array<string, DailyRecord>  $others  the record as it would be with another station first, by that station's name
     * @return list<Mover> what moves most, first
     */
    public static function of(
        Place $place,
        array $cells,
        ?float $measuredDays,
        callable $basis,
        Route $route,
        float $share,
        array $others = [],
    ): array {
        $cells = CropSchema::complete($cells);
        $here = FromReplay::ofPlace($place);
        $crop = self::grown($cells, $cells, $measuredDays);
        $open = self::open($here, $crop, $route, $share);
        $movers = [];
        foreach (self::numbers($cells, $measuredDays, $basis) as [$column, $names, $own]) {
            $isDegrees = $column->unit === 'celsius';
            $by = ($isDegrees ? self::DEGREES : self::SHARES)[$own->value];
            $moved = [-1 => 0, 1 => 0];
            foreach ([-1, 1] as $sign) {
                $changed = $cells;
                foreach ($names as $name) {
                    $number = $name === 'maturity_days' && $measuredDays !== null ? $measuredDays : (float) $cells[$name];
                    $changed[$name] = self::cell($column, $isDegrees ? $number + $sign * $by : $number * (1 + $sign * $by));
                }
                $moved[$sign] = self::movedBy(
                    $here,
                    static fn (): Crop => self::grown($changed, $cells, $measuredDays),
                    $route,
                    $share,
                    $open,
                );
            }
            $movers[] = [
                'of' => 'crop',
                'name' => count($names) > 1 ? 'emergence' : $column->name,
                'label' => count($names) > 1 ? null : $column->label()->toArray(),
                'basis' => $own->value,
                'by' => $by,
                'unit' => $isDegrees ? 'celsius' : 'share',
                'less' => $moved[-1],
                'more' => $moved[1],
            ];
        }

        return self::ranked([
            ...$movers,
            ...self::ofSite($place, $crop, $route, $share, $open),
            ...self::ofRecord($place, $crop, $route, $share, $open),
            ...self::ofStations($place, $others, $crop, $route, $share, $open),
        ]);
    }

    /**
     * @param  array<string, string>  $cells
     * @param  array<string, string>  $own  as they are in the book
     */
    private static function grown(array $cells, array $own, ?float $measuredDays): Crop
    {
        $crop = CropSchema::crop($cells);

        return $measuredDays === null || $cells['maturity_days'] !== $own['maturity_days'] ? $crop : $crop->maturingIn($measuredDays);
    }

    /** @param  Mover  $mover */
    private static function most(array $mover): int
    {
        return max($mover['less'], $mover['more'] ?? 0);
    }

    /**
     * @param  list<Mover>  $movers
     * @return list<Mover> those that move something, most first
     */
    private static function ranked(array $movers): array
    {
        $moving = array_filter($movers, static fn (array $mover): bool => self::most($mover) > 0);
        usort(
            $moving,
            static fn (array $a, array $b): int => [self::most($b), $a['name'], $a['by']] <=> [self::most($a), $b['name'], $b['by']],
        );

        return $moving;
    }

    /**
     * @param  array<string, string>  $cells
     * @param  callable(CropColumn): NumberBasis  $basis
     * @return list<array{CropColumn, non-empty-list<string>, NumberBasis}> columns that hold a number, with emergence by soil as one
     */
    private static function numbers(array $cells, ?float $measuredDays, callable $basis): array
    {
        $numbers = $emergence = [];
        $first = null;
        foreach (CropSchema::columns() as $column) {
            $isNumber = in_array($column->type, [CropColumn::NUMBER, CropColumn::COUNT], true);
            if (! $isNumber || in_array($column->group, self::ASIDE, true) || ! is_numeric($cells[$column->name])) {
                continue;
            }
            if (preg_match(self::EMERGENCE, $column->name) === 1) {
                $first ??= $column;
                $emergence[] = $column->name;

                continue;
            }
            $isMeasured = $column->name === 'maturity_days' && $measuredDays !== null;
            $numbers[] = [$column, [$column->name], $isMeasured ? NumberBasis::Measured : $basis($column)];
        }

        return $first === null || $emergence === [] ? $numbers : [[$first, $emergence, $basis($first)], ...$numbers];
    }

    private static function cell(CropColumn $column, float $number): string
    {
        $number = max($column->least, min($column->most, $number));

        return $column->type === CropColumn::COUNT ? (string) (int) round($number) : (string) round($number, 4);
    }

    /**
     * @param  list<bool>  $open
     * @return list<Mover>
     */
    private static function ofSite(Place $place, Crop $crop, Route $route, float $share, array $open): array
    {
        $movers = [];
        $site = $place->site();
        foreach (self::SITE as $name => $by) {
            $moved = [];
            foreach ([-1, 1] as $sign) {
                $there = FromReplay::ofPlace($place->at(self::moved($site, $name, $sign * $by)));
                $moved[] = self::difference($open, self::open($there, $crop, $route, $share));
            }
            $movers[] = [
                'of' => 'site',
                'name' => $name,
                'label' => null,
                'basis' => null,
                'by' => $by,
                'unit' => $name === 'rate' ? 'rate' : 'celsius',
                'less' => $moved[0],
                'more' => $moved[1],
            ];
        }

        return $movers;
    }

    private static function moved(Site $site, string $name, float $by): Site
    {
        return new Site(
            $site->name,
            $site->air + ($name === 'air' ? $by : 0.0),
            $site->sun + ($name === 'sun' ? $by : 0.0),
            $site->rate + ($name === 'rate' ? $by : 0.0),
            $site->protection + ($name === 'protection' ? $by : 0.0),
            $site->depth,
            $site->diffusivity,
            $site->offset,
            $site->ground,
        );
    }

    /**
     * @param  list<bool>  $open
     * @return list<Mover> for each number of latest years smaller than the whole
     */
    private static function ofRecord(Place $place, Crop $crop, Route $route, float $share, array $open): array
    {
        $movers = [];
        foreach (self::YEARS as $years) {
            try {
                $record = RecordYears::latest($place->years->days(), $place->latitude, $years);
            } catch (RecordTooShort) {
                continue;
            }
            if ($record->days() === $place->years->days()->days()) {
                continue;
            }
            $movers[] = [
                'of' => 'record',
                'name' => "latest-{$years}",
                'label' => null,
                'basis' => null,
                'by' => (float) $years,
                'unit' => 'years',
                'less' => self::difference($open, self::open(FromReplay::ofPlace($place->overYears($record)), $crop, $route, $share)),
                'more' => null,
            ];
        }

        return $movers;
    }

    /**
     * @param  array<string, DailyRecord>  $others
     * @param  list<bool>  $open
     * @return list<Mover>
     */
    private static function ofStations(Place $place, array $others, Crop $crop, Route $route, float $share, array $open): array
    {
        $movers = [];
        foreach ($others as $station => $record) {
            $movers[] = [
                'of' => 'record',
                'name' => (string) $station,
                'label' => null,
                'basis' => null,
                'by' => 1.0,
                'unit' => 'station',
                'less' => self::difference($open, self::open(FromReplay::ofPlace($place->overYears($record)), $crop, $route, $share)),
                'more' => null,
            ];
        }

        return $movers;
    }

    /**
     * @param  callable(): Crop  $changed
     * @param  list<bool>  $open
     * @return int sow days on which a window opens or closes; 0 if there can be no such crop
     */
    private static function movedBy(FromReplay $replay, callable $changed, Route $route, float $share, array $open): int
    {
        try {
            return self::difference($open, self::open($replay, $changed(), $route, $share));
        } catch (CropRefused) {
            return 0;
        }
    }

    /** @return list<bool> length 365, whether a window is open on sow day i+1 */
    private static function open(FromReplay $replay, Crop $crop, Route $route, float $share): array
    {
        $open = array_fill(0, YearDay::YEAR, false);
        foreach ($replay->of($crop, $route)->printed($share) as $window) {
            for ($i = 0; $i < $window->days; $i++) {
                $open[$window->first->plus($i)->number - 1] = true;
            }
        }

        return array_values($open);
    }

    /**
     * @param  list<bool>  $one
     * @param  list<bool>  $other
     */
    private static function difference(array $one, array $other): int
    {
        return count(array_filter(array_map(static fn (bool $a, bool $b): bool => $a !== $b, $one, $other)));
    }
}
