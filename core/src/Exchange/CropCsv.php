<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use Anthesis\Crop\Caution;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropTable;
use Anthesis\Crop\Emergence;
use Anthesis\Crop\MaturityBasis;
use Anthesis\Crop\Route;
use Anthesis\Crop\SeedlingWeeks;

/** Reads a crop table; docs/crop-table.md describes its columns. */
final class CropCsv
{
    public const COLUMNS = ['slug', 'name', 'latin', 'family', 'kind', 'start', 'routes', 'em_0', 'em_5', 'em_10', 'em_15',
        'em_20', 'em_25', 'em_30', 'em_35', 'em_40', 'max_emerge_days', 'maturity_days', 'maturity_basis',
        'seedling_weeks_min', 'seedling_weeks', 'seedling_weeks_max', 'indoor_c', 'transplant_check_days', 'base_c',
        'opt_low_c', 'opt_high_c', 'ceiling_c', 'ref_c', 'kill_young_c', 'kill_c', 'young_share', 'heat_c', 'heat_days',
        'heat_from', 'harvest_days', 'min_harvest_days', 'soil_min_sow_c', 'soil_min_setout_c', 'spring_sow_weeks',
        'spring_setout_weeks', 'succession_days', 'critical_day_hours', 'juvenile_days', 'chill_days', 'bolt_chill_days',
        'depth_cm', 'spacing_cm', 'row_cm', 'per_square_foot', 'yield_kg_per_m', 'feeder', 'follow_with', 'cautions', 'notes'];

    /** @var array<string, array<string, string>> cells by crop and column, as last read */
    private array $cells = [];

    /**
     * The rows of a table as text, each checked.
     *
     * @param  resource  $stream
     * @return array<string, array<string, string>> cells by slug and column
     *
     * @throws FormatError when a column is missing or a cell cannot be taken
     */
    public static function rows($stream): array
    {
        $csv = new self;
        $csv->read($stream);

        return $csv->cells;
    }

    /**
     * @param  iterable<array<string, string>>  $rows  cells by column
     * @return string the table as CSV
     */
    public static function write(iterable $rows): string
    {
        $table = [self::COLUMNS];
        foreach ($rows as $cells) {
            $table[] = array_map(static fn (string $column): string => $cells[$column], self::COLUMNS);
        }

        return CsvText::of($table, "\n");
    }

    /** @return array<string, array<string, string>> the rows of the table the application ships with */
    public static function standardRows(): array
    {
        $stream = fopen(dirname(__DIR__, 2).'/data/crops.csv', 'r') ?: throw FormatError::inFile('The crop table of the application is missing.');
        try {
            return self::rows($stream);
        } finally {
            fclose($stream);
        }
    }

    /** The table the application ships with. */
    public static function standard(): CropTable
    {
        return self::fromFile(dirname(__DIR__, 2).'/data/crops.csv');
    }

    /** @throws FormatError when the file cannot be read or a cell cannot be taken */
    public static function fromFile(string $path): CropTable
    {
        $stream = is_file($path) || $path === 'php://stdin' ? fopen($path, 'r') : false;
        if ($stream === false) {
            throw FormatError::inFile("There is no file “{$path}” to read a crop table from.");
        }
        try {
            return (new self)->read($stream);
        } finally {
            fclose($stream);
        }
    }

    /**
     * @param  resource  $stream
     *
     * @throws FormatError when a column is missing or a cell cannot be taken
     */
    public function read($stream): CropTable
    {
        $heading = fgetcsv($stream, null, ',', '"', '');
        if ($heading === false || $heading === [null]) {
            throw FormatError::inFile('The crop table is empty. Its first row must name the columns.');
        }
        $heading[0] = (string) preg_replace('/^\xEF\xBB\xBF/', '', (string) $heading[0]);
        $names = array_map(static fn (?string $n): string => trim((string) $n), $heading);
        $missing = array_values(array_diff(self::COLUMNS, $names));
        if ($missing !== []) {
            $list = implode('”, “', $missing);
            throw FormatError::at(1, (count($missing) === 1 ? 'the crop table lacks the column' : 'the crop table lacks the columns')." “{$list}”. Add what is missing; a column may be left blank, not left out.");
        }
        $crops = [];
        $line = 1;
        $lineOf = [];
        while (($cells = fgetcsv($stream, null, ',', '"', '')) !== false) {
            $line++;
            if ($cells === [null]) {
                continue;
            }
            if (count($cells) !== count($names)) {
                throw FormatError::at($line, 'there are '.count($cells).' cells and '.count($names).' columns. Check the commas and quotes of this row.');
            }
            $row = array_combine($names, array_map(static fn (?string $c): string => CsvText::bare(trim((string) $c)), $cells));
            $crop = self::crop($row, $line);
            $this->cells[$crop->slug] = array_intersect_key($row, array_flip(self::COLUMNS));
            if (isset($lineOf[$crop->slug])) {
                throw FormatError::at($line, "“{$crop->slug}” already stands on line {$lineOf[$crop->slug]}. Give each crop a slug of its own.", 'slug');
            }
            $lineOf[$crop->slug] = $line;
            $crops[] = $crop;
        }
        if ($crops === []) {
            throw FormatError::inFile('The crop table has a heading and no crops.');
        }

        return new CropTable($crops);
    }

    /**
     * One crop from the cells of its row.
     *
     * @param  array<string, string>  $cells  by column, all of COLUMNS
     *
     * @throws FormatError naming the column
     */
    public static function crop(array $cells, int $line = 1): Crop
    {
        $row = new CropRow($line, $cells);
        $emergence = [];
        for ($celsius = 0; $celsius <= 40; $celsius += Emergence::STEP) {
            $emergence[] = $row->optional("em_{$celsius}", 0.5, 400);
        }
        $weeks = $row->optional('seedling_weeks', 1, 30);
        $crop = new Crop(
            slug: $row->matching('slug', '/^[a-z0-9]+(-[a-z0-9]+)*$/', 'lower-case letters, digits and hyphens'),
            name: $row->text('name'),
            latin: $row->text('latin'),
            family: $row->text('family'),
            kind: $row->oneOf('kind', ['cool', 'warm']),
            start: $row->oneOf('start', ['seed', 'clove', 'tuber', 'set', 'slip']),
            routes: match ($row->oneOf('routes', ['direct', 'transplant', 'both'])) {
                'direct' => [Route::Direct],
                'transplant' => [Route::Transplant],
                default => [Route::Direct, Route::Transplant],
            },
            emergence: new Emergence($emergence, (int) $row->number('max_emerge_days', 1, 400)),
            maturityDays: $row->number('maturity_days', 1, 400),
            maturityBasis: MaturityBasis::from($row->oneOf('maturity_basis', ['sowing', 'emergence', 'transplant'])),
            seedling: $weeks === null ? null : new SeedlingWeeks(
                $row->optional('seedling_weeks_min', 1, 30) ?? $weeks,
                $weeks,
                $row->optional('seedling_weeks_max', 1, 30) ?? $weeks,
            ),
            indoorC: $row->number('indoor_c', 0, 40),
            transplantCheckDays: $row->number('transplant_check_days', 0, 100),
            baseC: $row->number('base_c', -5, 30),
            optLowC: $row->number('opt_low_c', 0, 45),
            optHighC: $row->number('opt_high_c', 0, 50),
            ceilingC: $row->number('ceiling_c', 10, 60),
            refC: $row->number('ref_c', 0, 40),
            killYoungC: $row->number('kill_young_c', -60, 15),
            killC: $row->number('kill_c', -60, 15),
            youngShare: $row->number('young_share', 0, 1),
            heatC: $row->number('heat_c', 15, 60),
            heatDays: (int) $row->number('heat_days', 1, 365),
            heatFrom: $row->number('heat_from', 0, 1),
            harvestDays: (int) $row->number('harvest_days', 1, 365),
            minHarvestDays: (int) $row->number('min_harvest_days', 1, 365),
            soilMinSowC: $row->optional('soil_min_sow_c', 0, 40),
            soilMinSetOutC: $row->optional('soil_min_setout_c', 0, 40),
            springSowWeeks: $row->optional('spring_sow_weeks', -26, 26),
            springSetOutWeeks: $row->optional('spring_setout_weeks', -26, 26),
            successionDays: $row->optionalDays('succession_days'),
            criticalDayHours: $row->optional('critical_day_hours', 8, 24),
            juvenileDays: $row->optional('juvenile_days', 1, 365),
            chillDays: $row->optionalDays('chill_days', 0),
            boltChillDays: $row->optionalDays('bolt_chill_days'),
            depthCm: $row->number('depth_cm', 0, 50),
            spacingCm: $row->number('spacing_cm', 1, 1000),
            rowCm: $row->number('row_cm', 1, 1000),
            perSquareFoot: $row->number('per_square_foot', 0, 100),
            yieldKgPerM: $row->optional('yield_kg_per_m', 0, 100),
            feeder: $row->oneOf('feeder', ['light', 'medium', 'heavy', 'fixes']),
            followWith: $row->cell('follow_with') === '' ? null : $row->cell('follow_with'),
            cautions: self::cautions($row),
            notes: $row->cell('notes') === '' ? null : $row->cell('notes'),
        );
        self::checkSense($row, $crop);

        return $crop;
    }

    private static function checkSense(CropRow $row, Crop $crop): void
    {
        if (! ($crop->baseC < $crop->optLowC && $crop->optLowC <= $crop->optHighC && $crop->optHighC < $crop->ceilingC)) {
            throw $row->refuse('opt_low_c', 'growth temperatures must rise: base, lower optimum, upper optimum, ceiling');
        }
        if ($crop->emergence->daysAt($crop->refC + 2) === null) {
            throw $row->refuse('ref_c', "the crop does not emerge at {$crop->refC} + 2 °C by its own table; fill em_ columns around it");
        }
        if (in_array(Route::Transplant, $crop->routes, true) && $crop->seedling === null) {
            throw $row->refuse('seedling_weeks', 'a crop that is set out needs its weeks under cover');
        }
        if ($crop->seedling !== null && $crop->emergence->daysAt($crop->indoorC) === null) {
            throw $row->refuse('indoor_c', "the crop does not emerge at {$crop->indoorC} °C by its own table");
        }
    }

    /** @return list<Caution> */
    private static function cautions(CropRow $row): array
    {
        $cautions = [];
        foreach (array_filter(explode('|', $row->cell('cautions'))) as $code) {
            $cautions[] = Caution::tryFrom($code) ?? throw $row->refuse('cautions',
                "“{$code}” is not a caution known here; use: ".implode(', ', array_column(Caution::cases(), 'value')));
        }

        return $cautions;
    }
}
