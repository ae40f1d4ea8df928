<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Zones\Zone;

/**
 * What a reader may look for: crops by name, by what else they are called and by their Latin name, in every language there is;
 * zones and places; pages. What is called so is found first, else what begins so or has a word that does, else what is a slip away.
 */
final class SearchPage
{
    /** No more of a kind than is read. */
    private const MOST = 20;

    public function page(string $asked, Reading $reading): Page
    {
        $zones = PublicSite::zones();
        $own = [];
        $crops = [];
        $names = [];
        foreach ($asked === '' ? [] : $zones as $zone) {
            $document = $zone->currentEdition?->open();
            foreach ($document->content['crops'] ?? [] as $sheet) {
                $slug = $sheet['slug'];
                $crops[$slug] ??= ['slug' => $slug, 'name' => $sheet['name'], 'zones' => []];
                $crops[$slug]['zones'][] = ['slug' => $zone->slug, 'name' => $zone->name];
                $names[$slug] ??= self::names($sheet, $document->content['translations'] ?? []);
            }
            $own += $document === null ? [] : $reading->own($document);
        }
        $found = array_keys(self::best($names, $asked));

        return new Page('search', '/search'.($asked === '' ? '' : '?for='.rawurlencode($asked)), [
            'asked' => $asked,
            'crops' => array_map(static fn (int|string $slug): array => $crops[$slug], array_slice($found, 0, self::MOST)),
            'zones' => $asked === '' ? [] : array_values(HomePage::matching($zones, $asked)->map(static fn (Zone $z): array => ['slug' => $z->slug, 'name' => $z->name, 'district' => $z->district])->all()),
            'pages' => self::pages($asked, $reading),
        ], $reading->say('page.search.title'), $reading->say('page.search.description'), null, $reading, $own);
    }

    /**
     * @param  array{name: string, latin: string, also_called?: string|null, ...}  $sheet
     * @param  array<string, array<string, string>>  $translations
     * @return list<string> plain
     */
    private static function names(array $sheet, array $translations): array
    {
        $written = array_filter([$sheet['name'], $sheet['also_called'] ?? null]);
        foreach ($translations as $own) {
            array_push($written, ...array_values(array_intersect_key($own, array_fill_keys($written, true))));
        }
        $names = array_merge([$sheet['latin']], ...array_map(static fn (string $text): array => [$text, ...explode(',', $text)], array_values($written)));

        return array_values(array_unique(array_map(PlainText::of(...), $names)));
    }

    /** @return list<array{path: string, title: string}> */
    private static function pages(string $asked, Reading $reading): array
    {
        $words = $reading->words();
        $texts = [];
        foreach (OfficePages::ALL as $which) {
            foreach ($words->messages as $key => $message) {
                if (preg_match("/^office\\.{$which}\\.(?:([a-z-]+)\\.heading|title)$/", $key, $part) === 1) {
                    $texts["/{$which}".(isset($part[1]) ? "#{$part[1]}" : '')] = $message;
                }
            }
        }
        $found = self::best(array_map(static fn (string $title): array => [PlainText::of($title)], $texts), $asked);

        return array_map(static fn (int|string $path): array => ['path' => (string) $path, 'title' => $texts[$path]], array_slice(array_keys($found), 0, self::MOST));
    }

    /**
     * @param  array<string, list<string>>  $names  plain, by what they are of
     * @return array<string, list<string>> those the first way of looking that finds something finds
     */
    private static function best(array $names, string $asked): array
    {
        $plain = PlainText::of($asked);
        foreach ($plain === '' ? [] : [
            static fn (string $name): bool => $name === $plain,
            static fn (string $name): bool => str_contains(" {$name}", " {$plain}"),
            static fn (string $name): bool => array_filter([$name, ...explode(' ', $name)], static fn (string $word): bool => PlainText::isNear($plain, $word)) !== [],
        ] as $fits) {
            $found = array_filter($names, static fn (array $own): bool => array_filter($own, $fits) !== []);
            if ($found !== []) {
                return $found;
            }
        }

        return [];
    }
}
