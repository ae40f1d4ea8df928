<?php

declare(strict_types=1);

namespace Anthesis\Tests\Messages;

use Anthesis\Messages\Words;
use InvalidArgumentException;
use MessageFormatter;
use PHPUnit\Framework\TestCase;

final class WordsTest extends TestCase
{
    public function test_every_message_of_every_language_is_one_that_icu_reads(): void
    {
        self::assertContains('en', Words::languages());
        foreach (Words::languages() as $language) {
            foreach (Words::in($language)->messages as $key => $message) {
                self::assertNotNull(MessageFormatter::create($language, $message), "lang/{$language}: {$key}");
            }
        }
    }

    public function test_values_are_filled_in_and_a_key_without_words_stands_for_itself(): void
    {
        $words = Words::in('en');
        self::assertSame('−5 to 1,000 cm', $words->say('crop-range.cm', ['least' => -5, 'most' => 1000]));
        self::assertSame('Year-by-year replay', $words->say('school.replay.name'));
        self::assertSame('no.such.key', $words->say('no.such.key'));
        self::assertSame([true, false], [$words->has('school.replay.name'), $words->has('no.such.key')]);
        $this->expectException(InvalidArgumentException::class);
        Words::in('xx');
    }

    public function test_the_pseudo_language_is_longer_and_accented_but_keeps_its_values(): void
    {
        $words = Words::in(Words::PSEUDO[0]);
        self::assertSame('[Yéár-bý-ýéár répláý~~~~~~]', $words->say('school.replay.name'));
        self::assertStringContainsString('1 tö 9', $words->say('crop-range.days', ['least' => 1, 'most' => 9]));
    }
}
