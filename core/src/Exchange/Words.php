<?php

declare(strict_types=1);

namespace Anthesis\Exchange;

use Anthesis\Words\Phrase;
use InvalidArgumentException;
use MessageFormatter;

/**
 * The words for keys, from lang/<language>/*.json: ICU messages, the same files that the front end reads.
 *
 * @phpstan-import-type Words from Phrase as PhraseArray
 *
 * `pseudo` is English made longer and accented, for looking at screens: what is not in brackets there is not from these files.
 */
final class Words
{
    public const PSEUDO = 'pseudo';

    private const ACCENTED = ['a' => 'á', 'c' => 'ç', 'e' => 'é', 'i' => 'î', 'n' => 'ñ', 'o' => 'ö', 'u' => 'ü', 'y' => 'ý', 'A' => 'Å', 'E' => 'É', 'I' => 'Î', 'O' => 'Ø', 'S' => 'Š', 'U' => 'Û'];

    /** @var array<string, self> */
    private static array $languages = [];

    /** @param  array<string, string>  $messages by key */
    private function __construct(private readonly string $language, public readonly array $messages)
    {
    }

    /** @throws InvalidArgumentException when there is no such language */
    public static function in(string $language): self
    {
        return self::$languages[$language] ??= new self($language === self::PSEUDO ? 'en' : $language, self::read($language));
    }

    /** @return list<string> languages there are words in */
    public static function languages(): array
    {
        return array_map('basename', glob(self::folder().'/*', GLOB_ONLYDIR) ?: []);
    }

    /**
     * @param  Phrase|PhraseArray  $phrase  as the core speaks, or read back from a document
     */
    public function phrase(Phrase|array $phrase): string
    {
        return $phrase instanceof Phrase ? $this->say($phrase->key, $phrase->with) : $this->say($phrase['key'], $phrase['with'] ?? []);
    }

    /**
     * @param  array<string, mixed>  $values  numbers, texts, and phrases
     * @return string the message; the key itself where there are no words for it, so that a page still stands
     */
    public function say(string $key, array $values = []): string
    {
        $message = $this->messages[$key] ?? null;
        if ($message === null) {
            return $key;
        }
        // Most have nothing to fill in; an apostrophe alone is one in ICU, too.
        if (! str_contains($message, '{')) {
            return $message;
        }

        $values = array_map($this->value(...), $values);

        // A minus sign is one, not a hyphen.
        return (string) preg_replace('/(?<![\w.-])-(?=\d)/u', '−', MessageFormatter::formatMessage($this->language, $message, $values) ?: $key);
    }

    private function value(mixed $value): mixed
    {
        if (is_array($value)) {
            /** @var PhraseArray $value */
            return $this->phrase($value);
        }

        return $value instanceof Phrase ? $this->phrase($value) : $value;
    }

    public function has(string $key): bool
    {
        return isset($this->messages[$key]);
    }

    /** @return array<string, string> */
    private static function read(string $language): array
    {
        if ($language === self::PSEUDO) {
            return array_map(self::pseudo(...), self::read('en'));
        }
        $files = glob(self::folder()."/{$language}/*.json") ?: throw new InvalidArgumentException("There are no words in lang/{$language}.");
        $messages = [];
        foreach ($files as $file) {
            /** @var array<string, string> $own */
            $own = json_decode((string) file_get_contents($file), true, 4, JSON_THROW_ON_ERROR);
            $messages += $own;
        }

        return $messages;
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
