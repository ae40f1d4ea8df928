<?php

declare(strict_types=1);

namespace Tests\Feature;

use Anthesis\Messages\Words;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** The words of lang/en: replaced terms stay away, and sentences are as easy as their readers need. */
class PlainWordsTest extends TestCase
{
    /** What we no longer say, and what we say instead. */
    private const REPLACED = [
        '\bproof\b' => 'Review changes',
        '\bin force\b' => 'current',
        '\bfrozen with\b' => 'locked',
        '\bslack\b' => 'days to spare',
        '\bfirst pick(ing)?\b' => 'first harvest',
        '\bunder way\b' => 'in the ground',
        '\bmid(winter|summer)\b' => 'a date',
        '\bdoubt(s|ed|ful)\b' => 'questionable',
        '\b(take|taken) back\b' => 'undo',
        '\btake (it |this )?out\b' => 'delete',
        '\bput (it |that |this )?right\b' => 'fix',
        '\bpinned\b' => 'locked',
        '\bin plum\b' => 'name the thing',
        '\bwishes\b' => 'crops to fit in',
        '\bsignal\b' => 'online, offline',
        '\bsettlements?\b' => 'towns',
        '\bpostcodes?\b' => 'ZIP code',
        '\bparted by\b' => 'separated',
        '\bfirst guess\b' => 'rough guess',
        '\bown word\b' => 'your own dates',
        '\bweekly letter\b' => 'newsletter',
        '\bwhat stands\b' => 'in the ground',
        '\bcannot be so\b' => 'conflict',
        '^Looking' => 'Loading',
        '\bnothing of it\b' => 'nothing',
        '\b(bring|brought)\b' => 'upload',
        '\bran to seed\b' => 'bolted',
        '\bstunted\b' => 'stalled',
        '\b(come|came|comes) to something\b' => 'harvest',
        '\bstandard of proof\b' => 'confidence',
        '\bdossier\b' => 'crop evidence',
        '\bset(ting)? out\b' => 'transplant',
        '\bautumn\b' => 'fall',
        '\bcold seasons?\b' => 'winters',
        '\b(colour|centre|cancelled|modelled)\b' => 'American spelling',
    ];

    /** Keys in which a replaced term has its everyday sense, or explains itself. */
    private const SPARED = [
        'error.no-cold-season',
        'error.no-cold-season-at-all',
        'error.no-cold-season-of',
        'office.glossary.cold-season.heading',
        'caution.seed_potato_rules',
        'tag.heat-proof',
    ];

    /** Files that gardeners read, and the grade their sentences may require; the desk's. */
    private const PUBLIC_GRADE = 8.0;

    private const DESK_GRADE = 10.0;

    private const LABEL_WORDS = 4;

    /** Labels that need more words, and why. */
    private const LONG_LABELS = [
        // Checkboxes, which say everything one agrees to.
        'ground.pin',
        'office-settings.second-factor',
        'office-settings.second-signature',
        'people.keep-name',
        'profile.digest',
        // Read out instead of a picture, like those of charts and plots.
        'course.normal-minimum-maximum-and-soil',
        'freezes.years-from-to-freezing-until',
        'readings.readings-as-daily-means-with',
        'boundaries.map',
        'charts.table',
        'doubts.minimum-maximum-with-the',
        'freezes.days-with-minimum-and-maximum',
        'record.parts-of-the-record',
        'steps.label',
        'windows.the-year-here-chance-of',
        // With the unit that is meant.
        'course.1-year-in-2-4',
        'trials.usual-waves',
        'worth.price-of',
    ];

    public function test_terms_that_were_replaced_stay_away(): void
    {
        $found = [];
        foreach (Words::in('en')->messages as $key => $message) {
            $said = self::said($message);
            foreach (self::REPLACED as $pattern => $instead) {
                if (! in_array($key, self::SPARED, true) && preg_match("/{$pattern}/iu", $said) === 1) {
                    $found[] = "{$key}: “{$said}” (say: {$instead})";
                }
            }
        }
        self::assertSame([], $found);
    }

    public function test_sentences_are_as_easy_as_their_readers_need(): void
    {
        $public = $desk = '';
        foreach (glob(dirname(__DIR__, 2).'/lang/en/*.json') ?: [] as $path) {
            /** @var array<string, string> $messages */
            $messages = json_decode((string) file_get_contents($path), true, 4, JSON_THROW_ON_ERROR);
            $sentences = implode(' ', array_filter(array_map(self::said(...), $messages), self::isSentence(...)));
            if (in_array(basename($path, '.json'), Words::PUBLIC, true)) {
                $public .= " {$sentences}";
            } else {
                $desk .= " {$sentences}";
            }
        }
        self::assertLessThanOrEqual(self::PUBLIC_GRADE, self::grade($public), 'what gardeners read');
        self::assertLessThanOrEqual(self::DESK_GRADE, self::grade($desk), 'what the desk says');
        self::assertGreaterThan(2, self::grade($public), 'the measure itself is off');
    }

    public function test_what_is_pressed_or_filled_in_has_a_short_name_in_sentence_case(): void
    {
        $messages = Words::in('en')->messages;
        $long = $cased = [];
        foreach (self::labels() as $key) {
            $said = self::said($messages[$key] ?? '');
            $isPicture = preg_match('/(chart|plot)$/', $key) === 1;
            if (! $isPicture && str_word_count($said, 0, '0..9') > self::LABEL_WORDS && ! in_array($key, self::LONG_LABELS, true)) {
                $long[] = "{$key}: “{$said}”";
            }
            // A second word with a capital letter; a file type and a part of the office are names.
            $plain = (string) preg_replace('/\b(GeoJSON|English|ZIP|CSV|PDF|CC BY|Letter|A4|I)\b/', '', $said);
            if (! $isPicture && preg_match('/\S [A-Z]/', $plain) === 1 && ! self::isSentence($said)) {
                $cased[] = "{$key}: “{$said}”";
            }
        }
        self::assertSame([], $long);
        self::assertSame([], $cased);
    }

    /** @return list<string> keys for the names of the desk's buttons, links, fields, and columns */
    private static function labels(): array
    {
        $keys = [];
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/resources/js'));
        foreach ($files as $path => $_) {
            if (preg_match('~(?<!\.test)\.tsx$~', (string) $path) === 1 && ! str_contains((string) $path, '/gardener/')) {
                $source = (string) file_get_contents((string) $path);
                preg_match_all("/\\blabel=\\{say\\('([^']+)'/", $source, $fields);
                preg_match_all("/<(?:Button|Action|th|Link|button)\\b(?:[^<]|=>)*?>\\s*\\{say\\('([^']+)'/", $source, $pressed);
                array_push($keys, ...$fields[1], ...$pressed[1]);
            }
        }
        self::assertGreaterThan(300, count($keys), 'the labels are no longer found');

        return array_values(array_unique($keys));
    }

    /** @return string a message as it is said: with the last arm of its choices, and "it" for what fills it in */
    private static function said(string $message): string
    {
        do {
            $before = $message;
            $message = (string) preg_replace(
                '/\{\w+, (?:plural|select)(?:ordinal)?,(?:[^{}]|\{[^{}]*\})*?other \{([^{}]*)\}\s*\}/u',
                '$1',
                $message,
            );
            $message = (string) preg_replace('/\{(\w+)(?:, number[^{}]*)?\}(?![^{}]*\}\s*other)/u', 'it', $message);
        } while ($message !== $before);

        return strtr($message, ['#' => 'ten']);
    }

    private static function isSentence(string $said): bool
    {
        return preg_match('/^[A-Z].*[.?!]$/us', $said) === 1 && str_word_count($said) >= 5;
    }

    /** @return float the school grade by Flesch and Kincaid: 0.39 words per sentence + 11.8 syllables per word − 15.59 */
    private static function grade(string $text): float
    {
        $sentences = max(1, preg_match_all('/[.?!](?:\s|$)/u', $text));
        preg_match_all("/[a-z][a-z’'-]*/iu", $text, $words);
        $syllables = array_sum(array_map(self::syllables(...), $words[0]));

        return 0.39 * (count($words[0]) / $sentences) + 11.8 * ($syllables / count($words[0])) - 15.59;
    }

    private static function syllables(string $word): int
    {
        $word = (string) preg_replace('/(?:[^laeiouy]es|ed|[^laeiouy]e)$/i', '', $word);

        return max(1, (int) preg_match_all('/[aeiouy]+/i', $word));
    }
}
