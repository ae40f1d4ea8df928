<?php

declare(strict_types=1);

namespace Anthesis\Tests\Tables;

use Anthesis\Crop\CropSchema;
use Anthesis\Crop\NumberBasis;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\CropSources;
use PHPUnit\Framework\TestCase;

final class CropSourcesTest extends TestCase
{
    public function test_every_number_says_how_sure_it_is_and_text_says_nothing(): void
    {
        $sources = CropSources::shipped();
        $carrot = $sources->ofCrop('carrot');
        self::assertSame([NumberBasis::Packet, null], $carrot['maturity_days']);
        self::assertSame([NumberBasis::Table, null], $carrot['em_10']);
        self::assertSame([NumberBasis::Table, null], $carrot['root_cm']);
        self::assertSame([NumberBasis::Judgment, null], $carrot['kill_c']);
        self::assertSame(NumberBasis::Table, $carrot['bolt_chill_days'][0]);
        self::assertStringStartsWith('Biennial', (string) $carrot['bolt_chill_days'][1]);
        self::assertArrayNotHasKey('notes', $carrot);
        self::assertArrayNotHasKey('maturity_basis', $carrot);
        foreach (CropSchema::columns() as $column) {
            self::assertSame(in_array($column->type, ['number', 'count'], true), isset($carrot[$column->name]), $column->name);
        }
    }

    public function test_what_is_named_is_in_the_table(): void
    {
        $rows = CropCsv::standardRows();
        foreach (CropSources::shipped()->named() as $slug => $columns) {
            foreach ($columns as $column => [, $source]) {
                self::assertArrayHasKey($column, $rows[$slug] ?? [], "{$slug} {$column}");
                self::assertNotSame('', $source);
            }
        }
    }
}
