<?php

declare(strict_types=1);

namespace Anthesis\Tests\Exchange;

use Anthesis\Exchange\FormatError;
use Anthesis\Exchange\LineSource;
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
}
