<?php

declare(strict_types=1);

namespace Anthesis\Crop;

use Anthesis\Words\Phrase;

/**
 * Every column of the crop table, once. Reading and writing tables, the command line's parameter file, validation, the form, and
 * docs/crop-table.md follow from it.
 */
final class CropSchema
{
    /** Parts of the form, in order. */
    public const GROUPS = ['days', 'emergence', 'warmth', 'cold-and-heat', 'fruit-set', 'starting', 'water', 'spacing', 'identity'];

    private const SLUG = '/^[a-z0-9]+(-[a-z0-9]+)*$/';

    /** @var array<string, CropColumn>|null */
    private static ?array $columns = null;

    /** @return array<string, CropColumn> by name, in the order of the table */
    public static function columns(): array
    {
        return self::$columns ??= array_column(
            [
                ...self::names(),
                ...self::days(),
                ...self::cold(),
                ...self::heatAndHarvest(),
                ...self::conventions(),
                ...self::bolting(),
                ...self::stock(),
                ...self::plot(),
                ...self::seedAndFlowers(),
                ...self::settingFruit(),
                ...self::youth(),
                ...self::water(),
            ],
            null,
            'name',
        );
    }

    /** @return list<CropColumn> what a crop is called, and what is planted */
    private static function names(): array
    {
        return [
            new CropColumn('slug', CropColumn::TEXT, 'identity'),
            new CropColumn('name', CropColumn::TEXT, 'identity'),
            new CropColumn('latin', CropColumn::TEXT, 'identity'),
            new CropColumn('family', CropColumn::TEXT, 'identity'),
            new CropColumn('kind', CropColumn::CHOICE, 'identity', choices: ['cool', 'warm', 'cover']),
            new CropColumn('start', CropColumn::CHOICE, 'identity', choices: ['seed', 'clove', 'tuber', 'set', 'slip']),
            new CropColumn('routes', CropColumn::CHOICE, 'starting', choices: ['direct', 'transplant', 'both']),
        ];
    }

    /** @return list<CropColumn> days to emergence and maturity, raising seedlings, and the temperatures of growth */
    private static function days(): array
    {
        return [
            ...array_map(
                static fn (int $celsius): CropColumn => new CropColumn(
                    "em_{$celsius}",
                    CropColumn::NUMBER,
                    'emergence',
                    'days',
                    0.5,
                    400,
                    optional: true,
                ),
                Emergence::TEMPERATURES,
            ),
            new CropColumn('max_emerge_days', CropColumn::COUNT, 'days', 'days', 1, 400, parameter: 'max_emerge'),
            new CropColumn('maturity_days', CropColumn::NUMBER, 'days', 'days', 1, 400, parameter: 'dtm', byVariety: true),
            new CropColumn(
                'maturity_basis',
                CropColumn::CHOICE,
                'days',
                choices: ['sowing', 'emergence', 'transplant'],
                parameter: 'basis',
                byVariety: true,
            ),
            new CropColumn('seedling_weeks_min', CropColumn::NUMBER, 'starting', 'weeks', 1, 30, optional: true),
            new CropColumn('seedling_weeks', CropColumn::NUMBER, 'starting', 'weeks', 1, 30, optional: true),
            new CropColumn('seedling_weeks_max', CropColumn::NUMBER, 'starting', 'weeks', 1, 30, optional: true),
            new CropColumn('indoor_c', CropColumn::NUMBER, 'starting', 'celsius', 0, 40, parameter: 'indoor'),
            new CropColumn('transplant_check_days', CropColumn::NUMBER, 'starting', 'days', 0, 100, parameter: 'check'),
            new CropColumn('base_c', CropColumn::NUMBER, 'warmth', 'celsius', -5, 30, parameter: 'base'),
            new CropColumn('opt_low_c', CropColumn::NUMBER, 'warmth', 'celsius', 0, 45, parameter: 'opt1'),
            new CropColumn('opt_high_c', CropColumn::NUMBER, 'warmth', 'celsius', 0, 50, parameter: 'opt2'),
            new CropColumn('ceiling_c', CropColumn::NUMBER, 'warmth', 'celsius', 10, 60, parameter: 'ceil'),
            new CropColumn('ref_c', CropColumn::NUMBER, 'warmth', 'celsius', 0, 40, parameter: 'ref'),
        ];
    }

    /** @return list<CropColumn> cold that kills */
    private static function cold(): array
    {
        return [
            new CropColumn(
                'kill_young_c',
                CropColumn::NUMBER,
                'cold-and-heat',
                'celsius',
                -60,
                15,
                parameter: 'kill_young',
                byVariety: true,
            ),
            new CropColumn('kill_c', CropColumn::NUMBER, 'cold-and-heat', 'celsius', -60, 15, parameter: 'kill', byVariety: true),
            new CropColumn('young_share', CropColumn::NUMBER, 'cold-and-heat', 'share', 0, 1, parameter: 'young'),
        ];
    }

    /** @return list<CropColumn> heat that ends a crop, and the length of harvest */
    private static function heatAndHarvest(): array
    {
        return [
            new CropColumn('heat_c', CropColumn::NUMBER, 'cold-and-heat', 'celsius', 15, 60, parameter: 'heat', byVariety: true),
            new CropColumn('heat_days', CropColumn::COUNT, 'cold-and-heat', 'days', 1, 365, parameter: 'heat_days', byVariety: true),
            new CropColumn('heat_from', CropColumn::NUMBER, 'cold-and-heat', 'share', 0, 1, parameter: 'heat_from'),
            new CropColumn('harvest_days', CropColumn::COUNT, 'days', 'days', 1, 365, parameter: 'harvest_days', byVariety: true),
            new CropColumn('min_harvest_days', CropColumn::COUNT, 'days', 'days', 0, 365, parameter: 'min_harvest', byVariety: true),
        ];
    }

    /** @return list<CropColumn> the rules of thumb of counting back, and day length for bulbs */
    private static function conventions(): array
    {
        return [
            new CropColumn('soil_min_sow_c', CropColumn::NUMBER, 'warmth', 'celsius', 0, 40, optional: true),
            new CropColumn('soil_min_setout_c', CropColumn::NUMBER, 'warmth', 'celsius', 0, 40, optional: true),
            new CropColumn('spring_sow_weeks', CropColumn::NUMBER, 'starting', 'weeks', -26, 26, optional: true),
            new CropColumn('spring_setout_weeks', CropColumn::NUMBER, 'starting', 'weeks', -26, 26, optional: true),
            new CropColumn('succession_days', CropColumn::COUNT, 'days', 'days', 1, 365, optional: true),
            new CropColumn(
                'critical_day_hours',
                CropColumn::NUMBER,
                'cold-and-heat',
                'hours',
                8,
                24,
                optional: true,
                parameter: 'critical',
                byVariety: true,
            ),
            new CropColumn('juvenile_days', CropColumn::NUMBER, 'cold-and-heat', 'days', 1, 365, optional: true, parameter: 'juvenile'),
        ];
    }

    /** @return list<CropColumn> winter cold, and bolting */
    private static function bolting(): array
    {
        return [
            new CropColumn('chill_days', CropColumn::COUNT, 'cold-and-heat', 'days', 0, 365, optional: true, parameter: 'chill'),
            new CropColumn(
                'bolt_chill_days',
                CropColumn::COUNT,
                'cold-and-heat',
                'days',
                1,
                365,
                optional: true,
                parameter: 'bolt',
                byVariety: true,
            ),
            CropColumn::added(
                'bolt_day_hours',
                CropColumn::NUMBER,
                'cold-and-heat',
                'hours',
                8,
                24,
                parameter: 'bolt_hours',
                byVariety: true,
            ),
            CropColumn::added(
                'bolt_growth_days',
                CropColumn::NUMBER,
                'cold-and-heat',
                'days',
                1,
                365,
                parameter: 'bolt_growth',
                byVariety: true,
            ),
        ];
    }

    /** @return list<CropColumn> warmth for bulbs, planting stock, and what freezes it */
    private static function stock(): array
    {
        return [
            CropColumn::added('bulb_c', CropColumn::NUMBER, 'cold-and-heat', 'celsius', 0, 30, parameter: 'bulb_c', byVariety: true),
            CropColumn::added('stock_from_days', CropColumn::COUNT, 'starting', 'days', 0, 364),
            CropColumn::added('stock_to_days', CropColumn::COUNT, 'starting', 'days', 0, 364),
            CropColumn::added('hardy_by', CropColumn::CHOICE, 'cold-and-heat', choices: ['air', 'soil'], parameter: 'hardy_by'),
        ];
    }

    /** @return list<CropColumn> spacing, yield, and what gardeners are told */
    private static function plot(): array
    {
        return [
            new CropColumn('depth_cm', CropColumn::NUMBER, 'spacing', 'cm', 0, 50),
            new CropColumn('spacing_cm', CropColumn::NUMBER, 'spacing', 'cm', 1, 1000),
            new CropColumn('row_cm', CropColumn::NUMBER, 'spacing', 'cm', 1, 1000),
            new CropColumn('per_square_foot', CropColumn::NUMBER, 'spacing', 'plants', 0, 100, optional: true),
            new CropColumn('yield_kg_per_m', CropColumn::NUMBER, 'spacing', 'kg', 0, 100, optional: true),
            new CropColumn('feeder', CropColumn::CHOICE, 'identity', choices: ['light', 'medium', 'heavy', 'fixes', 'builds', 'holds']),
            new CropColumn('follow_with', CropColumn::TEXT, 'identity', optional: true),
            new CropColumn('cautions', CropColumn::CAUTIONS, 'identity', optional: true),
            new CropColumn('notes', CropColumn::TEXT, 'identity', optional: true),
            CropColumn::added('also_called', CropColumn::TEXT, 'identity'),
        ];
    }

    /** @return list<CropColumn> seed, height, and cut flowers */
    private static function seedAndFlowers(): array
    {
        return [
            CropColumn::added('seeds_per_station', CropColumn::COUNT, 'spacing', 'seeds', 1, 50),
            CropColumn::added('thinned_to', CropColumn::COUNT, 'spacing', 'plants', 1, 50),
            CropColumn::added('germination', CropColumn::NUMBER, 'spacing', 'part', 0.05, 1),
            CropColumn::added('seeds_per_gram', CropColumn::NUMBER, 'spacing', 'seeds', 0.1, 50000),
            CropColumn::added('height_cm', CropColumn::NUMBER, 'spacing', 'cm', 1, 600),
            CropColumn::added('thirst', CropColumn::CHOICE, 'water', choices: ['low', 'usual', 'high'], parameter: 'thirst'),
            CropColumn::added('stems_per_plant', CropColumn::NUMBER, 'identity', 'stems', 0.1, 500),
            CropColumn::added('flower_habit', CropColumn::CHOICE, 'identity', choices: ['single', 'branching']),
            CropColumn::added('vase_days', CropColumn::COUNT, 'identity', 'days', 1, 60),
            CropColumn::added('cut_at', CropColumn::CHOICE, 'identity', choices: ['bud', 'first-petals', 'third-open', 'open']),
        ];
    }

    /** @return list<CropColumn> fruit set */
    private static function settingFruit(): array
    {
        return [
            CropColumn::added(
                'set_night_low_c',
                CropColumn::NUMBER,
                'fruit-set',
                'celsius',
                -5,
                30,
                parameter: 'set_night_low',
                byVariety: true,
                zeroCounts: true,
            ),
            CropColumn::added(
                'set_night_high_c',
                CropColumn::NUMBER,
                'fruit-set',
                'celsius',
                0,
                40,
                parameter: 'set_night_high',
                byVariety: true,
                zeroCounts: true,
            ),
            CropColumn::added(
                'set_day_high_c',
                CropColumn::NUMBER,
                'fruit-set',
                'celsius',
                10,
                60,
                parameter: 'set_day_high',
                byVariety: true,
                zeroCounts: true,
            ),
            CropColumn::added('set_from', CropColumn::NUMBER, 'fruit-set', 'share', 0, 1, parameter: 'set_from', zeroCounts: true),
        ];
    }

    /** @return list<CropColumn> heat on seedlings, and size before cold */
    private static function youth(): array
    {
        return [
            CropColumn::added(
                'young_heat_c',
                CropColumn::NUMBER,
                'cold-and-heat',
                'celsius',
                15,
                60,
                parameter: 'young_heat',
                byVariety: true,
                zeroCounts: true,
            ),
            CropColumn::added(
                'bolt_from_growth_days',
                CropColumn::NUMBER,
                'cold-and-heat',
                'days',
                0,
                365,
                parameter: 'bolt_from',
                byVariety: true,
            ),
        ];
    }

    /** @return list<CropColumn> water */
    private static function water(): array
    {
        return [
            CropColumn::added('root_cm', CropColumn::NUMBER, 'water', 'cm', 0, 300, parameter: 'root', zeroCounts: true),
            CropColumn::added('depletion', CropColumn::NUMBER, 'water', 'share', 0, 1, parameter: 'depletion', zeroCounts: true),
            CropColumn::added('kc_end', CropColumn::NUMBER, 'water', 'part', 0, 1.5, parameter: 'kc_end', zeroCounts: true),
        ];
    }

    /** @return list<string> columns in which a variety may differ from its crop */
    public static function byVariety(): array
    {
        return array_keys(array_filter(self::columns(), static fn (CropColumn $c): bool => $c->byVariety));
    }

    /**
     * @param  array<string, string>  $cells  as saved, perhaps by an older table
     * @return array<string, string> one cell for every column
     */
    public static function complete(array $cells): array
    {
        return array_map(static fn (CropColumn $c): string => $cells[$c->name] ?? ($c->default ?? ''), self::columns());
    }

    /**
     * @param  array<string, string>  $cells  by column; a missing one takes its default
     *
     * @throws CropRefused naming the column
     */
    public static function crop(array $cells): Crop
    {
        $cells = self::complete($cells);
        if (preg_match(self::SLUG, $cells['slug']) !== 1) {
            throw new CropRefused('slug', Phrase::of('error.crop.slug', ['cell' => $cells['slug']]));
        }
        $v = new CropValues($cells);
        $critical = $v->optional('critical_day_hours');
        $stockFrom = $v->optionalCount('stock_from_days');
        self::checkPairs($cells);
        $crop = new Crop(
            $cells['slug'],
            $v->text('name'),
            $v->text('latin'),
            $v->text('family'),
            $v->text('kind'),
            $v->text('start'),
            $v->text('routes') === 'both' ? [Route::Direct, Route::Transplant] : [Route::from($v->text('routes'))],
            new Emergence(
                array_map(static fn (int $celsius): ?float => $v->optional("em_{$celsius}"), Emergence::TEMPERATURES),
                $v->count('max_emerge_days'),
            ),
            self::growth($v),
            self::underCover($v),
            new Hardiness(
                $v->number('kill_young_c'),
                $v->number('kill_c'),
                $v->number('young_share'),
                $v->optionalText('hardy_by') === 'soil',
            ),
            new HeatLimit($v->number('heat_c'), $v->count('heat_days'), $v->number('heat_from'), $v->optional('young_heat_c')),
            new Harvest($v->count('harvest_days'), $v->count('min_harvest_days')),
            new Convention(
                $v->optional('soil_min_sow_c'),
                $v->optional('soil_min_setout_c'),
                $v->optional('spring_sow_weeks'),
                $v->optional('spring_setout_weeks'),
                $v->optionalCount('succession_days'),
            ),
            $critical === null ? null : new Bulb($critical, (float) $v->optional('juvenile_days'), $v->optional('bulb_c')),
            self::bolts($v),
            $stockFrom === null ? null : new Stock($stockFrom, (int) $v->optionalCount('stock_to_days')),
            self::spacing($v),
            $v->text('feeder'),
            $v->optionalText('follow_with'),
            $v->cautions('cautions'),
            $v->optionalText('notes'),
            $v->optionalText('also_called'),
            self::seed($v),
            $v->optional('height_cm'),
            new Watering($v->optionalText('thirst'), $v->optional('root_cm'), $v->optional('depletion'), $v->optional('kc_end')),
            self::cutFlower($v),
            self::fruitSet($v),
        );
        self::checkSense($crop);

        return $crop;
    }

    private static function growth(CropValues $v): Growth
    {
        return new Growth(
            $v->number('maturity_days'),
            MaturityBasis::from($v->text('maturity_basis')),
            $v->number('base_c'),
            $v->number('opt_low_c'),
            $v->number('opt_high_c'),
            $v->number('ceiling_c'),
            $v->number('ref_c'),
            $v->optionalCount('chill_days'),
        );
    }

    private static function underCover(CropValues $v): UnderCover
    {
        $weeks = $v->optional('seedling_weeks');

        return new UnderCover(
            $weeks === null
                ? null
                : new SeedlingWeeks(
                    $v->optional('seedling_weeks_min') ?? $weeks,
                    $weeks,
                    $v->optional('seedling_weeks_max') ?? $weeks,
                ),
            $v->number('indoor_c'),
            $v->number('transplant_check_days'),
        );
    }

    private static function spacing(CropValues $v): Spacing
    {
        return new Spacing(
            $v->number('depth_cm'),
            $v->number('spacing_cm'),
            $v->number('row_cm'),
            $v->optional('per_square_foot'),
            $v->optional('yield_kg_per_m'),
        );
    }

    private static function bolts(CropValues $v): Bolting
    {
        return new Bolting(
            $v->optionalCount('bolt_chill_days'),
            $v->optional('bolt_day_hours'),
            (float) $v->optional('bolt_growth_days'),
            (float) $v->optional('bolt_from_growth_days'),
        );
    }

    private static function seed(CropValues $v): Seed
    {
        return new Seed(
            $v->optionalCount('seeds_per_station') ?? 1,
            $v->optionalCount('thinned_to') ?? 1,
            $v->optional('germination'),
            $v->optional('seeds_per_gram'),
        );
    }

    private static function fruitSet(CropValues $v): ?FruitSet
    {
        $limits = [$v->optional('set_night_low_c'), $v->optional('set_night_high_c'), $v->optional('set_day_high_c')];

        return $limits === [null, null, null]
            ? null
            : new FruitSet(...$limits, fromShare: $v->optional('set_from') ?? FruitSet::FROM_SHARE);
    }

    private static function cutFlower(CropValues $v): ?CutFlower
    {
        $stems = $v->optional('stems_per_plant');

        return $stems === null
            ? null
            : new CutFlower(
                $stems,
                $v->optionalText('flower_habit') === 'branching',
                $v->optionalCount('vase_days'),
                $v->optionalText('cut_at'),
            );
    }

    /** @param  array<string, string>  $cells */
    private static function checkPairs(array $cells): void
    {
        $pairs = [['bolt_day_hours', 'bolt_growth_days'], ['stock_from_days', 'stock_to_days'], ['stems_per_plant', 'flower_habit']];
        foreach ($pairs as [$one, $other]) {
            if (($cells[$one] === '') !== ($cells[$other] === '')) {
                throw new CropRefused(
                    $cells[$one] === '' ? $one : $other,
                    Phrase::of('error.crop.pair', ['other' => $cells[$one] === '' ? $other : $one]),
                );
            }
        }
    }

    private static function checkSense(Crop $crop): void
    {
        $growth = $crop->growth;
        if (
            ! ($growth->baseC < $growth->optLowC && $growth->optLowC <= $growth->optHighC && $growth->optHighC < $growth->ceilingC)
        ) {
            throw new CropRefused('opt_low_c', Phrase::of('error.crop.temperatures'));
        }
        if ($crop->emergence->daysAt($growth->refC + Maturity::SOIL_ABOVE_AIR) === null) {
            throw new CropRefused('ref_c', Phrase::of('error.crop.no-emergence', ['celsius' => $growth->refC]));
        }
        if (in_array(Route::Transplant, $crop->routes, true) && $crop->underCover->weeks === null) {
            throw new CropRefused('seedling_weeks', Phrase::of('error.crop.no-weeks'));
        }
        if ($crop->underCover->weeks !== null && $crop->emergence->daysAt($crop->underCover->soilC) === null) {
            throw new CropRefused(
                'indoor_c',
                Phrase::of('error.crop.no-emergence-under-cover', ['celsius' => $crop->underCover->soilC]),
            );
        }
    }
}
