<?php

declare(strict_types=1);

namespace Anthesis\Tests\Crop;

use Anthesis\Crop\CropColumn;
use Anthesis\Crop\CropRefused;
use Anthesis\Crop\CropSchema;
use Anthesis\Messages\Words;
use Anthesis\Tables\CropColumnTable;
use Anthesis\Tables\CropCsv;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CropSchemaTest extends TestCase
{
    public function test_every_row_of_the_table_the_application_ships_with_is_a_crop_by_it(): void
    {
        foreach (CropCsv::standardRows() as $slug => $cells) {
            self::assertSame($slug, CropSchema::crop($cells)->slug);
            self::assertSame(array_keys(CropSchema::columns()), array_keys($cells));
        }
    }

    public function test_a_row_kept_before_there_was_a_column_has_its_default(): void
    {
        $cells = CropCsv::standardRows()['onion-long-day'] ?? CropCsv::standardRows()['radish'];
        unset($cells['notes'], $cells['bolt_chill_days']);
        self::assertNull(CropSchema::crop($cells)->notes);
        self::assertNull(CropSchema::crop($cells)->bolting->chillDays);
        self::assertSame(['', ''], [CropSchema::complete($cells)['notes'], CropSchema::complete($cells)['bolt_chill_days']]);
        $column = new CropColumn('new', CropColumn::NUMBER, 'days', 'days', 1, 9, default: '4');
        self::assertSame(4.0, $column->value((string) $column->default));
    }

    #[TestWith(['maturity_days', '0', '“0” is not a number from 1 to 400'])]
    #[TestWith(['maturity_days', '401', '“401” is not a number from 1 to 400'])]
    #[TestWith(['maturity_days', '', 'a number from 1 to 400 is needed'])]
    #[TestWith(['name', '', 'this must not be blank'])]
    #[TestWith(['slug', 'Big Radish', 'should be made of lower-case letters'])]
    #[TestWith(['kind', 'mild', '“mild” should be one of: cool, warm, cover'])]
    #[TestWith(['base_c', '20', 'growth temperatures must rise'])]
    #[TestWith(['bolt_day_hours', '15', 'this goes with bolt_day_hours: give both, or neither'])]
    #[TestWith(['stock_to_days', '90', 'this goes with stock_to_days: give both, or neither'])]
    public function test_a_cell_that_cannot_be_taken_is_refused_by_its_column(string $column, string $cell, string $why): void
    {
        try {
            CropSchema::crop([$column => $cell] + CropCsv::standardRows()['radish']);
            self::fail('it was taken');
        } catch (CropRefused $refused) {
            self::assertSame(
                ['base_c' => 'opt_low_c', 'bolt_day_hours' => 'bolt_growth_days', 'stock_to_days' => 'stock_from_days'][$column] ?? $column,
                $refused->column,
            );
            self::assertStringContainsString($why, Words::in('en')->phrase($refused->why));
        }
    }

    public function test_both_ends_of_a_range_are_in_it(): void
    {
        foreach (CropSchema::columns() as $column) {
            if ($column->most > 0) {
                self::assertEquals(
                    [$column->least, $column->most],
                    [$column->value((string) $column->least), $column->value((string) $column->most)],
                    $column->name,
                );
            }
            self::assertContains($column->group, CropSchema::GROUPS);
        }
    }

    public function test_every_column_has_words_and_stands_in_the_documentation(): void
    {
        $words = Words::in('en');
        foreach (CropSchema::columns() as $column) {
            self::assertTrue($words->has($column->label()->key) && $words->has("column.{$column->name}.help"), $column->name);
        }
        self::assertStringContainsString(
            CropColumnTable::markdown($words),
            (string) file_get_contents(dirname(__DIR__, 3).'/docs/crop-table.md'),
            'docs/crop-table.md is behind the schema: put the output of core/bin/crop-columns in place of its table',
        );
    }

    #[TestWith(['10', '10', '20', '30', false])]
    #[TestWith(['9.9', '10', '10', '30', true])]
    #[TestWith(['9', '20.1', '20', '30', false])]
    #[TestWith(['9', '10', '30', '30', false])]
    #[TestWith(['9', '10', '29.9', '30', true])]
    public function test_growth_temperatures_rise_but_the_best_may_be_one(
        string $base,
        string $low,
        string $high,
        string $ceiling,
        bool $taken,
    ): void {
        try {
            CropSchema::crop(
                ['base_c' => $base, 'opt_low_c' => $low, 'opt_high_c' => $high, 'ceiling_c' => $ceiling] +
                    CropCsv::standardRows()['radish'],
            );
            self::assertTrue($taken);
        } catch (CropRefused) {
            self::assertFalse($taken);
        }
    }

    public function test_what_may_be_blank_what_a_variety_may_differ_in_and_what_an_older_row_may_lack(): void
    {
        $named = static fn (callable $is): array => array_values(
            array_map(static fn (CropColumn $c): string => $c->name, array_filter(CropSchema::columns(), $is)),
        );
        self::assertSame(
            [
                'maturity_days',
                'maturity_basis',
                'kill_young_c',
                'kill_c',
                'heat_c',
                'heat_days',
                'harvest_days',
                'min_harvest_days',
                'critical_day_hours',
                'bolt_chill_days',
                'bolt_day_hours',
                'bolt_growth_days',
                'bulb_c',
                'set_night_low_c',
                'set_night_high_c',
                'set_day_high_c',
                'young_heat_c',
                'bolt_from_growth_days',
            ],
            CropSchema::byVariety(),
        );
        self::assertSame(
            [
                'seedling_weeks_min',
                'seedling_weeks',
                'seedling_weeks_max',
                'soil_min_sow_c',
                'soil_min_setout_c',
                'spring_sow_weeks',
                'spring_setout_weeks',
                'succession_days',
                'critical_day_hours',
                'juvenile_days',
                'chill_days',
                'bolt_chill_days',
                'bolt_day_hours',
                'bolt_growth_days',
                'bulb_c',
                'stock_from_days',
                'stock_to_days',
                'hardy_by',
                'per_square_foot',
                'yield_kg_per_m',
                'follow_with',
                'cautions',
                'notes',
                'also_called',
                'seeds_per_station',
                'thinned_to',
                'germination',
                'seeds_per_gram',
                'height_cm',
                'thirst',
                'stems_per_plant',
                'flower_habit',
                'vase_days',
                'cut_at',
                'set_night_low_c',
                'set_night_high_c',
                'set_day_high_c',
                'set_from',
                'young_heat_c',
                'bolt_from_growth_days',
                'root_cm',
                'depletion',
                'kc_end',
            ],
            $named(static fn (CropColumn $c): bool => $c->optional && ! str_starts_with($c->name, 'em_')),
        );
        self::assertCount(9, $named(static fn (CropColumn $c): bool => $c->optional && str_starts_with($c->name, 'em_')));
        self::assertSame(
            [
                'bolt_day_hours',
                'bolt_growth_days',
                'bulb_c',
                'stock_from_days',
                'stock_to_days',
                'hardy_by',
                'also_called',
                'seeds_per_station',
                'thinned_to',
                'germination',
                'seeds_per_gram',
                'height_cm',
                'thirst',
                'stems_per_plant',
                'flower_habit',
                'vase_days',
                'cut_at',
                'set_night_low_c',
                'set_night_high_c',
                'set_day_high_c',
                'set_from',
                'young_heat_c',
                'bolt_from_growth_days',
                'root_cm',
                'depletion',
                'kc_end',
            ],
            $named(static fn (CropColumn $c): bool => $c->default !== null),
        );
    }
}
