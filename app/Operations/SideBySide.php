<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Generator;

/**
 * Answers many questions on all processors at once, each by whichever helper is free. What a helper cannot answer is answered here, where
 * an error reaches whoever asked. Only for the command line, where a process may be copied.
 */
final class SideBySide
{
    /** Each takes memory of its own, on a large machine too. */
    private const MOST = 8;

    /** Fewer questions are answered here: a helper takes a while to start. */
    private const FEWEST = 8;

    /** How many questions a helper has at a time, so it does not wait while we keep an answer. */
    private const AHEAD = 2;

    /**
     * @param  list<string>  $questions  each once, without line breaks
     * @param  Closure(string): string  $answer  without database, files, or clock
     * @return Generator<string, string> answers by question, as they come
     */
    public static function each(array $questions, Closure $answer): Generator
    {
        // The first is answered here, so that what all of them need is made once, before there are copies.
        foreach (array_splice($questions, 0, 1) as $first) {
            yield $first => $answer($first);
        }
        $left = array_flip($questions);
        $helpers = self::helpers(count($questions), $answer);
        /** @var array<int, list<string>> $asked by helper, oldest first */
        $asked = array_map(static fn (): array => [], $helpers);
        try {
            do {
                foreach ($helpers as $number => $helper) {
                    while (count($asked[$number]) < self::AHEAD && $questions !== []) {
                        $asked[$number][] = $question = array_shift($questions);
                        $helper->ask($question);
                    }
                }
                $busy = array_filter($asked);
                foreach (self::ready(array_intersect_key($helpers, $busy)) as $number) {
                    $text = $helpers[$number]->answer();
                    if ($text === null) {
                        $helpers[$number]->end();
                        unset($helpers[$number], $asked[$number]);

                        continue;
                    }
                    $question = (string) array_shift($asked[$number]);
                    unset($left[$question]);
                    yield $question => $text;
                }
            } while ($busy !== []);
        } finally {
            array_map(static fn (Helper $helper) => $helper->end(), $helpers);
        }
        foreach (array_keys($left) as $question) {
            yield (string) $question => $answer((string) $question);
        }
    }

    /**
     * @param  Closure(string): string  $answer
     * @return array<int, Helper> none where there is one processor, or where the questions are too few to be worth it
     */
    private static function helpers(int $questions, Closure $answer): array
    {
        $helpers = [];
        if (PHP_SAPI !== 'cli' || $questions < self::FEWEST || ! function_exists('pcntl_fork')) {
            return $helpers;
        }
        for ($processors = self::processors(); count($helpers) < $processors && $processors > 1;) {
            $helper = Helper::start($answer, $helpers);
            if ($helper === null) {
                break;
            }
            $helpers[] = $helper;
        }

        return $helpers;
    }

    /** How many processes may work at one time. */
    private static function processors(): int
    {
        static $counted = null;
        $set = (int) config('anthesis.processors');

        return min(self::MOST, $set > 0 ? $set : $counted ??= max(1, (int) shell_exec('nproc 2>/dev/null')));
    }

    /**
     * @param  array<int, Helper>  $helpers  that were asked
     * @return list<int> those that have begun to answer, or have ended, waiting for one
     */
    private static function ready(array $helpers): array
    {
        $read = array_map(static fn (Helper $helper): mixed => $helper->socket, $helpers);
        $none = null;

        // A signal ends the wait early, with nothing to read.
        return $read !== [] && @stream_select($read, $none, $none, null) > 0 ? array_keys($read) : [];
    }
}
