<?php

declare(strict_types=1);

namespace Anthesis\Tests\Messages;

use Anthesis\Climate\FreezeRisk;
use Anthesis\Climate\FreezeThreshold;
use Anthesis\Crop\Act;
use Anthesis\Crop\Caution;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Maturity;
use Anthesis\Crop\Route;
use Anthesis\Log\LoggedAct;
use Anthesis\Messages\Words;
use Anthesis\Record\QualityRule;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Outcome;
use Anthesis\Stations\RecordFormat;
use Anthesis\Tests\Fixtures;
use Anthesis\Window\Reason;
use Anthesis\Words\Phrase;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PhraseTest extends TestCase
{
    public function test_a_phrase_holds_phrases_and_is_said_the_same_from_json(): void
    {
        $phrase = Phrase::of('derivation.last-freeze', [
            'limit' => Phrase::celsius(-2.2),
            'risk' => FreezeRisk::oneYearIn(10)->phrase(),
        ]);
        $words = Words::in('en');
        self::assertSame('Last freeze (−2.2 °C), later in 1 year in 10', $words->phrase($phrase));
        $read = json_decode((string) json_encode($phrase), true);
        self::assertSame($phrase->toArray(), $read);
        self::assertSame('Last freeze (−2.2 °C), later in 1 year in 10', $words->phrase($read));
        self::assertSame(['key' => 'guidance'], Phrase::of('guidance')->toArray());
    }

    public function test_days_and_temperatures_are_said_as_people_write_them(): void
    {
        $words = Words::in('en');
        self::assertSame(
            ['12 May', '1 January', '31 December'],
            array_map(static fn (YearDay $d): string => $words->phrase(Phrase::day($d)), [
                YearDay::of(5, 12),
                YearDay::of(1, 1),
                YearDay::of(12, 31),
            ]),
        );
        self::assertSame(['0 °C', '10.6 °C'], [$words->phrase(Phrase::celsius(-0.04)), $words->phrase(Phrase::celsius(10.56))]);
        self::assertSame('as it stands {0}', $words->phrase(Phrase::verbatim('as it stands {0}')));
    }

    public function test_risks_are_one_year_in_so_many_where_that_is_a_whole_number(): void
    {
        $said = static fn (float $chance): string => Words::in('en')->phrase(FreezeRisk::of($chance)->phrase());
        self::assertSame(
            ['1 year in 2', '1 year in 10', '1 year in 3', '30 years in 100', '90 years in 100'],
            array_map($said, [0.5, 0.1, 1 / 3, 0.3, 0.9]),
        );
    }

    public function test_a_broken_text_of_a_file_can_stand_in_a_phrase(): void
    {
        self::assertNotFalse(json_encode(Phrase::of('error.no-temperature', ['text' => "caf\xE9"])));
    }

    #[TestWith(['radish', Route::Direct, '26 days from sowing'])]
    #[TestWith(['broccoli', Route::Transplant, '58 days from transplanting'])]
    #[
        TestWith([
            'broccoli',
            Route::Direct,
            '58 days from transplanting, 22 that a seedling has grown indoors, and 7 to emerge',
        ]),
    ]
    #[TestWith(['lettuce-head', Route::Transplant, '70 days from sowing, less 3 to emerge and 18 grown indoors'])]
    public function test_days_to_maturity_follow_from_the_packet(string $slug, Route $route, string $words): void
    {
        $crop = Fixtures::crops()->find($slug);
        self::assertInstanceOf(Crop::class, $crop);
        self::assertSame($words, Words::in('en')->phrase((new Maturity($crop))->phrase($route)));
    }

    public function test_every_code_has_words(): void
    {
        $keys = [];
        foreach (
            [
                'act' => Act::cases(),
                'outcome' => Outcome::cases(),
                'reason' => Reason::cases(),
                'caution' => Caution::cases(),
                'quality' => QualityRule::cases(),
                'threshold' => FreezeThreshold::cases(),
                'record-format' => RecordFormat::cases(),
            ] as $kind => $cases
        ) {
            foreach ($cases as $case) {
                $keys[] = "{$kind}.{$case->value}";
                $keys[] = match ($kind) {
                    'act' => "act.{$case->value}.lead",
                    'outcome', 'reason' => "{$kind}.{$case->value}.short",
                    default => "{$kind}.{$case->value}",
                };
            }
        }
        foreach (LoggedAct::cases() as $act) {
            // The log is for people of the office, who read the source language.
            self::assertTrue(Words::in(Words::SOURCE)->has("logged.{$act->value}"), $act->value);
        }
        foreach (Words::languages() as $language) {
            self::assertSame(
                [],
                array_values(array_filter($keys, static fn (string $key): bool => ! Words::in($language)->has($key))),
                $language,
            );
        }
    }
}
