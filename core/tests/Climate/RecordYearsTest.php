<?php

declare(strict_types=1);

namespace Anthesis\Tests\Climate;

use Anthesis\Climate\FreezeStatistics;
use Anthesis\Climate\RecordTooShort;
use Anthesis\Climate\RecordYears;
use Anthesis\Tests\Fixtures;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RecordYearsTest extends TestCase
{
    #[TestWith(['north'])]
    #[TestWith(['south'])]
    public function test_the_latest_years_are_whole_cold_seasons(string $station): void
    {
        $record = Fixtures::record($station);
        $latitude = Fixtures::latitude($station);
        $all = array_column(FreezeStatistics::of($record, $latitude, 0.0)->seasons, 'season');
        $latest = RecordYears::latest($record, $latitude, 5);
        self::assertSame(array_slice($all, -5), array_column(FreezeStatistics::of($latest, $latitude, 0.0)->seasons, 'season'));
        self::assertSame($record->last()->iso(), $latest->last()->iso());
        self::assertSame($latitude->coldSeasonStart()->iso(), substr($latest->first->iso(), 5));
    }

    public function test_an_educator_may_choose_thirty_twenty_or_fifteen_years(): void
    {
        self::assertSame([30, 20, 15], RecordYears::LATEST);
    }

    public function test_a_shorter_record_is_used_whole(): void
    {
        self::assertSame(
            Fixtures::record('north')->checksum(),
            RecordYears::latest(Fixtures::record('north'), Fixtures::latitude('north'), 30)->checksum(),
        );
    }

    public function test_a_period_gives_the_seasons_named_and_agrees_with_choosing_seasons(): void
    {
        $record = Fixtures::record('north');
        $latitude = Fixtures::latitude('north');
        $period = RecordYears::period($record, $latitude, 2003, 2007);
        self::assertSame(['2002-07-15', '2007-07-14'], [$period->first->iso(), $period->last()->iso()]);
        self::assertEquals(
            FreezeStatistics::of($record, $latitude, 0.0, 2003, 2007)->seasons,
            FreezeStatistics::of($period, $latitude, 0.0)->seasons,
        );
        $this->expectException(RecordTooShort::class);
        $this->expectExceptionMessage('no-day-between","with":{"from":"1899-07-15","to":"1910-07-14"}');
        RecordYears::period($record, $latitude, 1900, 1910);
    }
}
