<?php

declare(strict_types=1);

namespace Anthesis\Messages;

use Anthesis\Words\Phrase;
use InvalidArgumentException;
use MessageFormatter;

/**
 * The words for keys, from lang/<language>/*.json: ICU messages, in the same files that the front end reads.
 *
 * @phpstan-import-type Words from Phrase as PhraseArray
 *
 * If a language has no words for a key, the English ones are used. Only what the public reads (PUBLIC) and what people are mailed (MAILED)
 * is in every language.
 *
 * `pseudo` is English made longer and accented, for checking screens: anything not in brackets there does not come from these files.
 * `mirrored` is the same, read from the right.
 */
final class Words
{
    public const SOURCE = 'en';

    public const PSEUDO = ['pseudo', 'mirrored'];

    /** Files of what gardeners read on pages and paper, in feeds and newsletters. Every language has these. */
    public const PUBLIC = ['charts', 'core', 'derivations', 'letters', 'office', 'pages', 'schools', 'season', 'sheets'];

    /** Files of what people in an office get by mail. */
    public const MAILED = ['attention', 'mail'];

    /** Languages read from the right. */
    private const FROM_THE_RIGHT = ['ar', 'fa', 'he', 'ur', 'mirrored'];

    private const ACCENTED = [
        'a' => 'á',
        'c' => 'ç',
        'e' => 'é',
        'i' => 'î',
        'n' => 'ñ',
        'o' => 'ö',
        'u' => 'ü',
        'y' => 'ý',
        'A' => 'Å',
        'E' => 'É',
        'I' => 'Î',
        'O' => 'Ø',
        'S' => 'Š',
        'U' => 'Û',
    ];

    /** @var array<string, self> */
    private static array $languages = [];

    /**
     * @param  array<string, string>  $messages  by key
     * @param  array<string, string>  $own  translations of what people wrote, by their text
     */
    private function __construct(
        public readonly string $language,
        public readonly array $messages,
        private readonly UnitSystem $units = UnitSystem::Metric,
        private readonly array $own = [],
        private readonly DateStyle $dates = DateStyle::DayFirst,
    ) {
    }

    /**
     * @param  array<string, string>  $own  translations of what people wrote (crop names, notes, reasons), by their text
     * @param  DateStyle|null  $dates  null: the way people who use these units write them
     *
     * @throws InvalidArgumentException if there is no such language
     */
    public static function in(
        string $language,
        UnitSystem $units = UnitSystem::Metric,
        array $own = [],
        ?DateStyle $dates = null,
    ): self {
        $words = self::$languages[$language] ??= new self(
            in_array($language, self::PSEUDO, true) ? self::SOURCE : $language,
            self::read($language),
        );

        $dates ??= $units->dates();
        $isPlain = $units === UnitSystem::Metric && $dates === DateStyle::DayFirst && $own === [];

        return $isPlain ? $words : new self($words->language, $words->messages, $units, $own, $dates);
    }

    /** @return list<string> the languages there are */
    public static function languages(): array
    {
        return array_map('basename', glob(self::folder().'/*', GLOB_ONLYDIR) ?: []);
    }

    /** Whether a language is read from the right. */
    public static function isFromTheRight(string $language): bool
    {
        return in_array($language, self::FROM_THE_RIGHT, true);
    }

    /** @return string what a person wrote, in this language if it was translated, otherwise as it is; in these units */
    public function own(string $text): string
    {
        return $this->units->inText($this->own[$text] ?? $text);
    }

    /** @param  Phrase|PhraseArray  $phrase  as the core makes it, or read back from a document */
    public function phrase(Phrase|array $phrase): string
    {
        return $phrase instanceof Phrase ? $this->say($phrase->key, $phrase->with) : $this->say($phrase['key'], $phrase['with'] ?? []);
    }

    /**
     * @param  array<string, mixed>  $values  numbers, texts, and phrases
     * @return string the message; if there are no words for the key, the key itself, so the page still works
     */
    public function say(string $key, array $values = []): string
    {
        $message = $this->messages[$key] ?? null;
        if ($message === null) {
            return $key;
        }
        // Most have nothing to fill in. A single apostrophe is an apostrophe in ICU, too.
        if (! str_contains($message, '{')) {
            return $message;
        }

        $values = array_map($this->value(...), $this->units->with($values) + ['dates' => $this->dates->value]);

        // Use a minus sign, not a hyphen.
        return (string) preg_replace(
            '/(?<![\w.-])-(?=\d)/u',
            '−',
            MessageFormatter::formatMessage($this->language, $message, $values) ?: $key,
        );
    }

    private function value(mixed $value): mixed
    {
        if (is_array($value)) {
            /** @var PhraseArray $value */
            return $this->phrase($value);
        }

        return match (true) {
            $value instanceof Phrase => $this->phrase($value),
            is_string($value) => $this->own($value),
            default => $value,
        };
    }

    public function has(string $key): bool
    {
        return isset($this->messages[$key]);
    }

    /** @return array<string, string> */
    private static function read(string $language): array
    {
        if (in_array($language, self::PSEUDO, true)) {
            return array_map(self::pseudo(...), self::read(self::SOURCE));
        }
        $files =
            glob(self::folder()."/{$language}/*.json") ?: throw new InvalidArgumentException("There are no words in lang/{$language}.");
        $messages = [];
        foreach ($files as $file) {
            /** @var array<string, string> $own */
            $own = json_decode((string) file_get_contents($file), true, 4, JSON_THROW_ON_ERROR);
            $messages += $own;
        }

        return $language === self::SOURCE ? $messages : $messages + self::in(self::SOURCE)->messages;
    }

    /** Accented outside of braces, and a third longer. */
    private static function pseudo(string $message): string
    {
        $depth = $letters = 0;
        $words = '';
        foreach (mb_str_split($message) as $character) {
            $depth += match ($character) {
                '{' => 1,
                '}' => -1,
                default => 0,
            };
            $letters += $depth === 0 ? 1 : 0;
            $words .= $depth === 0 ? strtr($character, self::ACCENTED) : $character;
        }

        return "[{$words}".str_repeat('~', intdiv($letters, 3)).']';
    }

    private static function folder(): string
    {
        return dirname(__DIR__, 3).'/lang';
    }
}
