<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use Anthesis\Crop\Crop;
use Anthesis\Crop\Emergence;
use Anthesis\Crop\MaturityBasis;
use Anthesis\Crop\Route;
use Anthesis\Crop\SeedlingWeeks;

/** Reads one crop from the short JSON the command line takes with --crop-file; docs/cli.md lists the keys. */
final class CropParameters
{
    /** key => [least, most]; all needed */
    private const NUMBERS = ['seedling_days' => [0, 365], 'indoor' => [0, 40], 'check' => [0, 100], 'young' => [0, 1], 'max_emerge' => [1, 400],
        'heat_days' => [1, 365], 'heat_from' => [0, 1], 'base' => [-5, 30], 'opt1' => [0, 45], 'opt2' => [0, 50], 'ceil' => [10, 60],
        'ref' => [0, 40], 'dtm' => [1, 400], 'kill_young' => [-60, 15], 'kill' => [-60, 15], 'heat' => [15, 60], 'harvest_days' => [1, 365], 'min_harvest' => [0, 365]];

    /** key => [least, most]; null or 0 where the crop has none */
    private const OPTIONAL = ['critical' => [0, 24], 'juvenile' => [0, 365], 'chill' => [0, 365], 'bolt' => [0, 365]];

    /** @throws FormatError naming the key */
    public static function fromJson(string $json): Crop
    {
        $keys = json_decode($json, true);
        if (! is_array($keys)) {
            throw FormatError::inFile('This is not JSON. A crop is an object of parameters, such as {"dtm": 44, "basis": "sowing", …}.');
        }
        // A whole worked case holds the parameters under a key of their own.
        $keys = is_array($keys['parameters'] ?? null) ? $keys['parameters'] : $keys;
        $n = self::numbers($keys);
        $optional = array_map(static fn (array $range, string $key): ?float => self::number($keys, $key, $range) ?: null, self::OPTIONAL, array_keys(self::OPTIONAL));
        [$critical, $juvenile, $chill, $bolt] = $optional;
        if (! ($n['base'] < $n['opt1'] && $n['opt1'] <= $n['opt2'] && $n['opt2'] < $n['ceil'])) {
            throw FormatError::inFile('Growth temperatures must rise: base, opt1, opt2, ceil.');
        }
        $emergence = self::emergence($keys, (int) $n['max_emerge']);
        foreach (['ref' => $n['ref'] + 2, 'indoor' => $n['seedling_days'] > 0 ? $n['indoor'] : null] as $key => $celsius) {
            if ($celsius !== null && $emergence->daysAt($celsius) === null) {
                throw FormatError::inFile("The crop does not emerge at {$celsius} °C by its own table; change “emerge” or “{$key}”.");
            }
        }

        return new Crop(
            slug: 'crop',
            name: 'Crop',
            latin: '',
            family: '',
            kind: 'cool',
            start: 'seed',
            routes: [Route::Direct, Route::Transplant],
            emergence: $emergence,
            maturityDays: $n['dtm'],
            maturityBasis: self::basis($keys['basis'] ?? null),
            seedling: $n['seedling_days'] > 0 ? new SeedlingWeeks($n['seedling_days'] / 7, $n['seedling_days'] / 7, $n['seedling_days'] / 7) : null,
            indoorC: $n['indoor'],
            transplantCheckDays: $n['check'],
            baseC: $n['base'],
            optLowC: $n['opt1'],
            optHighC: $n['opt2'],
            ceilingC: $n['ceil'],
            refC: $n['ref'],
            killYoungC: $n['kill_young'],
            killC: $n['kill'],
            youngShare: $n['young'],
            heatC: $n['heat'],
            heatDays: (int) $n['heat_days'],
            heatFrom: $n['heat_from'],
            harvestDays: (int) $n['harvest_days'],
            minHarvestDays: (int) $n['min_harvest'],
            soilMinSowC: null,
            soilMinSetOutC: null,
            springSowWeeks: null,
            springSetOutWeeks: null,
            successionDays: null,
            criticalDayHours: $critical,
            juvenileDays: $juvenile,
            chillDays: $chill === null ? null : (int) $chill,
            boltChillDays: $bolt === null ? null : (int) $bolt,
            depthCm: 1,
            spacingCm: 1,
            rowCm: 1,
            perSquareFoot: 1,
            yieldKgPerM: null,
            feeder: 'light',
            followWith: null,
            cautions: [],
            notes: null,
        );
    }

    /**
     * @param  array<mixed>  $keys
     * @return array<string, float>
     */
    private static function numbers(array $keys): array
    {
        $numbers = [];
        foreach (self::NUMBERS as $key => $range) {
            $numbers[$key] = self::number($keys, $key, $range) ?? throw FormatError::inFile("The crop lacks the parameter “{$key}”.");
        }

        return $numbers;
    }

    /**
     * @param  array<mixed>  $keys
     * @param  array{int, int}  $range
     */
    private static function number(array $keys, string $key, array $range): ?float
    {
        $value = $keys[$key] ?? null;
        if ($value === null) {
            return null;
        }
        if (! is_int($value) && ! is_float($value) || $value < $range[0] || $value > $range[1]) {
            throw FormatError::inFile("“{$key}” is a number from {$range[0]} to {$range[1]}; ".json_encode($value).' is not.');
        }

        return (float) $value;
    }

    private static function basis(mixed $basis): MaturityBasis
    {
        return (is_string($basis) ? MaturityBasis::tryFrom($basis) : null)
            ?? throw FormatError::inFile('“basis” is one of: '.implode(', ', array_column(MaturityBasis::cases(), 'value')).'.');
    }

    /** @param  array<mixed>  $keys */
    private static function emergence(array $keys, int $maxDays): Emergence
    {
        $table = $keys['emerge'] ?? null;
        if (! is_array($table) || count($table) !== Emergence::COLUMNS) {
            throw FormatError::inFile('“emerge” is a list of nine numbers or nulls: days to emergence at 0, 5 … 40 °C.');
        }
        $days = [];
        foreach ($table as $value) {
            if ($value !== null && (! is_int($value) && ! is_float($value) || $value < 0.5 || $value > 400)) {
                throw FormatError::inFile('“emerge” holds '.json_encode($value).'; days to emergence lie between 0.5 and 400, null where it does not emerge.');
            }
            $days[] = $value === null ? null : (float) $value;
        }

        return new Emergence($days, $maxDays);
    }
}
