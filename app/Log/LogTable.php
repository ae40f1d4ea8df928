<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Log\LoggedAct;
use Anthesis\Tables\CsvText;
use Anthesis\Tables\Delimited;

/** Reads a table of log entries, one per row. The columns are those that LogCsv writes. */
final class LogTable
{
    public const MOST_ROWS = 10_000;

    /**
     * @return list<array{int, array<string, string>}> row number and cells that hold something, oldest day first; on the same day, what
     *   starts a planting comes first
     *
     * @throws LogFileRefused if it is not such a table
     */
    public static function rows(string $text): array
    {
        $rows = self::read($text);
        if ($rows === []) {
            throw new LogFileRefused(['The table has headings but no rows.']);
        }
        if (count($rows) > self::MOST_ROWS) {
            throw new LogFileRefused([
                'The table has '.count($rows).' rows. Upload at most '.self::MOST_ROWS.' at a time, such as a year or two.',
            ]);
        }
        $begins = array_flip([LoggedAct::Sown->value, LoggedAct::SetOut->value]);
        usort(
            $rows,
            static fn (array $a, array $b): int => [$a[1]['on'] ?? '', isset($begins[$a[1]['act'] ?? '']) ? 0 : 1, $a[0]] <=> [
                $b[1]['on'] ?? '',
                isset($begins[$b[1]['act'] ?? '']) ? 0 : 1,
                $b[0],
            ],
        );

        return $rows;
    }

    /**
     * @return list<array{int, array<string, string>}> in the order of the table
     *
     * @throws LogFileRefused if it has no headings that fit, or is not text
     */
    private static function read(string $text): array
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new LogFileRefused(['The table is not text in UTF-8. Save it as “CSV UTF-8” and upload it again.']);
        }
        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', $text);
        $delimiter = Delimited::delimiterOf((string) strtok($text, "\r\n"));
        $stream = fopen('php://memory', 'w+') ?: throw new LogFileRefused(['There is no room to read the table. Try again.']);
        fwrite($stream, $text);
        rewind($stream);
        $names = array_map(
            static fn (?string $name): string => mb_strtolower(trim((string) $name)),
            fgetcsv($stream, null, $delimiter, '"', '') ?: [],
        );
        if (! in_array('on', $names, true) || ! in_array('act', $names, true)) {
            throw new LogFileRefused([
                'Row 1: the table needs headings with at least “on” (the day) and “act”; the columns are '.
                implode(', ', LogCsv::COLUMNS).
                '.',
            ]);
        }
        $rows = [];
        for ($number = 2; ($cells = fgetcsv($stream, null, $delimiter, '"', '')) !== false; $number++) {
            $said = self::cells($names, array_map(static fn (?string $cell): string => trim((string) $cell), $cells));
            if ($said !== []) {
                $rows[] = [$number, $said];
            }
        }
        fclose($stream);

        return $rows;
    }

    /**
     * @param  list<string>  $names
     * @param  list<string>  $cells
     * @return array<string, string>
     */
    private static function cells(array $names, array $cells): array
    {
        $said = [];
        foreach ($names as $i => $name) {
            $cell = CsvText::bare($cells[$i] ?? '');
            if ($cell !== '' && in_array($name, LogCsv::COLUMNS, true)) {
                $said[$name] =
                    $name === 'under_cover' ? (in_array(mb_strtolower($cell), ['yes', 'true', '1', 'x'], true) ? '1' : '0') : $cell;
            }
        }

        return $said;
    }
}
