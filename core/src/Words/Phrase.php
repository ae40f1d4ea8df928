<?php

declare(strict_types=1);

namespace Anthesis\Words;

use Anthesis\Record\YearDay;
use JsonSerializable;

/**
 * Something to say to a person: a key, and the values that fill it in. The words are in lang/, by language; there are none here.
 *
 * A value is a number, a text that is data (a name, a cell of a file), or another phrase.
 *
 * @phpstan-type Words array{key: string, with?: array<string, mixed>}
 */
final readonly class Phrase implements JsonSerializable
{
    /** The key of a text that already was written in some language, and is shown as it is. */
    public const VERBATIM = 'verbatim';

    /** @var array<string, int|float|string|self> */
    public array $with;

    /** @param  array<string, int|float|string|self>  $with */
    private function __construct(public string $key, array $with)
    {
        // It may contain a cell of a file, cut anywhere.
        $this->with = array_map(
            static fn (int|float|string|self $v): int|float|string|self => is_string($v) ? mb_scrub($v, 'UTF-8') : $v,
            $with,
        );
    }

    /** @param  array<string, int|float|string|self>  $with */
    public static function of(string $key, array $with = []): self
    {
        return new self($key, $with);
    }

    public static function verbatim(string $text): self
    {
        return new self(self::VERBATIM, ['text' => $text]);
    }

    /** A day of the year, as "May 12". */
    public static function day(YearDay $day): self
    {
        [$month, $date] = $day->monthAndDay();

        return new self('day', ['day' => $date, 'month' => $month]);
    }

    /** A temperature, rounded to a tenth of a degree; never minus zero. */
    public static function celsius(float $celsius): self
    {
        return new self('celsius', ['celsius' => round($celsius, 1) + 0.0]);
    }

    /** Rain, or water given, in mm to a tenth. */
    public static function rain(float $millimetres): self
    {
        return new self('measure.rain', ['rain' => round($millimetres, 1) + 0.0]);
    }

    /** @return Words ready for JSON */
    public function toArray(): array
    {
        return $this->with === []
            ? ['key' => $this->key]
            : [
                'key' => $this->key,
                'with' => array_map(static fn (int|float|string|self $v): mixed => $v instanceof self ? $v->toArray() : $v, $this->with),
            ];
    }

    /** @return Words */
    public function jsonSerialize(): array
    {
        return $this->toArray();
    }
}
