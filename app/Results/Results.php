<?php

declare(strict_types=1);

namespace App\Results;

use Anthesis\Place\Place;
use App\Operations\SideBySide;
use Closure;
use Generator;

/** Keeps what was computed under the fingerprint of its inputs, and computes nothing twice. What is used is not deleted. */
final class Results
{
    /** A use is recorded if the last recorded one is this old, minutes. */
    private const NOTED_AFTER = 60;

    /** How many of many answers are kept at a time. */
    private const TOGETHER = 10;

    /** @return array<string, mixed> the answer, computed now if it was not before */
    public static function of(Place $place, Question $question): array
    {
        return self::each($place, [$question])[0];
    }

    /** @return array<string, mixed>|null the answer, if it was computed before */
    public static function known(Place $place, Question $question): ?array
    {
        $fingerprint = self::fingerprints($place, [$question])[0];

        return self::read([$fingerprint])[$fingerprint] ?? null;
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, Question>  $questions
     * @return array<K, array<string, mixed>> the answers
     */
    public static function each(Place $place, array $questions): array
    {
        $fingerprints = self::fingerprints($place, $questions);
        $known = self::read(array_values($fingerprints));
        $unknown = array_diff_key(array_flip($fingerprints), $known);
        foreach (self::make($place, array_intersect_key($questions, array_flip($unknown))) as $fingerprint => $payload) {
            // The way it will be read next time.
            $known[$fingerprint] = json_decode($payload, true, 64, JSON_THROW_ON_ERROR);
        }

        return array_map(static fn (string $fingerprint): array => $known[$fingerprint], $fingerprints);
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, Question>  $questions
     * @return array<K, string> the keys of the answers
     */
    public static function fingerprints(Place $place, array $questions): array
    {
        return array_map(
            static fn (Question $q): string => self::fingerprint($q->kind(), [$q->inputs(), $q->of($place)->fingerprint()]),
            $questions,
        );
    }

    /**
     * Computes the answers and keeps them.
     *
     * @param  array<array-key, Question>  $questions
     * @return array<string, string> JSON by fingerprint
     */
    public static function make(Place $place, array $questions): array
    {
        $payloads = $rows = [];
        foreach (self::fingerprints($place, $questions) as $key => $fingerprint) {
            $payloads[$fingerprint] = self::answered($place, $questions[$key]);
            $rows[] = self::row($fingerprint, $questions[$key]->kind(), $payloads[$fingerprint]);
        }
        Result::query()->insertOrIgnore($rows);

        return $payloads;
    }

    /**
     * The same for many, on all processors. Whoever takes no more from it stops it; what was kept stays.
     *
     * @param  array<string, Question>  $questions
     * @return Generator<int, int> how many are kept so far, each time some were
     */
    public static function makeMany(Place $place, array $questions): Generator
    {
        $fingerprints = self::fingerprints($place, $questions);
        $rows = [];
        $kept = 0;
        $answers = SideBySide::each(array_keys($questions), static fn (string $key): string => self::answered($place, $questions[$key]));
        foreach ($answers as $key => $payload) {
            $rows[] = self::row($fingerprints[$key], $questions[$key]->kind(), $payload);
            if (count($rows) === self::TOGETHER || $kept + count($rows) === count($questions)) {
                Result::query()->insertOrIgnore($rows);
                yield $kept += count($rows);
                $rows = [];
            }
        }
    }

    /**
     * Makes sure that the answers are there.
     *
     * @template K of array-key
     *
     * @param  array<K, Question>  $questions
     * @return array<K, string> their keys
     */
    public static function keep(Place $place, array $questions): array
    {
        $fingerprints = self::fingerprints($place, $questions);
        self::make($place, self::unknown($questions, $fingerprints));

        return $fingerprints;
    }

    /**
     * The same for answers about rows from which no place is made yet.
     *
     * @param  list<mixed>  $inputs
     * @param  Closure(): array<string, mixed>  $compute
     * @return array<string, mixed>
     */
    public static function before(ResultKind $kind, array $inputs, Closure $compute): array
    {
        $fingerprint = self::fingerprint($kind, $inputs);
        $known = self::read([$fingerprint])[$fingerprint] ?? null;
        if ($known === null) {
            $payload = self::json($compute());
            Result::query()->insertOrIgnore([self::row($fingerprint, $kind, $payload)]);
            $known = json_decode($payload, true, 64, JSON_THROW_ON_ERROR);
        }

        return $known;
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, Question>  $questions
     * @param  array<K, string>  $fingerprints  of their answers
     * @return array<K, Question> those whose answers are missing; the others are marked as used, and kept for a while
     */
    public static function unknown(array $questions, array $fingerprints): array
    {
        $known = Result::query()
            ->whereIn('hash', array_values($fingerprints))
            ->get(['hash', 'used_at']);
        self::note($known->all());

        return array_diff_key($questions, array_intersect($fingerprints, $known->pluck('hash')->all()));
    }

    /**
     * @param  list<string>  $fingerprints
     * @return array<string, array<string, mixed>> the answers, by fingerprint
     */
    public static function read(array $fingerprints): array
    {
        $results = Result::query()->whereIn('hash', array_unique($fingerprints))->get();
        self::note($results->all());

        return $results->mapWithKeys(static fn (Result $r): array => [$r->hash => $r->content()])->all();
    }

    /** @param  array<Result>  $used */
    private static function note(array $used): void
    {
        $limit = now()->subMinutes(self::NOTED_AFTER);
        $old = array_filter($used, static fn (Result $r): bool => $r->used_at->isBefore($limit));
        if ($old !== []) {
            Result::query()
                ->whereIn('hash', array_map(static fn (Result $r): string => $r->hash, array_values($old)))
                ->update(['used_at' => now()]);
        }
    }

    /** @param  list<mixed>  $inputs */
    private static function fingerprint(ResultKind $kind, array $inputs): string
    {
        return hash('sha256', json_encode([Result::GENERATION, $kind->value, $inputs], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    private static function answered(Place $place, Question $question): string
    {
        return self::json($question->answer($question->of($place)));
    }

    /** @return array<string, mixed> of the table */
    private static function row(string $fingerprint, ResultKind $kind, string $payload): array
    {
        return ['hash' => $fingerprint, 'kind' => $kind->value, 'payload' => $payload, 'used_at' => now()];
    }

    /** @param  array<string, mixed>  $content */
    private static function json(array $content): string
    {
        return json_encode($content, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
