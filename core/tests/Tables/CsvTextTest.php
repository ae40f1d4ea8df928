<?php

declare(strict_types=1);

namespace Anthesis\Tests\Tables;

use Anthesis\Tables\CsvText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CsvTextTest extends TestCase
{
    /** @return iterable<array{string|float|null, string}> */
    public static function cells(): iterable
    {
        yield ['plain', 'plain'];
        yield ['=1+1', "'=1+1"];
        yield ['+49 170', "'+49 170"];
        yield ['-dash', "'-dash"];
        yield ['@name', "'@name"];
        yield ["\tcell", "'\tcell"];
        yield ['-2.2', '-2.2'];
        yield [-2.2, '-2.2'];
        yield ['a=1', 'a=1'];
        yield [null, ''];
    }

    #[DataProvider('cells')]
    public function test_no_text_begins_a_formula_and_numbers_stay_numbers(string|float|null $cell, string $written): void
    {
        $read = str_getcsv(rtrim(CsvText::of([[$cell, 'end']]), "\r\n"), ',', '"', '');
        self::assertSame([$written, 'end'], $read);
        self::assertSame((string) $cell, CsvText::bare((string) $read[0]), 'our own readers get back what was written');
    }

    public function test_an_apostrophe_of_its_own_stays(): void
    {
        self::assertSame("'tis", CsvText::bare("'tis"));
    }
}
