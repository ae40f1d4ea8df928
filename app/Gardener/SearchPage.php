<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Crops\CropNames;
use App\Editions\Edition;
use App\Zones\Zone;
use Illuminate\Support\Facades\Cache;

/**
 * What readers can search for: crops by name, by other names, and by Latin name, in every language; zones and towns; pages. Exact names
 * come first, then names that start with it or have a word that does, then those a typo away.
 */
final class SearchPage
{
    /** No more of a kind than people read. */
    private const MOST = 20;

    /** The last kind of match: a typo away. */
    private const NEAR = 2;

    private const KEPT_MINUTES = 60;

    public function page(string $asked, Reading $reading): Page
    {
        $zones = PublicSite::zones();
        [$crops, $names, $own] = self::published($asked === '' ? [] : $zones, $reading);
        [$crop, $found] = self::best($names, $asked);
        [$page, $pages] = self::pages($asked, $reading);
        // What is only a typo away is no answer if something matches exactly.
        $places = $asked === '' ? [] : HomePage::matching($zones, $asked)->all();
        $near = $places !== [] && ! HomePage::isCalled($places, $asked);
        $isExact = $crop < self::NEAR || $page < self::NEAR || ($places !== [] && ! $near);
        $found = $isExact && $crop === self::NEAR ? [] : array_keys($found);
        $pages = $isExact && $page === self::NEAR ? [] : $pages;
        $places = $isExact && $near ? [] : $places;

        return new Page(
            'search',
            '/search'.($asked === '' ? '' : '?for='.rawurlencode($asked)),
            [
                'asked' => $asked,
                'crops' => array_map(static fn (int|string $slug): array => $crops[$slug], array_slice($found, 0, self::MOST)),
                'zones' => array_values(
                    array_map(static fn (Zone $z): array => ['slug' => $z->slug, 'name' => $z->name, 'district' => $z->district], $places),
                ),
                'pages' => $pages,
            ],
            $reading->say('page.search.title'),
            $reading->say('page.search.description'),
            null,
            $reading,
            $own,
        );
    }

    /**
     * @param  iterable<Zone>  $zones
     * @return array{array<string, array<string, mixed>>, array<string, list<string>>, array<string, string>} crops with the zones whose
     *   calendars have them, their names by slug, and what people wrote in the reader's language
     */
    private static function published(iterable $zones, Reading $reading): array
    {
        $crops = $names = $own = [];
        foreach ($zones as $zone) {
            $edition = $zone->currentEdition()->first(['editions.id', 'editions.checksum']);
            $said = $edition === null ? ['crops' => [], 'translations' => []] : self::saidIn($edition);
            foreach ($said['crops'] as $slug => [$name, $searched]) {
                $crops[$slug] ??= ['slug' => $slug, 'name' => $name, 'zones' => []];
                $crops[$slug]['zones'][] = ['slug' => $zone->slug, 'name' => $zone->name];
                $names[$slug] ??= $searched;
            }
            $own += $said['translations'][$reading->language] ?? [];
        }

        return [$crops, $names, $own];
    }

    /**
     * An edition never changes, so this is kept, but not for good: what a program knows of other names may change.
     *
     * @param  Edition  $edition  its id and checksum are enough
     * @return array{crops: array<string, array{string, list<string>}>, translations: array<string, array<string, string>>} name and plain
     *   names by slug; translations by language and text
     */
    private static function saidIn(Edition $edition): array
    {
        return Cache::remember("search {$edition->id} {$edition->checksum}", now()->addMinutes(self::KEPT_MINUTES), static function () use (
            $edition,
        ): array {
            $content = Edition::query()->findOrFail($edition->id)->open()->content;
            $translations = $content['translations'] ?? [];
            $crops = [];
            foreach ($content['crops'] as $sheet) {
                $plain = array_map(PlainText::of(...), CropNames::of($sheet['slug'], $sheet, $translations));
                $crops[$sheet['slug']] = [$sheet['name'], $plain];
            }

            return ['crops' => $crops, 'translations' => $translations];
        });
    }

    /** @return array{int, list<array{path: string, title: string}>} how well they match, and the pages */
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
        [$fits, $found] = self::best(array_map(static fn (string $title): array => [PlainText::of($title)], $texts), $asked);

        return [
            $fits,
            array_map(
                static fn (int|string $path): array => ['path' => (string) $path, 'title' => $texts[$path]],
                array_slice(array_keys($found), 0, self::MOST),
            ),
        ];
    }

    /**
     * @param  array<string, list<string>>  $names  plain, by what they name
     * @return array{int, array<string, list<string>>} the first kind of match that finds something, NEAR being the last; and what it finds
     */
    private static function best(array $names, string $asked): array
    {
        $plain = PlainText::of($asked);
        foreach (
            $plain === ''
                ? []
                : [
                    static fn (string $name): bool => $name === $plain,
                    static fn (string $name): bool => str_contains(" {$name}", " {$plain}"),
                    static fn (string $name): bool => array_filter(
                        [$name, ...explode(' ', $name)],
                        static fn (string $word): bool => PlainText::isNear($plain, $word),
                    ) !== [],
                ] as $way => $fits
        ) {
            $found = array_filter($names, static fn (array $own): bool => array_filter($own, $fits) !== []);
            if ($found !== []) {
                return [$way, $found];
            }
        }

        return [self::NEAR, []];
    }
}
