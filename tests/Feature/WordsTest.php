<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Messages\Words;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Finder\SplFileInfo;

/** What is said and what there are words for are the same, in the core, the application, and the screens, in every language. */
final class WordsTest extends TestCase
{
    private const SOURCES = ['core/src', 'app', 'resources/js'];

    /** Words requested by a whole key that appears in no source: those of columns, by CropColumnTable and the form. */
    private const KEY = '[a-z][a-z0-9_]*(?:-[a-z0-9_]+)*';

    public function test_every_key_that_is_said_has_words_in_every_language(): void
    {
        foreach (Words::languages() as $language) {
            $words = Words::in($language);
            self::assertSame(
                [],
                array_values(array_filter(self::literals(), static fn (string $key): bool => ! $words->has($key))),
                "lang/{$language} lacks words",
            );
            $lacking = array_filter(
                self::patterns('(?:Phrase::of|Say::key|->say|\\bsay)\(\s*'),
                static fn (string $pattern): bool => preg_grep($pattern, array_keys($words->messages)) === [],
            );
            self::assertSame([], array_values($lacking), "lang/{$language} lacks words");
        }
    }

    public function test_every_word_is_used(): void
    {
        $literals = array_flip(self::literals());
        $unused = array_filter(array_keys(Words::in('en')->messages), static function (string $key) use ($literals): bool {
            return ! isset($literals[$key]) &&
                array_filter(self::patterns(), static fn (string $pattern): bool => preg_match($pattern, $key) === 1) === [];
        });
        self::assertSame([], array_values($unused), 'these are said nowhere');
    }

    public function test_no_key_stands_in_two_files_and_every_language_says_all_that_the_public_reads_with_the_same_parameters(): void
    {
        foreach (Words::languages() as $language) {
            $keys = array_merge(
                ...array_map(static fn (string $file): array => array_keys(self::file($language, $file)), self::files($language)),
            );
            self::assertSame(
                [],
                array_keys(array_filter(array_count_values($keys), static fn (int $count): bool => $count > 1)),
                "lang/{$language} has these twice",
            );
            if ($language === Words::SOURCE) {
                continue;
            }
            self::assertEqualsCanonicalizing(
                [...Words::PUBLIC, ...Words::MAILED],
                self::files($language),
                "lang/{$language} has other files than what is read or mailed",
            );
            foreach ([...Words::PUBLIC, ...Words::MAILED] as $file) {
                [$english, $own] = [self::file(Words::SOURCE, $file), self::file($language, $file)];
                self::assertSame(
                    [[], []],
                    [array_keys(array_diff_key($own, $english)), array_keys(array_diff_key($english, $own))],
                    "lang/{$language}/{$file}.json has words nobody asks for, or lacks some",
                );
                foreach ($english as $key => $message) {
                    self::assertEqualsCanonicalizing(self::parameters($message), self::parameters($own[$key]), "lang/{$language}: {$key}");
                    self::assertNotSame('', trim($own[$key]), "lang/{$language}: {$key}");
                }
            }
        }
    }

    public function test_public_pages_letters_and_feeds_say_nothing_but_what_is_in_every_language(): void
    {
        $public = array_merge(...array_map(static fn (string $file): array => self::file(Words::SOURCE, $file), Words::PUBLIC));
        foreach (
            [
                'resources/js/gardener',
                'resources/js/charts',
                'resources/js/time',
                'app/Gardener',
                'app/Letters',
                'core/src/Publishing/EditionICalendar.php',
                'core/src/Publishing/EditionCsv.php',
                'core/src/Calendar',
            ] as $place
        ) {
            $source = self::sourceOf($place);
            preg_match_all("/(?:Phrase::of|->say|\\bsay)\(\s*'([^'\$]+[^'.\$])'/", $source, $found);
            $desk = array_diff($found[1], array_keys($public), self::AT_THE_DESK);
            self::assertSame([], array_values($desk), "{$place} says what only English has words for");
        }
    }

    /** Charts and times used only at the desk. */
    private const AT_THE_DESK = ['date.of-week', 'common.1-year-in-2', 'common.site', 'behind.take-as-read', 'measure.labeled'];

    /** @return list<string> names of a language's files */
    private static function files(string $language): array
    {
        return array_map(
            static fn (string $path): string => basename($path, '.json'),
            glob(dirname(__DIR__, 2)."/lang/{$language}/*.json") ?: [],
        );
    }

    /** @return array<string, string> */
    private static function file(string $language, string $file): array
    {
        return (array) json_decode((string) file_get_contents(dirname(__DIR__, 2)."/lang/{$language}/{$file}.json"), true);
    }

    /** @return list<string> what a message is filled in with: the arguments of ICU, not the arms of its choices */
    private static function parameters(string $message): array
    {
        $names = [];
        // Whether a brace opens an argument (in a text) or an arm (in an argument).
        $inText = [true];
        for ($i = 0, $n = strlen($message); $i < $n; $i++) {
            if ($message[$i] === '}') {
                array_pop($inText);
            } elseif ($message[$i] === '{') {
                if (end($inText) === true && preg_match('/\G\{\s*(\w+)\s*[,}]/', $message, $found, 0, $i) === 1) {
                    $names[$found[1]] = true;
                }
                $inText[] = ! end($inText);
            }
        }

        // Only English has more than one way to write a day.
        return array_map(strval(...), array_keys(array_diff_key($names, ['dates' => true])));
    }

    /** @return list<string> keys that appear in a source as they are */
    private static function literals(): array
    {
        preg_match_all(
            "/['\"`](".
                self::KEY.
                '(?:\.'.
                self::KEY.
                ")+|verbatim|day|date|celsius|month|hours|span|guidance|disagreement|metres|centimetres|first-guess)['\"`]/",
            self::source(),
            $found,
        );
        $known = Words::in('en');
        $said = self::said();

        // A dotted text is a key if it is passed to something that says words, or if there are words for it.
        return array_values(array_unique([...$said, ...array_filter($found[1], $known->has(...))]));
    }

    /** @return list<string> keys passed directly to what says them */
    private static function said(): array
    {
        preg_match_all("/(?:Phrase::of|Say::key|->say|\bsay)\(\s*'([^'\$]+[^'.\$])'/", self::source(), $found);
        preg_match_all("/FormatError::(?:inFile\(\s*|at\([^,]+,\s*(?:isset\([^)]*\) \? )?)'([a-z][\w.-]*)'/", self::source(), $errors);
        preg_match_all("/->refuse\([^;]*?,\s*'([a-z]+\.[a-z-]+|no-temperature)'/", self::source(), $refused);

        return array_values(
            array_unique([...$found[1], ...array_map(static fn (string $key): string => "error.{$key}", [...$errors[1], ...$refused[1]])]),
        );
    }

    /**
     * @param  string  $call  what the key has to appear in, as a pattern; anywhere, if left out
     * @return list<string> keys of which a part is computed, as patterns
     */
    private static function patterns(string $call = ''): array
    {
        // `act.${route.act}.lead`, "outcome.{$reason->value}", 'trend.'.match (…); errors leave their first part out
        preg_match_all(
            '/'.$call.'[`"]((?:'.self::KEY.'\.)*[a-z-]*\.?)(?:\$\{[^`]*?\}|\{\$[^"]*?\})([a-z.-]*)[`"]/',
            self::source(),
            $found,
            PREG_SET_ORDER,
        );
        preg_match_all("/(?:Phrase::of|say|Say::key)\(\s*'([a-z-]+\.)'\s*\./", self::source(), $joined);
        $patterns = array_map(static fn (string $before): string => '/^'.preg_quote($before, '/').'[\w-]+$/', $joined[1]);
        foreach ($found as [, $before, $after]) {
            if (str_contains($before, '.') || str_starts_with($after, '.')) {
                $patterns[] = '/^(error\.)?'.preg_quote($before, '/').'[\w.-]+'.preg_quote($after, '/').'$/';
            }
        }

        return array_values(array_unique($patterns));
    }

    private static function source(): string
    {
        static $source = null;

        return $source ??= implode("\n", array_map(self::sourceOf(...), self::SOURCES));
    }

    private static function sourceOf(string $place): string
    {
        $path = dirname(__DIR__, 2)."/{$place}";
        if (is_file($path)) {
            return (string) file_get_contents($path);
        }
        $files = Finder::create()
            ->files()
            ->in($path)
            ->name('/\.(php|tsx?)$/')
            ->notName(['*.test.*', 'schema.ts']);

        return implode("\n", array_map(static fn (SplFileInfo $file): string => $file->getContents(), iterator_to_array($files, false)));
    }
}
