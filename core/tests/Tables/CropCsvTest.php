<?php

declare(strict_types=1);

namespace Anthesis\Tests\Tables;

use Anthesis\Crop\Caution;
use Anthesis\Crop\MaturityBasis;
use Anthesis\Crop\Route;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\FormatError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CropCsvTest extends TestCase
{
    private static function table(): string
    {
        return (string) file_get_contents(dirname(__DIR__, 2).'/data/crops.csv');
    }

    private function read(string $text): \Anthesis\Crop\CropTable
    {
        $stream = fopen('php://memory', 'w+') ?: throw new \RuntimeException('No memory stream.');
        fwrite($stream, $text);
        rewind($stream);

        return (new CropCsv())->read($stream);
    }

    public function test_a_table_that_is_written_reads_the_same_again(): void
    {
        $rows = CropCsv::standardRows();
        $stream = fopen('php://memory', 'w+') ?: self::fail();
        fwrite($stream, CropCsv::write($rows));
        rewind($stream);
        self::assertSame(array_values($rows), array_values(CropCsv::rows($stream)));
    }

    public function test_a_blank_line_is_passed_over_and_lines_are_counted_on(): void
    {
        $lines = explode("\n", trim(self::table()));
        $text = implode("\n", [$lines[0], $lines[1], '', $lines[2], '']);
        self::assertCount(2, $this->read($text)->crops);
        $this->expectException(FormatError::class);
        $this->expectExceptionMessageMatches('/line 5/i');
        $this->read("{$text}too,few\n");
    }

    public function test_the_standard_table_is_whole(): void
    {
        $table = CropCsv::standard();
        self::assertCount(113, $table->crops);
        $bean = $table->find('bush-bean');
        self::assertNotNull($bean);
        self::assertSame([Caution::TreatedSeed, Caution::RawBeans], $bean->cautions);
        self::assertSame([Route::Direct], $bean->routes);
        self::assertSame([null, null, null, 16.0, 11.0, 8.0, 6.0, 6.0, null], $bean->emergence->days);
        self::assertSame(
            [54.0, MaturityBasis::Sowing, 15.0, null],
            [
                $bean->growth->maturityDays,
                $bean->growth->maturityBasis,
                $bean->convention->soilMinSowC,
                $bean->convention->soilMinSetOutC,
            ],
        );
        self::assertTrue($table->find('garlic-hardneck')?->isAutumnPlantedBulb());
        self::assertNull($table->find('moonflower'));
        self::assertNotSame($bean->checksum(), $table->find('pole-bean')?->checksum());
    }

    /** @return iterable<string, array{callable(string): string, string}> */
    public static function broken(): iterable
    {
        $cell = static fn (string $from, string $to): callable => static fn (string $text): string => str_replace($from, $to, $text);
        yield 'empty' => [static fn (): string => '', 'The crop table is empty.'];
        yield 'missing column' => [
            static fn (string $t): string => str_replace('cautions,notes', 'cautions,remarks', $t),
            'Line 1: the crop table lacks the column “notes”.',
        ];
        yield 'not a number' => [
            $cell('Raphanus sativus,Brassicaceae,cool,seed,direct,,29', 'Raphanus sativus,Brassicaceae,cool,seed,direct,,many'),
            'Line 2, column “em_5”: “many” is not a number from 0.5 to 400.',
        ];
        yield 'unknown choice' => [
            $cell('Raphanus sativus,Brassicaceae,cool', 'Raphanus sativus,Brassicaceae,mild'),
            'Line 2, column “kind”: “mild” should be one of: cool, warm, cover.',
        ];
        yield 'unknown caution' => [$cell('favism', 'spooky'), 'column “cautions”: “spooky” is not a caution known here'];
        yield 'a row too short' => [static fn (string $t): string => $t."extra,Extra\n", 'there are 2 cells and 81 columns.'];
        yield 'twice' => [
            static fn (string $t): string => $t.explode("\n", $t)[1]."\n",
            'column “slug”: “radish” already stands on line 2.',
        ];
        yield 'no weeks under cover' => [
            $cell('25,64,transplant,4,5,6,21', '25,64,transplant,,,,21'),
            'column “seedling_weeks”: a crop that is transplanted needs its weeks indoors.',
        ];
        yield 'heading only' => [static fn (string $t): string => explode("\n", $t)[0]."\n", 'a heading and no crops'];
    }

    /** @param  callable(string): string  $break */
    #[DataProvider('broken')]
    public function test_a_table_that_cannot_be_taken_says_where_and_why(callable $break, string $message): void
    {
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage($message);
        $this->read($break(self::table()));
    }
}
