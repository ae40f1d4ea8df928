<?php

declare(strict_types=1);

namespace Anthesis\Tests\Publishing;

use Anthesis\Calendar\CalendarZone;
use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\EditionReader;
use Anthesis\Calendar\WeekList;
use Anthesis\Calendar\YearRuler;
use Anthesis\Messages\Words;
use Anthesis\Publishing\EditionCsv;
use Anthesis\Publishing\EditionICalendar;
use Anthesis\Publishing\FeedChoice;
use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Soil\Site;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\PlaceEvidence;
use Anthesis\Window\School\CountBack;
use Anthesis\Window\School\CountBackSettings;
use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

final class EditionFormatsTest extends TestCase
{
    /** @param  list<string>  $slugs */
    public static function edition(
        string $station,
        array $slugs,
        string $published = '2026-03-02',
        string $name = 'Basin, Floor; “north”',
    ): EditionDocument {
        $record = Fixtures::record($station);
        $evidence = PlaceEvidence::of($record, Fixtures::latitude($station), Site::openGround());
        $back = new CountBack($evidence, CountBackSettings::conventional());
        $sheets = [];
        foreach ($slugs as $slug) {
            $crop = Fixtures::crops()->find($slug) ?? throw new \RuntimeException("No crop {$slug}.");
            $sheets[] = CropSheet::of($crop, 'count-back', $back->windows($crop));
        }

        return EditionDocument::compose(
            new CalendarZone('basin-floor', $name, 'Kestrel Basin', Fixtures::latitude($station), -98.0, 430, [
                ['name' => 'Saddlewick', 'postcode' => null],
            ]),
            3,
            Day::fromIso($published),
            'Wren Adeyemi-Holt',
            'A note; with, marks.',
            [
                'school' => 'count-back',
                'spring_risk' => 0.5,
                'autumn_risk' => 0.5,
                'hold_for_soil' => true,
                'short_day_allowance' => 14,
                'site' => 'open ground',
            ],
            ['station' => 'Basin Floor station', 'first' => '1999-01-01', 'last' => '2012-12-31', 'checksum' => $record->checksum()],
            YearRuler::of($record, $evidence),
            $sheets,
        );
    }

    public function test_an_edition_is_frozen_by_its_checksum(): void
    {
        $edition = self::edition('north', ['radish']);
        self::assertSame(hash('sha256', $edition->json), $edition->checksum);
        self::assertEquals($edition, EditionReader::open($edition->json, $edition->checksum));
        self::assertSame($edition->checksum, self::edition('north', ['radish'])->checksum, 'same inputs, same text');
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage('changed since it was published');
        EditionReader::open(str_replace('03-25', '03-26', $edition->json), $edition->checksum);
    }

    public function test_no_name_can_write_a_line_of_its_own_into_the_feed(): void
    {
        $feed = EditionICalendar::write(
            self::edition('north', ['radish'], name: "Basin\rBEGIN:VEVENT\rSUMMARY:forged\r\nX: 1\nY\x00\x07"),
            Words::in('en'),
            'https://x.example/zones/basin',
        );
        self::assertSame(0, preg_match('/\r(?!\n)|(?<!\r)\n|\x00|\x07/', $feed));
        $calendar = Reader::read($feed);
        self::assertSame(['Radish: sow outdoors'], array_map(static fn ($e): string => (string) $e->SUMMARY, $calendar->select('VEVENT')));
        self::assertStringStartsWith("Basin\nBEGIN:VEVENT\nSUMMARY:forged\nX: 1\nY", (string) $calendar->select('VEVENT')[0]->LOCATION);
    }

    public function test_a_window_that_begins_with_the_year_of_the_ruler_is_in_it(): void
    {
        $begins = static function (string $published): string {
            $edition = json_decode(self::edition('north', ['radish'], $published)->json, true);
            $edition['ruler']['starts'] = '03-25';
            $feed = EditionICalendar::write(EditionReader::open((string) json_encode($edition)), Words::in('en'), 'https://x.example/z');

            return (string) Reader::read($feed)->select('VEVENT')[0]->DTSTART;
        };
        self::assertSame(['20260325', '20250325'], [$begins('2026-03-25'), $begins('2026-03-24')]);
    }

    public function test_what_is_no_edition_is_refused(): void
    {
        $this->expectExceptionMessage('not an edition of the format');
        EditionReader::open('{"format":"other"}');
    }

    public function test_the_feed_is_read_by_an_independent_reader(): void
    {
        $edition = self::edition('north', ['radish', 'broccoli', 'parsnip', 'garlic-hardneck']);
        $feed = EditionICalendar::write($edition, Words::in('en'), 'https://x.example/zones/basin');
        $calendar = Reader::read($feed);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], array_filter($calendar->validate(), static fn (array $w): bool => $w['level'] > 1));
        $events = [];
        foreach ($calendar->select('VEVENT') as $event) {
            $events[(string) $event->SUMMARY] = [(string) $event->DTSTART, (string) $event->DTEND, (string) $event->UID];
        }
        self::assertSame(
            ['20260325', '20260909'],
            array_slice($events['Radish: sow outdoors'], 0, 2),
            'the end of an all-day event is the day after',
        );
        self::assertSame(['20260304', '20260703'], array_slice($events['Broccoli: start indoors'], 0, 2));
        self::assertArrayHasKey('Garlic, hardneck: plant', $events);
        self::assertCount(count($events), array_unique(array_column($events, 2)));
        self::assertSame('Basin, Floor; “north”', (string) $calendar->select('VEVENT')[0]->LOCATION);
        self::assertStringContainsString(
            'wear gloves',
            (string) array_values(
                array_filter($calendar->select('VEVENT'), static fn ($e): bool => str_starts_with((string) $e->SUMMARY, 'Parsnip')),
            )[0]->DESCRIPTION,
        );
        foreach (explode("\r\n", $feed) as $line) {
            self::assertLessThanOrEqual(75, strlen($line));
            self::assertTrue(mb_check_encoding($line, 'UTF-8'), 'folded inside a character');
        }
    }

    public function test_the_feed_is_the_one_kept_for_other_readers(): void
    {
        // resources/js/gardener/feed.test.ts reads the kept one with a reader of the npm registry.
        $kept = Fixtures::path('edition.ics');
        $feed = EditionICalendar::write(
            self::edition('north', ['radish', 'broccoli'], name: 'Basin Floor'),
            Words::in('en'),
            'https://x.example/zones/basin',
        );
        if (getenv('KEEP_FIXTURES') !== false) {
            file_put_contents($kept, $feed);
        }
        self::assertStringEqualsFile($kept, $feed);
    }

    public function test_a_short_feed_has_single_days_of_chosen_crops_that_keep_their_names_from_edition_to_edition(): void
    {
        $edition = self::edition('north', ['radish', 'broccoli'], name: 'Basin Floor');
        $read = static fn (string $language): array => array_map(
            static fn ($e): array => [
                (string) $e->UID,
                (string) $e->SUMMARY,
                (string) $e->DTSTART,
                (string) $e->DTEND,
                (string) $e->SEQUENCE,
                (string) $e->URL,
            ],
            iterator_to_array(
                Reader::read(
                    EditionICalendar::write(
                        $edition,
                        Words::in($language),
                        'https://x.example/zones/basin',
                        new FeedChoice(['radish'], true),
                    ),
                )->select('VEVENT'),
                false,
            ),
        );
        $events = $read('en');
        self::assertSame(
            ['Radish: sow outdoors, first day', 'Radish: sow outdoors, last chance', 'Radish: harvest from today'],
            array_column($events, 1),
        );
        self::assertSame(['20260325', '20260326'], [$events[0][2], $events[0][3]]);
        self::assertSame(['20260908', '20260909'], [$events[1][2], $events[1][3]], 'the last day itself');
        self::assertSame(['3'], array_unique(array_column($events, 4)), 'the number of the edition');
        self::assertSame('https://x.example/zones/basin/crops/radish', $events[0][5]);
        self::assertCount(3, array_unique(array_column($events, 0)));
        self::assertSame(array_column($events, 0), array_column($read('es'), 0), 'a language changes no identity');
        self::assertSame('Radish: sembrar al aire libre, primer día', $read('es')[0][1]);
    }

    public function test_a_southern_season_runs_over_the_new_year(): void
    {
        $feed = EditionICalendar::write(
            self::edition('south', ['bush-bean', 'kale'], '2026-01-15'),
            Words::in('en'),
            'https://x.example/zones/basin',
        );
        self::assertStringContainsString('DTSTART;VALUE=DATE:20251019', $feed, 'the window at hand began in October');
        self::assertStringContainsString('DTEND;VALUE=DATE:20260418', $feed);
        self::assertStringNotContainsString('Kale', $feed, 'the whole year is no event');
    }

    public function test_the_table_has_a_row_a_window(): void
    {
        $edition = self::edition('north', ['corn-salad', 'broccoli']);
        $rows = array_map(
            static fn (string $line): array => str_getcsv($line, ',', '"', ''),
            explode("\r\n", trim(EditionCsv::write('basin-floor', $edition->content['crops'], Words::in('en')))),
        );
        self::assertSame(['zone', 'crop', 'name', 'route', 'act', 'first', 'last', 'days'], array_slice($rows[0], 0, 8));
        self::assertSame(
            ['basin-floor', 'corn-salad', 'Corn salad', 'direct', 'sow outdoors', '03-18', '05-06', '50'],
            array_slice($rows[1], 0, 8),
        );
        self::assertSame('07-03', $rows[2][5]);
        self::assertSame(['transplant', 'transplant', '04-08'], [$rows[4][3], $rows[4][4], $rows[4][5]]);
        self::assertCount(5, $rows);
    }

    public function test_weeks_list_what_is_open_and_what_closes(): void
    {
        $weeks = self::edition('north', ['radish', 'broccoli', 'corn-salad'])->content['weeks'];
        self::assertCount(52, $weeks);
        self::assertSame(['12-24', '12-31'], [$weeks[51]['first'], $weeks[51]['last']]);
        self::assertSame([], $weeks[0]['tasks']);
        $opening = $weeks[WeekList::weekOf(YearDay::of(3, 25)) - 1]['tasks'];
        self::assertContains(
            ['radish', 'sow-outdoors', true, false],
            array_map(static fn (array $t): array => [$t['crop'], $t['act'], $t['opening'], $t['last_chance']], $opening),
        );
        $closing = $weeks[WeekList::weekOf(YearDay::of(9, 8)) - 1]['tasks'];
        self::assertSame(
            [['radish', '09-08', true]],
            array_map(static fn (array $t): array => [$t['crop'], $t['closes'], $t['last_chance']], $closing),
        );
        self::assertSame([], $weeks[WeekList::weekOf(YearDay::of(9, 8))]['tasks']);
        $july = $weeks[WeekList::weekOf(YearDay::of(7, 3)) - 1]['tasks'];
        self::assertContains('corn-salad', array_column($july, 'crop'), 'the second window opens');
        self::assertSame(52, WeekList::weekOf(YearDay::of(12, 31)));
    }

    public function test_the_ruler_counts_seasons_from_the_reference(): void
    {
        $ruler = self::edition('north', ['radish'])->content['ruler'];
        // July 15 is offset 0: offset 300 is May 11, with 13 · … of the reference's risk at 0 °C
        self::assertSame(13, $ruler['seasons']);
        $expected = Fixtures::json('freezes-north.json')['thresholds'][1];
        foreach ($expected['risk_of_freeze_on_or_after'] as $offset => $risk) {
            $day = YearDay::of(7, 15)->plus((int) $offset)->number;
            self::assertSame((int) round($risk * 14), $ruler['freeze_to_come'][$day - 1]);
        }
        self::assertSame('04-29', $ruler['freezes'][1]['last'][0]['date']);
        self::assertSame('09-30', $ruler['freezes'][1]['first'][0]['date']);
        self::assertSame(154, $ruler['freezes'][1]['free_days'][0]);
        self::assertGreaterThan(0.8, $ruler['freeze_chance'][14]);
        self::assertSame(0.0, $ruler['freeze_chance'][200]);
    }

    public function test_editions_say_the_same_whatever_their_number_and_date(): void
    {
        $one = self::edition('north', ['radish']);
        self::assertTrue($one->saysTheSameAs(self::edition('north', ['radish'], '2026-04-02')));
        self::assertFalse($one->saysTheSameAs(self::edition('north', ['kale'])));
        self::assertFalse($one->saysTheSameAs(self::edition('north', ['radish'], name: 'Elsewhere')));
    }

    public function test_a_fair_chance_is_published_where_there_is_no_window_and_told_apart(): void
    {
        $content = self::edition('north', ['radish'])->content;
        $content['crops'][0]['routes'][0]['chances'] = [['first' => '10-01', 'last' => '10-09', 'days' => 9, 'of_ten' => 6]];
        $beside = EditionDocument::frozen($content, '');
        self::assertStringNotContainsString(
            'fair',
            EditionICalendar::write($beside, Words::in('en'), 'https://x.example/zones/basin'),
            'beside a window it is no date of its own',
        );
        self::assertStringNotContainsString('10-01', EditionCsv::write('basin', $content['crops'], Words::in('en')));
        $content['crops'][0]['routes'][0]['windows'] = [];
        [$event] = Reader::read(
            EditionICalendar::write(EditionDocument::frozen($content, ''), Words::in('en'), 'https://x.example/zones/basin'),
        )->select('VEVENT');
        self::assertSame(
            ['Radish: sow outdoors (a fair chance)', '20261001', 'basin-floor-radish-direct-sow-outdoors-fair-1@anthesis'],
            [(string) $event->SUMMARY, (string) $event->DTSTART, (string) $event->UID],
        );
        self::assertStringContainsString('A fair chance: harvest in 6 years in 10.', (string) $event->DESCRIPTION);
        self::assertStringEndsWith(",count-back,6,\r\n", EditionCsv::write('basin', $content['crops'], Words::in('en')));
        $tasks = array_merge(...array_column(WeekList::of($content['crops']), 'tasks'));
        self::assertSame(
            [['radish', 6], ['radish', 6]],
            array_map(static fn (array $t): array => [$t['crop'], $t['of_ten']], $tasks),
            'in the two weeks it lies in',
        );
    }

    public function test_the_feed_of_a_withdrawn_edition_tells_that_it_was_and_nothing_else(): void
    {
        $edition = EditionReader::open((string) file_get_contents(dirname(__DIR__).'/fixtures/edition-format-1.json'))->withNotice([
            'on' => '2026-05-12',
            'reason' => 'From the wrong station.',
        ]);
        $feed = EditionICalendar::write($edition, Words::in('en'), 'https://x.example/zones/basin');
        self::assertSame(1, substr_count($feed, 'BEGIN:VEVENT'));
        foreach (
            [
                "UID:{$edition->content['zone']['slug']}-withdrawn-{$edition->content['edition']['number']}@anthesis",
                'DTSTART;VALUE=DATE:20260512',
                'DTEND;VALUE=DATE:20260513',
                'SUMMARY:Planting calendar withdrawn',
                'was withdrawn: From the wrong station.',
            ] as $line
        ) {
            self::assertStringContainsString($line, str_replace("\r\n ", '', $feed));
        }
        self::assertStringNotContainsString('RRULE', $feed, 'it is no event of every year');
    }
}
