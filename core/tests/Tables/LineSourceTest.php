<?php

declare(strict_types=1);

namespace Anthesis\Tests\Tables;

use Anthesis\Tables\FormatError;
use Anthesis\Tables\LineSource;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RuntimeException;

final class LineSourceTest extends TestCase
{
    private static function of(string $text): LineSource
    {
        $stream = fopen('php://memory', 'w+') ?: throw new RuntimeException('No memory stream.');
        fwrite($stream, $text);
        rewind($stream);

        return new LineSource($stream);
    }

    /** @return list<string> */
    private static function all(LineSource $lines): array
    {
        $all = [];
        while (($line = $lines->next()) !== null) {
            $all[] = $line;
        }

        return $all;
    }

    public function test_lines_come_whole_whatever_their_ends_and_wherever_a_piece_is_cut(): void
    {
        $expected = array_map(static fn (int $i): string => "row {$i} ".str_repeat('x', $i % 97), range(1, 20000));
        foreach (["\n", "\r\n"] as $end) {
            $text = implode($end, $expected);
            self::assertGreaterThan(3 * 262144, strlen($text), 'several pieces');
            self::assertSame($expected, self::all(self::of($text)));
            self::assertSame($expected, self::all(self::of((string) gzencode($text.$end))));
        }
    }

    public function test_looking_ahead_takes_nothing(): void
    {
        $lines = self::of("\xEF\xBB\xBFa\nb\nc");
        self::assertSame(['a', 'b'], $lines->peek(2));
        self::assertSame(['a', 'b', 'c'], $lines->peek(9));
        self::assertSame([0, 'a', 1], [$lines->number, $lines->next(), $lines->number]);
        self::assertSame(['b', 'c'], self::all($lines));
        self::assertSame(3, $lines->number);
    }

    public function test_older_text_becomes_utf_8(): void
    {
        self::assertSame(['Max (°C)'], self::all(self::of("Max (\xB0C)")));
        self::assertSame(['Max (°C)'], self::all(self::of('Max (°C)')));
    }

    public function test_a_line_is_named_when_it_is_no_text(): void
    {
        $lines = self::of("fine\nalso fine\nnot \x01 fine\n");
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage('Line 3: this is not text.');
        self::all($lines);
    }

    public function test_an_empty_file_has_no_lines(): void
    {
        self::assertSame([], self::all(self::of('')));
        self::assertSame([], self::of('')->peek(5));
    }

    public function test_all_members_of_a_gzipped_file_are_read(): void
    {
        $text = implode("\n", range(1, 5000));
        $packed = gzencode(substr($text, 0, 9000)).gzencode(substr($text, 9000)).str_repeat("\0", 512);
        self::assertSame(array_map(strval(...), range(1, 5000)), self::all(self::of($packed)));
    }

    /** @return array<string, array{int|null, string}> bytes kept (null: all), and what stands after them */
    public static function brokenEnds(): array
    {
        return [
            'in the middle' => [9000, ''],
            'one byte' => [-1, ''],
            'the head alone' => [12, ''],
            'something after it' => [null, 'more'],
        ];
    }

    #[DataProvider('brokenEnds')]
    public function test_a_gzipped_file_without_its_proper_end_is_refused(?int $kept, string $after): void
    {
        $packed = (string) gzencode(implode("\n", array_map(static fn (int $i): string => md5((string) $i), range(1, 2000))));
        $this->expectException(FormatError::class);
        $this->expectExceptionMessage($after === '' ? 'cut short' : 'damaged');
        self::all(self::of(substr($packed, 0, $kept).$after));
    }

    public function test_what_a_small_file_unpacks_to_is_bounded_in_size_and_memory(): void
    {
        $deflate = deflate_init(ZLIB_ENCODING_GZIP) ?: self::fail();
        $packed = '';
        $mebibyte = str_repeat(str_repeat('x', 65535)."\n", 16);
        for ($i = 0; $i < 33; $i++) {
            $packed .= deflate_add($deflate, $mebibyte, ZLIB_NO_FLUSH);
        }
        $packed .= deflate_add($deflate, '', ZLIB_FINISH);
        $before = memory_get_usage();
        $lines = self::of($packed);
        unset($packed);
        memory_reset_peak_usage();
        try {
            while ($lines->next() !== null) {
                continue;
            }
            self::fail('It was taken.');
        } catch (FormatError $error) {
            self::assertSame('Unpacked, the file is larger than 32 MiB. Upload one station’s daily table.', $error->getMessage());
        }
        self::assertLessThan(40 * 1048576, memory_get_peak_usage() - $before);
    }

    public function test_a_file_that_packs_as_records_do_may_be_larger(): void
    {
        mt_srand(3);
        $text = '';
        for ($i = 0; $i < 34 * 16; $i++) {
            $block = '';
            for ($j = 0; $j < 1024; $j++) {
                // A quarter of it is noise, as the digits of a record are.
                $block .= bin2hex(pack('V', mt_rand()))."aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa\n";
            }
            $text .= $block;
        }
        self::assertGreaterThan(33 * 1048576, strlen($text));
        $lines = self::of((string) gzencode($text, 1));
        for ($n = 0; $lines->next() !== null; $n++) {
            continue;
        }
        self::assertSame(34 * 16 * 1024, $n);
    }
}
