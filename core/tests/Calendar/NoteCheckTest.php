<?php

declare(strict_types=1);

namespace Anthesis\Tests\Calendar;

use Anthesis\Calendar\NoteCheck;
use Anthesis\Crop\Route;
use Anthesis\Record\YearDay;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class NoteCheckTest extends TestCase
{
    /**
     * @param  list<array{string, string}>  $windows
     * @param  list<array{string, string}>  $harvests
     * @return array<string, mixed>
     */
    private static function sheet(?string $note, array $windows, array $harvests = []): array
    {
        $spans = static fn (array $all): array => array_map(
            static fn (array $s): array => [
                'first' => $s[0],
                'last' => $s[1],
                'days' => YearDay::fromIso($s[0])->daysUntil(YearDay::fromIso($s[1])) + 1,
            ],
            $all,
        );

        return [
            'notes' => $note,
            'routes' => [
                [
                    'route' => Route::Direct->value,
                    'act' => 'sow-outdoors',
                    'windows' => $spans($windows),
                    'under_cover' => [],
                    'harvests' => $spans($harvests),
                ],
            ],
        ];
    }

    #[TestWith(['Plant in autumn: it wants a cold spell.', 'north', 'autumn'])]
    #[TestWith(['Set out from midsummer for cutting in spring.', 'north', 'summer'])]
    #[TestWith(['The hardiest salad: for winter sowing.', 'north', 'winter'])]
    #[TestWith(['Chiefly a fall crop.', 'north', 'autumn'])]
    #[TestWith(['Sow in spring.', 'north', null])]
    #[TestWith(['Sow in spring.', 'south', 'spring'])]
    #[TestWith(['Sow in autumn.', 'south', null])]
    #[TestWith(['Autumn sowings bolt.', 'north', null])]
    #[TestWith(['Sweeter after frost in autumn.', 'north', null])]
    #[TestWith(['Sow early. It ends in autumn.', 'north', null])]
    #[TestWith([null, 'north', null])]
    public function test_a_season_in_which_a_note_asks_for_something_that_has_no_date_is_found(
        ?string $note,
        string $hemisphere,
        ?string $season,
    ): void {
        self::assertSame($season, NoteCheck::contradiction(self::sheet($note, [['04-10', '05-10']]), $hemisphere));
    }

    public function test_a_date_that_only_touches_the_season_is_one(): void
    {
        $of = static fn (array $windows, array $harvests = []): ?string => NoteCheck::contradiction(
            self::sheet('Sow in autumn.', $windows, $harvests),
            'north',
        );
        self::assertNull($of([['11-28', '12-20']]), 'its last day');
        self::assertSame('autumn', $of([['11-29', '12-20']]));
        self::assertNull($of([['07-01', '09-01']]), 'its first day');
        self::assertSame('autumn', $of([['07-01', '08-31']]));
        self::assertNull($of([['07-01', '12-31']]), 'around it');
        self::assertNull($of([['05-01', '05-10']], [['10-01', '10-05']]), 'a harvest counts');
        self::assertNull(
            NoteCheck::contradiction(self::sheet('Sow in winter.', [['01-10', '02-01']]), 'north'),
            'a season over the turn of the year',
        );
        self::assertNull($of([]), 'nothing to hold it against');
    }
}
