<?php

declare(strict_types=1);

namespace Anthesis\Tables;

/**
 * Lines whose columns are separated by commas, semicolons, tabs, or bars.
 *
 * @internal
 */
final class Delimited
{
    private const DELIMITERS = [',', ';', "\t", '|'];

    /** @return string what separates the columns of the line */
    public static function delimiterOf(string $line): string
    {
        $counts = [];
        foreach (self::DELIMITERS as $delimiter) {
            $counts[$delimiter] = substr_count($line, $delimiter);
        }
        // A semicolon, tab, or bar separates columns even if there are more decimal commas.
        $others = array_filter(array_slice($counts, 1));
        arsort($others);

        return $others === [] ? ',' : (string) array_key_first($others);
    }

    /** @return list<string> trimmed */
    public static function cells(string $line, string $delimiter): array
    {
        return array_map(static fn (?string $cell): string => trim((string) $cell), str_getcsv($line, $delimiter, '"', ''));
    }

    /** The unit at the end of a column's name: "Min (°C)", "tmax_f". */
    public static function unitIn(string $name): ?TemperatureUnit
    {
        return match (1) {
            preg_match('/(^|[^a-z])(c|celsius|degc|deg_c)[\])\s]*$/iu', $name) => TemperatureUnit::Celsius,
            preg_match('/(^|[^a-z])(f|fahrenheit|degf|deg_f)[\])\s]*$/iu', $name) => TemperatureUnit::Fahrenheit,
            default => null,
        };
    }

    /** The column's name without unit and punctuation: "Min (°C)" is "min". */
    public static function bare(string $name): string
    {
        $bare = preg_replace('/[^a-z]+/', '_', mb_strtolower(str_replace('°', ' ', $name)));
        $bare = preg_replace('/_(c|f|celsius|fahrenheit|degc|degf|deg_c|deg_f)_*$/', '', (string) $bare);

        return trim((string) $bare, '_');
    }

    /** A cell, shortened for a message. */
    public static function shown(string $text): string
    {
        $text = mb_scrub($text, 'UTF-8');

        return mb_strlen($text) > 40 ? mb_substr($text, 0, 39).'…' : $text;
    }

    /** @return float|null a number with a point or, if commas do not separate columns, a decimal comma; null: not a number */
    public static function number(string $text, string $delimiter): ?float
    {
        $text = str_replace('−', '-', $text);
        $text = $delimiter === ',' ? $text : str_replace(',', '.', $text);

        return is_numeric($text) ? (float) $text : null;
    }
}
