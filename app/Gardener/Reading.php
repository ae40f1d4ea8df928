<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Messages\UnitSystem;
use Anthesis\Messages\Words;
use Anthesis\Words\Phrase;
use Illuminate\Http\Request;

/**
 * How a page is read: a language and units. Public addresses begin with it, so a page can be kept, linked, and printed the way it is read:
 * "/es" for Spanish, "/en-f" for English with °F and inches, nothing for English with °C.
 */
final readonly class Reading
{
    /** The end of the name of a reading in °F. */
    private const IN_FAHRENHEIT = '-f';

    public function __construct(public string $language = Words::SOURCE, public UnitSystem $units = UnitSystem::Metric)
    {
    }

    /** @return list<self> those there are files in lang/ for, the one without a name first */
    public static function all(): array
    {
        $languages = [Words::SOURCE, ...array_diff(Words::languages(), [Words::SOURCE])];

        return array_merge(
            ...array_map(
                static fn (string $language): array => array_map(
                    static fn (UnitSystem $units): self => new self($language, $units),
                    UnitSystem::cases(),
                ),
                $languages,
            ),
        );
    }

    /**
     * @param  list<string>|null  $languages  null: all
     * @return list<self> those in certain languages
     */
    public static function in(?array $languages): array
    {
        return array_values(
            array_filter(self::all(), static fn (self $r): bool => $languages === null || in_array($r->language, $languages, true)),
        );
    }

    /** @return list<self> the same, plus made-up ones for checking pages, if this is a demonstration */
    public static function served(): array
    {
        return [
            ...self::all(),
            ...config('anthesis.demonstration') ? array_map(static fn (string $language): self => new self($language), Words::PSEUDO) : [],
        ];
    }

    /** The reading a request came for. */
    public static function of(Request $request): self
    {
        $reading = $request->attributes->get(self::class);

        return $reading instanceof self ? $reading : new self();
    }

    /** @return string "es-f"; "" for the one without a name */
    public function name(): string
    {
        return $this->units === UnitSystem::Us
            ? $this->language.self::IN_FAHRENHEIT
            : ($this->language === Words::SOURCE
                ? ''
                : $this->language);
    }

    public static function named(string $name): ?self
    {
        foreach (self::served() as $reading) {
            if ($reading->name() === $name) {
                return $reading;
            }
        }

        return null;
    }

    /** @return string the beginning of addresses: "/es-f", or "" */
    public function prefix(): string
    {
        return $this->name() === '' ? '' : "/{$this->name()}";
    }

    public function direction(): string
    {
        return Words::isFromTheRight($this->language) ? 'rtl' : 'ltr';
    }

    /** @param  array<string, string>  $own  translations of what people wrote, by their text */
    public function words(array $own = []): Words
    {
        return Words::in($this->language, $this->units, $own);
    }

    /** @param  array<string, int|float|string|Phrase>  $with */
    public function say(string $key, array $with = []): string
    {
        return $this->words()->say($key, $with);
    }

    /** @return array<string, string> translations that an edition was published with */
    public function own(EditionDocument $edition): array
    {
        return $edition->content['translations'][$this->language] ?? [];
    }

    /** @return array{prefix: string, language: string, units: string} as the pages take it */
    public function told(): array
    {
        return ['prefix' => $this->prefix(), 'language' => $this->language, 'units' => $this->units->value];
    }
}
