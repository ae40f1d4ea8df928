<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Crop\CropBook;
use Anthesis\Crop\LightSchool;
use Anthesis\Place\KnownRecord;
use Anthesis\Place\Place;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Soil\Site;
use App\Results\Question;
use App\Results\Result;
use App\Results\ResultKind;
use App\Results\Results;
use Illuminate\Foundation\Testing\LazilyRefreshDatabase;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** Results are kept under what they were computed from, read back, and deleted when nobody uses them any longer. */
final class ResultsTest extends TestCase
{
    use LazilyRefreshDatabase;

    /** How often something was answered. */
    public static int $answers = 0;

    protected function setUp(): void
    {
        parent::setUp();
        self::$answers = 0;
    }

    public function test_what_was_answered_once_is_not_answered_again(): void
    {
        for ($asked = 0; $asked < 2; $asked++) {
            self::assertSame(['of' => 3, 'site' => 'open ground'], Results::of(self::place(), self::question(3)));
            self::assertSame(1, self::$answers);
        }
        self::assertSame(['of' => 4, 'site' => 'open ground'], Results::of(self::place(), self::question(4)), 'another question');
        self::assertSame(
            ['of' => 3, 'site' => 'raised bed'],
            Results::of(self::place()->at(Site::named('raised bed')), self::question(3)),
            'at another place',
        );
        self::assertSame(
            ['of' => 3, 'site' => 'open ground'],
            Results::of(self::place()->inSeason(Day::of(2021, 1, 1), null), self::question(3)),
            'it asks of no season',
        );
        self::assertSame(3, self::$answers);
    }

    public function test_many_are_answered_at_once_and_those_alike_once(): void
    {
        Results::of(self::place(), self::question(1));
        self::assertSame(
            ['a' => 1, 'b' => 2, 'c' => 2],
            array_map(
                static fn (array $c): int => $c['of'],
                Results::each(self::place(), ['a' => self::question(1), 'b' => self::question(2), 'c' => self::question(2)]),
            ),
        );
        self::assertSame(2, self::$answers);
        self::assertSame([], Results::each(self::place(), []));
        self::assertSame(
            ['x' => Results::fingerprints(self::place(), [self::question(2)])[0]],
            Results::keep(self::place(), ['x' => self::question(2)]),
        );
        self::assertSame(2, self::$answers);
    }

    #[TestWith([1])]
    #[TestWith([2])]
    public function test_many_are_kept_as_they_are_answered_and_stay_when_somebody_stops(int $processors): void
    {
        config(['anthesis.processors' => $processors]);
        $questions = [];
        foreach (range(1, 25) as $of) {
            $questions["of {$of}"] = self::question($of);
        }
        foreach (Results::makeMany(self::place(), $questions) as $kept) {
            self::assertSame(10, $kept);
            break;
        }
        self::assertSame(10, Result::query()->count());
        $unknown = Results::unknown($questions, Results::fingerprints(self::place(), $questions));
        self::assertSame([10, 15], iterator_to_array(Results::makeMany(self::place(), $unknown), false));
        self::assertSame(range(1, 25), array_column(Results::each(self::place(), array_values($questions)), 'of'));
        self::assertSame([], iterator_to_array(Results::makeMany(self::place(), [])));
    }

    /** @return iterable<string, array{ResultKind}> */
    public static function kinds(): iterable
    {
        foreach (ResultKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_what_nobody_used_is_put_away_when_its_kind_is_kept_no_longer(ResultKind $kind): void
    {
        $this->freezeSecond();
        Results::before($kind, ['used'], static fn (): array => ['it' => 'used']);
        Results::before($kind, ['forgotten'], static fn (): array => ['it' => 'forgotten']);
        $this->travel($kind->keptDays())->days();
        Results::before($kind, ['used'], static fn (): array => self::fail('it is there'));
        $this->artisan('anthesis:prune')->assertSuccessful();
        self::assertCount(2, Result::all(), 'to the last day');
        $this->travel(1)->hours();
        $this->artisan('anthesis:prune')->assertSuccessful();
        self::assertSame('{"it":"used"}', Result::query()->sole()->payload);
        self::assertSame(
            ['it' => 'anew'],
            Results::before($kind, ['forgotten'], static fn (): array => ['it' => 'anew']),
            'what is gone is computed again, and nobody is refused',
        );
    }

    private static function place(): Place
    {
        $record = KnownRecord::of(new DailyRecord(Day::of(2020, 1, 1), [1.0], [2.0]));

        return new Place($record, $record, Latitude::of(47.0), LightSchool::Radiation, [Site::openGround()], CropBook::none());
    }

    private static function question(int $number): Question
    {
        return new class($number) implements Question
        {
            public function __construct(private readonly int $number)
            {
            }

            public function kind(): ResultKind
            {
                return ResultKind::Today;
            }

            public function inputs(): array
            {
                return [$this->number];
            }

            public function of(Place $place): Place
            {
                return $place->withoutSeason();
            }

            public function answer(Place $place): array
            {
                ResultsTest::$answers++;

                return ['of' => $this->number, 'site' => $place->site()->name];
            }
        };
    }
}
