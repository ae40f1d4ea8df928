<?php

declare(strict_types=1);

namespace Anthesis\Tables;

/**
 * Rows as CSV (RFC 4180) that is safe to open in a spreadsheet. A spreadsheet would compute a text that starts like a formula, so an
 * apostrophe is put before it: spreadsheets understand that as "this is text", and our own readers remove it again.
 */
final class CsvText
{
    private const FORMULA = '/^[=+\-@\t\r]/';

    /** @param  iterable<list<string|int|float|null>>  $rows */
    public static function of(iterable $rows, string $end = "\r\n"): string
    {
        $stream = fopen('php://temp', 'w+') ?: throw FormatError::inFile('file.no-room');
        self::write($stream, $rows, $end);
        rewind($stream);
        $text = (string) stream_get_contents($stream);
        fclose($stream);

        return $text;
    }

    /**
     * @param  resource  $stream
     * @param  iterable<list<string|int|float|null>>  $rows
     */
    public static function write($stream, iterable $rows, string $end = "\r\n"): void
    {
        foreach ($rows as $row) {
            fputcsv($stream, array_map(self::guarded(...), $row), ',', '"', '', $end);
        }
    }

    /** What a guarded cell contained. */
    public static function bare(string $cell): string
    {
        return str_starts_with($cell, "'") && preg_match(self::FORMULA, substr($cell, 1)) === 1 ? substr($cell, 1) : $cell;
    }

    private static function guarded(string|int|float|null $cell): string|int|float|null
    {
        return is_string($cell) && ! is_numeric($cell) && preg_match(self::FORMULA, $cell) === 1 ? "'{$cell}" : $cell;
    }
}
