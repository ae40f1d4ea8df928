<?php

declare(strict_types=1);

namespace Anthesis\Publishing;

use Anthesis\Record\Day;

/** Lines of an iCalendar file (RFC 5545). */
final class ICalendarText
{
    private const LONGEST_LINE = 75;

    /** @param  list<string>  $lines */
    public static function file(array $lines): string
    {
        return implode("\r\n", array_map(self::folded(...), $lines))."\r\n";
    }

    /** A day as a value. */
    public static function date(Day $day): string
    {
        return str_replace('-', '', $day->iso());
    }

    /** A property whose value is a text. */
    public static function property(string $name, string $text): string
    {
        // Only we may end a line: in RFC 5545, 3.3.11, a line break in a text is always "\n".
        $plain = (string) preg_replace('/[\x00-\x09\x0B-\x1F\x7F]/', ' ', str_replace(["\r\n", "\r"], "\n", mb_scrub($text, 'UTF-8')));

        return $name.':'.strtr($plain, ['\\' => '\\\\', ';' => '\\;', ',' => '\\,', "\n" => '\\n']);
    }

    /** Lines are folded at 75 octets, never inside a character. */
    private static function folded(string $line): string
    {
        $parts = [];
        $room = self::LONGEST_LINE;
        while (strlen($line) > $room) {
            $part = mb_strcut($line, 0, $room, 'UTF-8');
            $parts[] = $part;
            $line = substr($line, strlen($part));
            $room = self::LONGEST_LINE - 1;
        }
        $parts[] = $line;

        return implode("\r\n ", $parts);
    }
}
