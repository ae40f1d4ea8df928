<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\WeekList;
use Anthesis\Crop\Act;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Words\Phrase;

/**
 * An edition as an iCalendar feed (RFC 5545): one all-day event a window, or a fair chance where there is none, every year.
 *
 * A window begins in the twelve months from the ruler's start that hold the day of publication, so that a reader sees the
 * season at hand. A window of the whole year has no dates to act on and is left out.
 */
final class EditionICalendar
{
    private const LONGEST_LINE = 75;

    public static function write(EditionDocument $edition, Words $words): string
    {
        $content = $edition->content;
        $zone = $content['zone'];
        $published = Day::fromIso($content['edition']['published_on']);
        $stamp = str_replace('-', '', $content['edition']['published_on']).'T000000Z';
        $guidance = implode(' ', array_map($words->phrase(...), $content['guidance']));
        $lines = [
            'BEGIN:VCALENDAR',
            'VERSION:2.0',
            'PRODID:-//Anthesis//Sowing calendar//EN',
            'CALSCALE:GREGORIAN',
            'METHOD:PUBLISH',
            self::property('X-WR-CALNAME', $words->say('feed.name', ['zone' => $zone['name']])),
            self::property('X-WR-CALDESC', $words->say('feed.edition', ['number' => $content['edition']['number'], 'date' => $content['edition']['published_on']])." {$guidance}"),
        ];
        foreach ($content['crops'] as $sheet) {
            $cautions = array_map($words->phrase(...), array_column($sheet['cautions'], 'phrase'));
            foreach ($sheet['routes'] as $route) {
                foreach ([[$route['act'], WeekList::dates($route)], [Act::StartUnderCover->value, $route['under_cover']]] as [$act, $spans]) {
                    foreach ($spans as $i => $span) {
                        if ($span['days'] === YearDay::YEAR) {
                            continue;
                        }
                        $fair = isset($span['of_ten']) ? Phrase::of('feed.fair', ['of_ten' => $span['of_ten']]) : null;
                        $first = self::nextOccurrence($span['first'], $published, $content['ruler']['starts']);
                        array_push($lines,
                            'BEGIN:VEVENT',
                            "UID:{$zone['slug']}-{$sheet['slug']}-{$route['route']}-{$act}-".($fair === null ? '' : 'fair-').($i + 1).'@anthesis',
                            "DTSTAMP:{$stamp}",
                            'DTSTART;VALUE=DATE:'.self::date($first),
                            'DTEND;VALUE=DATE:'.self::date($first->plus($span['days'])),
                            'RRULE:FREQ=YEARLY',
                            'TRANSP:TRANSPARENT',
                            self::property('SUMMARY', $words->say($fair === null ? 'feed.event' : 'feed.event-fair', ['crop' => $sheet['name'], 'act' => Phrase::of("act.{$act}")])),
                            self::property('DESCRIPTION', implode("\n", [$words->say('feed.between', ['first' => Phrase::day(YearDay::fromIso($span['first'])), 'last' => Phrase::day(YearDay::fromIso($span['last']))]), ...($fair === null ? [] : [$words->phrase($fair->toArray())]), ...$cautions, $guidance])),
                            self::property('LOCATION', $zone['name']),
                            'END:VEVENT');
                    }
                }
            }
        }
        $lines[] = 'END:VCALENDAR';

        return implode("\r\n", array_map(self::folded(...), $lines))."\r\n";
    }

    private static function nextOccurrence(string $monthDay, Day $published, string $starts): Day
    {
        $rulerStart = YearDay::fromIso($starts);
        $begun = $rulerStart->daysUntil($published->yearDay());
        $season = $published->plus(-$begun);
        [$month, $day] = YearDay::fromIso($monthDay)->monthAndDay();
        $year = $season->year();
        $first = Day::of($year, $month, $day);

        return $first->number < $season->number ? Day::of($year + 1, $month, $day) : $first;
    }

    private static function date(Day $day): string
    {
        return str_replace('-', '', $day->iso());
    }

    private static function property(string $name, string $text): string
    {
        // A line may end nowhere but where we end it: RFC 5545, 3.3.11 knows line breaks in a text only as "\n".
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
