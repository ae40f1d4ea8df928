<?php

declare(strict_types=1);

namespace Anthesis\Tests\Messages;

use Anthesis\Messages\UnitSystem;
use Anthesis\Messages\Words;
use Anthesis\Tests\Fixtures;
use Anthesis\Words\Phrase;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class UnitSystemTest extends TestCase
{
    #[TestWith(['celsius', 0, 'fahrenheit', 32.0])]
    #[TestWith(['celsius', -40, 'fahrenheit', -40.0])]
    #[TestWith(['celsius', 10.0, 'fahrenheit', 50.0])]
    #[TestWith(['celsius', -2.2, 'fahrenheit', 28.0])]
    #[TestWith(['celsius', -17.8, 'fahrenheit', 0.0])]
    #[TestWith(['celsius_more', 1.8, 'fahrenheit_more', 3.2])]
    #[TestWith(['celsius_more', 0.0, 'fahrenheit_more', 0.0])]
    #[TestWith(['cm', 1, 'inches', '½'])]
    #[TestWith(['cm', 0.2, 'inches', '¼'])]
    #[TestWith(['cm', 2, 'inches', '¾'])]
    #[TestWith(['cm', 2.54, 'inches', '1'])]
    #[TestWith(['cm', 4, 'inches', '1½'])]
    #[TestWith(['cm', 10.1, 'inches', '4'])]
    #[TestWith(['cm', 10.2, 'inches', '4'])]
    #[TestWith(['cm', 30, 'inches', '12'])]
    #[TestWith(['depth', 5, 'inches', '2'])]
    #[TestWith(['metres', 410, 'feet', 1350.0])]
    #[TestWith(['metres', -1, 'feet', 0.0])]
    #[TestWith(['km', 16, 'miles', 10.0])]
    #[TestWith(['kg', 2.5, 'pounds', 5.5])]
    public function test_a_metric_value_is_said_in_the_other_units_as_growers_do(
        string $name,
        int|float $value,
        string $other,
        string|float $said,
    ): void {
        self::assertSame($said, UnitSystem::Us->with([$name => $value])[$other]);
    }

    /** Reckoned with decimal fractions, halves away from zero; the browser's units are held to the same file. */
    public function test_both_languages_round_as_on_paper(): void
    {
        foreach (Fixtures::json('units.json') as [$name, $value, $other, $said]) {
            $of = UnitSystem::Us->with([$name => $value])[$other];
            self::assertSame(is_string($said) ? $said : (float) $said, $of, "{$value} {$name}");
            self::assertNotSame('-0', (string) $of);
        }
    }

    public function test_nothing_but_measures_is_put_into_other_units_and_nothing_is_lost(): void
    {
        $values = ['celsius' => 10, 'days' => 4, 'crop' => 'Kale', 'cm' => 'five'];
        self::assertSame($values + ['fahrenheit' => 50.0, 'units' => 'us'], UnitSystem::Us->with($values));
        self::assertSame('metric', UnitSystem::Metric->with($values)['units']);
    }

    #[TestWith(['soil above about 27 °C.', 'soil above about 81 °F.'])]
    #[TestWith(['stay above about −10 °C, else', 'stay above about 14 °F, else'])]
    #[TestWith(['−30 °C kills it', '−22 °F kills it'])]
    #[TestWith(['from 10 to 15 °C', 'from 50 to 59 °F'])]
    #[TestWith(['10–15 °C', '50–59 °F'])]
    #[TestWith(['a 10,5 °C', 'a 51 °F'])]
    #[TestWith(['30 cm apart, 2 cm deep', '12 in apart, ¾ in deep'])]
    #[TestWith(['27 days, 3 cmos', '27 days, 3 cmos'])]
    public function test_measures_within_a_sentence_are_in_the_reader_s_units(string $text, string $said): void
    {
        self::assertSame($said, UnitSystem::Us->inText($text));
        self::assertSame($text, UnitSystem::Metric->inText($text));
    }

    public function test_words_say_either_units_and_translate_what_people_wrote(): void
    {
        $us = Words::in('es', UnitSystem::Us, ['Radish' => 'Rábano', 'Hot above 27 °C.' => 'Picante por encima de 27 °C.']);
        self::assertSame('50 °F', $us->phrase(Phrase::celsius(10.0)));
        self::assertSame('10 °C', Words::in('es')->phrase(Phrase::celsius(10.0)));
        self::assertSame('9,4 °C', Words::in('es')->phrase(Phrase::celsius(9.4)), 'numbers as the language writes them');
        self::assertSame(
            'Rábano: sembrar al aire libre',
            $us->say('feed.event', ['crop' => 'Radish', 'act' => Phrase::of('act.sow-outdoors')]),
        );
        self::assertSame('Picante por encima de 81 °F.', $us->own('Hot above 27 °C.'));
        self::assertSame('Kale', $us->own('Kale'), 'what is not translated is as it was written');
        self::assertSame('Radish', Words::in('es')->own('Radish'), 'translations are of those words alone');
    }

    public function test_what_is_said_at_the_desk_alone_is_english_everywhere_and_some_languages_are_read_from_the_right(): void
    {
        self::assertSame(Words::in('en')->say('common.cancel'), Words::in('es')->say('common.cancel'));
        self::assertSame([true, true, false, false], array_map(Words::isFromTheRight(...), ['mirrored', 'ar', 'es', 'pseudo']));
        self::assertSame(Words::in('pseudo')->say('common.cancel'), Words::in('mirrored')->say('common.cancel'));
    }
}
