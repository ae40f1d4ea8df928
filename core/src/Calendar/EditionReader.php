<?php

declare(strict_types=1);

namespace Anthesis\Calendar;

use Anthesis\Crop\Act;
use Anthesis\Words\Phrase;
use InvalidArgumentException;
use JsonException;

/**
 * Opens the text of an edition, in whatever format it was published.
 *
 * Format 1 held sentences where format 2 holds phrases. They are shown as they are, so an edition reads as it was published.
 *
 * @phpstan-import-type Document from EditionDocument
 * @phpstan-import-type Words from Phrase
 *
 * @phpstan-type Partial array{crops: list<array{routes: list<array{evidence?: list<array<string, mixed>>, ...}>, ...}>, ...}
 * @phpstan-type Told array{in_words: string, ...}
 * @phpstan-type Route1 array{reasons: list<Told>, derivation: list<array{label: string, source: string, ...}>, ...}
 * @phpstan-type Document1 array{guidance: string, ruler: array{freezes: list<array{in_words: string, last: list<Told>, first: list<Told>, ...}>, ...}, crops: list<array{cautions: list<Told>, routes: list<Route1>, ...}>, ...}
 */
final class EditionReader
{
    private const FORMAT_1 = 'anthesis-edition-1';

    private const ACTS_OF_FORMAT_1 = [
        'sow outdoors' => Act::SowOutdoors,
        'set out' => Act::SetOut,
        'plant' => Act::Plant,
        'start under cover' => Act::StartUnderCover,
    ];

    /**
     * @param  string|null  $checksum  what the text must match; null: not checked
     *
     * @throws InvalidArgumentException if the text is not an edition, or not the one the checksum belongs to
     */
    public static function open(string $json, ?string $checksum = null): EditionDocument
    {
        $actual = hash('sha256', $json);
        if ($checksum !== null && $checksum !== $actual) {
            throw new InvalidArgumentException(
                "The edition’s text has changed since it was published: its checksum is {$actual}, not {$checksum}.",
            );
        }
        try {
            $content = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $error) {
            throw new InvalidArgumentException('The edition’s text is not JSON: '.$error->getMessage(), 0, $error);
        }
        $format = is_array($content) ? $content['format'] ?? null : null;
        if (! is_array($content) || ($format !== EditionDocument::FORMAT && $format !== self::FORMAT_1)) {
            throw new InvalidArgumentException(
                'The text is not an edition of the format '.EditionDocument::FORMAT.' or '.self::FORMAT_1.'.',
            );
        }
        if ($format === self::FORMAT_1) {
            /** @var Document1 $old */
            $old = self::withCodedActs($content);
            $content = self::fromFormat1($old);
        }

        /** @var Partial $content */
        /** @var Document $whole */
        $whole = self::completed($content);

        return EditionDocument::frozen($whole, $json);
    }

    /**
     * Adds what editions of earlier programs do not have, as empty: a crop without varieties or other names, a window without best days.
     *
     * @param  Partial  $content
     * @return array<string, mixed>
     */
    private static function completed(array $content): array
    {
        return [
            'crops' => array_map(
                static fn (array $sheet): array => [
                    'routes' => array_map(
                        static fn (array $route): array => [
                            'evidence' => array_map(
                                static fn (array $evidence): array => $evidence + ['span' => null],
                                $route['evidence'] ?? [],
                            ),
                        ] +
                            $route + ['chances' => [], 'no_window' => null],
                        $sheet['routes'],
                    ),
                ] +
                    $sheet + ['varieties' => [], 'also_called' => null],
                $content['crops'],
            ),
        ] + $content;
    }

    /**
     * @param  array<mixed>  $content
     * @return array<mixed>
     */
    private static function withCodedActs(array $content): array
    {
        array_walk_recursive($content, static function (mixed &$value, int|string $key): void {
            if ($key === 'act' && is_string($value)) {
                $value = (self::ACTS_OF_FORMAT_1[$value] ?? throw new InvalidArgumentException("“{$value}” is no act of an edition."))
                    ->value;
            }
        });

        return $content;
    }

    /**
     * @param  Document1  $content
     * @return array<string, mixed>
     */
    private static function fromFormat1(array $content): array
    {
        $freezes = array_map(
            static fn (array $threshold): array => [
                'last' => array_map(self::phrased(...), $threshold['last']),
                'first' => array_map(self::phrased(...), $threshold['first']),
            ] + self::phrased($threshold),
            $content['ruler']['freezes'],
        );

        return [
            'guidance' => [self::verbatim($content['guidance'])],
            'ruler' => ['freezes' => $freezes] + $content['ruler'],
            'crops' => array_map(
                static fn (array $sheet): array => [
                    'cautions' => array_map(self::phrased(...), $sheet['cautions']),
                    'routes' => array_map(self::route(...), $sheet['routes']),
                ] + $sheet,
                $content['crops'],
            ),
        ] + $content;
    }

    /**
     * @param  Route1  $route
     * @return array<string, mixed>
     */
    private static function route(array $route): array
    {
        return [
            'reasons' => array_map(self::phrased(...), $route['reasons']),
            'derivation' => array_map(
                static fn (array $line): array => [
                    'label' => self::verbatim($line['label']),
                    'source' => self::verbatim($line['source']),
                ] + $line,
                $route['derivation'],
            ),
        ] + $route;
    }

    /**
     * @param  Told  $told  with its words as a sentence
     * @return array<mixed> with them as a phrase
     */
    private static function phrased(array $told): array
    {
        return ['phrase' => self::verbatim($told['in_words'])] + array_diff_key($told, ['in_words' => true]);
    }

    /** @return Words */
    private static function verbatim(string $text): array
    {
        return Phrase::verbatim($text)->toArray();
    }
}
