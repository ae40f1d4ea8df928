<?php

declare(strict_types=1);

namespace Anthesis\Tests\Crop;

use Anthesis\Crop\CropColumn;
use Anthesis\Crop\CropRefused;
use Anthesis\Crop\CropSchema;
use Anthesis\Exchange\CropColumnTable;
use Anthesis\Exchange\CropCsv;
use Anthesis\Exchange\Words;
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
    public function test_a_cell_that_cannot_be_taken_is_refused_by_its_column(string $column, string $cell, string $why): void
    {
        try {
            CropSchema::crop([$column => $cell] + CropCsv::standardRows()['radish']);
            self::fail('it was taken');
        } catch (CropRefused $refused) {
            self::assertSame($column === 'base_c' ? 'opt_low_c' : $column, $refused->column);
            self::assertStringContainsString($why, Words::in('en')->phrase($refused->why));
        }
    }

    public function test_both_ends_of_a_range_are_in_it(): void
    {
        foreach (CropSchema::columns() as $column) {
            if ($column->most > 0) {
                self::assertEquals([$column->least, $column->most], [$column->value((string) $column->least), $column->value((string) $column->most)], $column->name);
            }
            self::assertContains($column->group, CropSchema::GROUPS);
        }
    }

    public function test_every_column_has_words_and_stands_in_the_documentation(): void
    {
        $words = Words::in('en');
        foreach (CropSchema::columns() as $column) {
            self::assertTrue($words->has("column.{$column->name}.label") && $words->has("column.{$column->name}.help"), $column->name);
        }
        self::assertStringContainsString(CropColumnTable::markdown($words), (string) file_get_contents(dirname(__DIR__, 3).'/docs/crop-table.md'),
            'docs/crop-table.md is behind the schema: put the output of core/bin/crop-columns in place of its table');
    }
}
