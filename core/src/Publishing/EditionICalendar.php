<?php

declare(strict_types=1);

namespace Anthesis\Publishing;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\WeekList;
use Anthesis\Crop\Act;
use Anthesis\Messages\Words;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Words\Phrase;

/**
 * An edition as an iCalendar feed (RFC 5545): every year, an all-day event for each window, or for a fair chance if there is no window; or,
 * for those who want it short, for the first day to act, the last chance, and the first harvest.
 *
 * A window starts within the twelve months from the ruler's start that include the day of publication, so readers see the current season. A
 * window of the whole year has no dates to act on and is left out. An event keeps its UID from edition to edition and in every language;
 * its SEQUENCE is the edition's number.
 *
 * @phpstan-import-type Sheet from CropSheet
 * @phpstan-import-type Span from CropSheet
 *
 * @phpstan-type Event array{uid: string, first: string, days: int, summary: string, said: list<string>, crop: string, cautions: list<string>}
 */
final class EditionICalendar
{
    private const HARVEST = 'harvest';

    /** @param  string  $address  of the calendar's page, from which each event links to its crop */
    public static function write(EditionDocument $edition, Words $words, string $address, FeedChoice $choice = new FeedChoice()): string
    {
        $content = $edition->content;
        $zone = $content['zone'];
        $published = Day::fromIso($content['edition']['published_on']);
        $guidance = implode(' ', array_map($words->phrase(...), $content['guidance']));
        $lines = [
            'BEGIN:VCALENDAR',
            'VERSION:2.0',
            'PRODID:-//Anthesis//Sowing calendar//'.strtoupper($words->language),
            'CALSCALE:GREGORIAN',
            'METHOD:PUBLISH',
            ICalendarText::property('X-WR-CALNAME', $words->say('feed.name', ['zone' => $zone['name']])),
            ICalendarText::property(
                'X-WR-CALDESC',
                $words->say('feed.edition', [
                    'number' => $content['edition']['number'],
                    'date' => Phrase::of('date', ['day' => Phrase::day($published->yearDay()), 'year' => (string) $published->year()]),
                ])." {$guidance}",
            ),
        ];
        if ($edition->notice !== null) {
            // Subscribers see the dates disappear, and why.
            array_push($lines, ...self::withdrawal($edition->notice, $zone['slug'], $content['edition']['number'], $words, $address));
        }
        foreach ($edition->notice === null ? self::events($edition, $words, $choice) : [] as $event) {
            $first = self::nextOccurrence($event['first'], $published, $content['ruler']['starts']);
            array_push(
                $lines,
                'BEGIN:VEVENT',
                "UID:{$zone['slug']}-{$event['uid']}@anthesis",
                'DTSTAMP:'.ICalendarText::date($published).'T000000Z',
                "SEQUENCE:{$content['edition']['number']}",
                'DTSTART;VALUE=DATE:'.ICalendarText::date($first),
                'DTEND;VALUE=DATE:'.ICalendarText::date($first->plus($event['days'])),
                'RRULE:FREQ=YEARLY',
                'TRANSP:TRANSPARENT',
                ICalendarText::property('SUMMARY', $event['summary']),
                ICalendarText::property('DESCRIPTION', implode("\n", [...$event['said'], ...$event['cautions'], $guidance])),
                ICalendarText::property('LOCATION', $zone['name']),
                "URL:{$address}/crops/{$event['crop']}",
                'END:VEVENT',
            );
        }
        $lines[] = 'END:VCALENDAR';

        return ICalendarText::file($lines);
    }

    /**
     * @param  array{on: string, reason: string}  $notice
     * @return list<string>
     */
    private static function withdrawal(array $notice, string $zone, int $number, Words $words, string $address): array
    {
        $on = Day::fromIso($notice['on']);

        return [
            'BEGIN:VEVENT',
            "UID:{$zone}-withdrawn-{$number}@anthesis",
            'DTSTAMP:'.ICalendarText::date($on).'T000000Z',
            "SEQUENCE:{$number}",
            'DTSTART;VALUE=DATE:'.ICalendarText::date($on),
            'DTEND;VALUE=DATE:'.ICalendarText::date($on->plus(1)),
            'TRANSP:TRANSPARENT',
            ICalendarText::property('SUMMARY', $words->say('feed.withdrawn')),
            ICalendarText::property(
                'DESCRIPTION',
                $words->say('feed.withdrawn-why', ['number' => $number, 'reason' => $words->own($notice['reason'])]),
            ),
            "URL:{$address}",
            'END:VEVENT',
        ];
    }

    /** @return list<Event> */
    private static function events(EditionDocument $edition, Words $words, FeedChoice $choice): array
    {
        $events = [];
        foreach ($edition->content['crops'] as $sheet) {
            if (! $choice->has($sheet['slug'])) {
                continue;
            }
            $cautions = array_map($words->phrase(...), array_column($sheet['cautions'], 'phrase'));
            foreach (self::spans($sheet, $choice->short) as $span) {
                $own = $choice->short ? self::inShort($sheet, $span, $words) : [self::inFull($sheet, $span, $words)];
                array_push(
                    $events,
                    ...array_map(static fn (array $event): array => $event + ['crop' => $sheet['slug'], 'cautions' => $cautions], $own),
                );
            }
        }

        return $events;
    }

    /**
     * @param  Sheet  $sheet
     * @return list<array{uid: string, act: string, span: Span, fair: Phrase|null}> what has dates to act on, or to harvest on
     */
    private static function spans(array $sheet, bool $harvests): array
    {
        $spans = [];
        foreach ($sheet['routes'] as $route) {
            foreach (
                [
                    [$route['act'], WeekList::dates($route)],
                    [Act::StartUnderCover->value, $route['under_cover']],
                    [self::HARVEST, $harvests ? $route['harvests'] : []],
                ] as [$act, $all]
            ) {
                foreach ($all as $i => $span) {
                    if ($span['days'] !== YearDay::YEAR) {
                        $fair = isset($span['of_ten']) ? Phrase::of('feed.fair', ['of_ten' => $span['of_ten']]) : null;
                        $spans[] = [
                            'uid' => "{$sheet['slug']}-{$route['route']}-{$act}-".($fair === null ? '' : 'fair-').($i + 1),
                            'act' => $act,
                            'span' => $span,
                            'fair' => $fair,
                        ];
                    }
                }
            }
        }

        return $spans;
    }

    /**
     * @param  Sheet  $sheet
     * @param  array{uid: string, act: string, span: Span, fair: Phrase|null}  $of
     * @return array{uid: string, first: string, days: int, summary: string, said: list<string>}
     */
    private static function inFull(array $sheet, array $of, Words $words): array
    {
        $span = $of['span'];

        return [
            'uid' => $of['uid'],
            'first' => $span['first'],
            'days' => $span['days'],
            'summary' => $words->say($of['fair'] === null ? 'feed.event' : 'feed.event-fair', [
                'crop' => $sheet['name'],
                'act' => Phrase::of("act.{$of['act']}"),
            ]),
            'said' => [
                $words->say('feed.between', ['first' => self::day($span['first']), 'last' => self::day($span['last'])]),
                ...$of['fair'] === null ? [] : [$words->phrase($of['fair'])],
            ],
        ];
    }

    /**
     * @param  Sheet  $sheet
     * @param  array{uid: string, act: string, span: Span, fair: Phrase|null}  $of
     * @return list<array{uid: string, first: string, days: int, summary: string, said: list<string>}>
     */
    private static function inShort(array $sheet, array $of, Words $words): array
    {
        $harvest = $of['act'] === self::HARVEST;
        $said = $harvest
            ? [$words->say('feed.between', ['first' => self::day($of['span']['first']), 'last' => self::day($of['span']['last'])])]
            : self::inFull($sheet, $of, $words)['said'];
        $day = static fn (string $which, string $monthDay, string $key): array => [
            'uid' => "{$of['uid']}-{$which}",
            'first' => $monthDay,
            'days' => 1,
            'summary' => $words->say($key, ['crop' => $sheet['name'], ...$harvest ? [] : ['act' => Phrase::of("act.{$of['act']}")]]),
            'said' => $said,
        ];

        return $harvest
            ? [$day('first', $of['span']['first'], 'feed.pick-from')]
            : [$day('first', $of['span']['first'], 'feed.first-day'), $day('last', $of['span']['last'], 'feed.last-chance')];
    }

    private static function day(string $monthDay): Phrase
    {
        return Phrase::day(YearDay::fromIso($monthDay));
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
}
