<?php

declare(strict_types=1);

namespace App\Crops;

/**
 * Other names people search for a crop by: what the book says it is also called, its Latin name, its name in any language, and what
 * lang/names.json adds for searches. One list for the public search, the desk, and the log on a phone.
 */
final class CropNames
{
    /**
     * @param  array{name: string, latin?: string|null, also_called?: string|null, ...}  $crop  its cells, or a sheet of an edition
     * @param  array<string, array<string, string>>  $translations  by language and text
     * @return list<string> each once, the name itself first
     */
    public static function of(string $slug, array $crop, array $translations): array
    {
        $written = array_filter(
            [$crop['name'], $crop['also_called'] ?? null],
            static fn (?string $text): bool => $text !== null && $text !== '',
        );
        foreach ($translations as $own) {
            array_push($written, ...array_values(array_intersect_key($own, array_fill_keys($written, true))));
        }
        $names = [$crop['name']];
        foreach ($written as $text) {
            // "Onion, long-day" is one name and also two; "zucchini, courgette" is two.
            array_push($names, $text, ...explode(',', $text));
        }

        return array_values(
            array_unique(
                array_filter(
                    array_map(trim(...), [...$names, $crop['latin'] ?? '', ...self::added()[$slug] ?? []]),
                    static fn (string $name): bool => $name !== '',
                ),
            ),
        );
    }

    /** @return array<string, list<string>> by crop */
    private static function added(): array
    {
        static $added = null;

        return $added ??= (array) json_decode((string) file_get_contents(lang_path('names.json')), true, 3, JSON_THROW_ON_ERROR);
    }
}
