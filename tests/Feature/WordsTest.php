<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Exchange\Words;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Finder\SplFileInfo;

/** What is said and what there are words for are the same: by the core, the application and the screens, in every language. */
final class WordsTest extends TestCase
{
    private const SOURCES = ['core/src', 'app', 'resources/js'];

    /** Words asked for by a whole key that stands in no source: of columns, by CropColumnTable and the form. */
    private const KEY = '[a-z][a-z0-9_]*(?:-[a-z0-9_]+)*';

    public function test_every_key_that_is_said_has_words_in_every_language(): void
    {
        foreach (Words::languages() as $language) {
            $words = Words::in($language);
            self::assertSame([], array_values(array_filter(self::literals(), static fn (string $key): bool => ! $words->has($key))), "lang/{$language} lacks words");
            $lacking = array_filter(self::patterns('(?:Phrase::of|Say::key|->say|\\bsay)\(\s*'), static fn (string $pattern): bool => preg_grep($pattern, array_keys($words->messages)) === []);
            self::assertSame([], array_values($lacking), "lang/{$language} lacks words");
        }
    }

    public function test_every_word_is_used(): void
    {
        $literals = array_flip(self::literals());
        $unused = array_filter(array_keys(Words::in('en')->messages), static function (string $key) use ($literals): bool {
            return ! isset($literals[$key]) && array_filter(self::patterns(), static fn (string $pattern): bool => preg_match($pattern, $key) === 1) === [];
        });
        self::assertSame([], array_values($unused), 'these are said nowhere');
    }

    public function test_no_key_stands_in_two_files_and_every_language_has_the_same_keys_and_parameters(): void
    {
        $english = Words::in('en')->messages;
        foreach (Words::languages() as $language) {
            $files = glob(dirname(__DIR__, 2)."/lang/{$language}/*.json") ?: [];
            $keys = array_merge(...array_map(static fn (string $file): array => array_keys((array) json_decode((string) file_get_contents($file), true)), $files));
            self::assertSame([], array_keys(array_filter(array_count_values($keys), static fn (int $count): bool => $count > 1)), "lang/{$language} has these twice");
            $own = Words::in($language)->messages;
            self::assertSame([], array_keys(array_diff_key($own, $english)), "lang/{$language} has words nobody asks for");
            self::assertSame([], array_keys(array_diff_key($english, $own)), "lang/{$language} lacks words");
            foreach ($english as $key => $message) {
                self::assertEqualsCanonicalizing(self::parameters($message), self::parameters($own[$key]), "lang/{$language}: {$key}");
            }
        }
    }

    /** @return list<string> what a message is filled in with */
    private static function parameters(string $message): array
    {
        preg_match_all('/\{\s*(\w+)\s*[,}]/', (string) preg_replace("/'[{}]'/", '', $message), $found);

        return array_values(array_unique(array_filter($found[1], static fn (string $name): bool => preg_match('/\b'.$name.'\s*[{]/', $message) !== 1)));
    }

    /** @return list<string> keys that stand in a source as they are */
    private static function literals(): array
    {
        preg_match_all("/['\"`](".self::KEY.'(?:\.'.self::KEY.")+|verbatim|day|date|celsius|month|hours|span|guidance|disagreement|metres|first-guess)['\"`]/", self::source(), $found);
        $known = Words::in('en');
        $said = self::said();

        // A dotted text is a key where words are asked for, or where there are words for it.
        return array_values(array_unique([...$said, ...array_filter($found[1], $known->has(...))]));
    }

    /** @return list<string> keys given straight to what says them */
    private static function said(): array
    {
        preg_match_all("/(?:Phrase::of|Say::key|->say|\bsay)\(\s*'([^'\$]+[^'.\$])'/", self::source(), $found);
        preg_match_all("/FormatError::(?:inFile\(|at\([^,]+, (?:isset\([^)]*\) \? )?)'([a-z][\w.-]*)'/", self::source(), $errors);
        preg_match_all("/->refuse\([^;]*?, '([a-z]+\.[a-z-]+|no-temperature)'/", self::source(), $refused);

        return array_values(array_unique([...$found[1], ...array_map(static fn (string $key): string => "error.{$key}", [...$errors[1], ...$refused[1]])]));
    }

    /**
     * @param  string  $call  what the key has to stand in, as a pattern; anywhere, where it is not said
     * @return list<string> keys of which a part is worked out, as patterns
     */
    private static function patterns(string $call = ''): array
    {
        // `act.${route.act}.lead`, "outcome.{$reason->value}", 'trend.'.match (…); errors leave their first part out
        preg_match_all('/'.$call.'[`"]((?:'.self::KEY.'\.)*[a-z-]*\.?)(?:\$\{[^`]*?\}|\{\$[^"]*?\})([a-z.-]*)[`"]/', self::source(), $found, PREG_SET_ORDER);
        preg_match_all("/(?:Phrase::of|say|Say::key)\('([a-z-]+\.)'\s*\./", self::source(), $joined);
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
        $files = Finder::create()->files()->in(array_map(static fn (string $folder): string => dirname(__DIR__, 2)."/{$folder}", self::SOURCES))
            ->name('/\.(php|tsx?)$/')->notName(['*.test.*', 'schema.ts']);

        return $source ??= implode("\n", array_map(static fn (SplFileInfo $file): string => $file->getContents(), iterator_to_array($files, false)));
    }
}
