<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Languages\Translation;
use App\Office\Office;
use App\Zones\Settlement;
use App\Zones\Zone;
use App\Zones\ZoneBoundary;
use Illuminate\Support\Collection;

/** The page on which gardeners find their zone. */
final class HomePage
{
    /** A ZIP code this close to a known one is next to it. */
    private const NEXT_POSTCODES = 20;

    /**
     * Zones whose name, district, town, or ZIP code is what was typed; or starts with it; or, for words, differs from it by a letter or
     * two, and for numbers is a neighboring ZIP code. The first of these that finds something wins.
     *
     * @param  Collection<int, Zone>  $zones
     * @return Collection<int, Zone>
     */
    public static function matching(Collection $zones, string $asked): Collection
    {
        $plain = PlainText::of($asked);
        if ($plain === '') {
            return $zones;
        }
        $names = $zones->mapWithKeys(
            static fn (Zone $zone): array => [
                $zone->id => array_values(
                    array_map(
                        PlainText::of(...),
                        array_filter([
                            $zone->name,
                            $zone->district,
                            ...$zone->settlements->pluck('name')->all(),
                            ...$zone->settlements->pluck('postcode')->all(),
                        ]),
                    ),
                ),
            ],
        );
        $number = ctype_digit($plain);
        foreach (
            [
                static fn (string $name): bool => $name === $plain,
                static fn (string $name): bool => str_starts_with($name, $plain),
                static fn (string $name): bool => $number
                    ? ctype_digit($name) && strlen($name) === strlen($plain) && abs((int) $name - (int) $plain) <= self::NEXT_POSTCODES
                    : ! ctype_digit($name) && PlainText::isNear($plain, $name),
            ] as $fits
        ) {
            $found = $zones->filter(static fn (Zone $zone): bool => array_filter($names[$zone->id], $fits) !== [])->values();
            if ($found->isNotEmpty()) {
                return $found;
            }
        }

        return $zones->take(0);
    }

    /**
     * Whether the zones found match or start with what was typed, rather than almost.
     *
     * @param  array<int, Zone>  $zones
     */
    public static function isCalled(array $zones, string $asked): bool
    {
        $plain = PlainText::of($asked);
        foreach ($zones as $zone) {
            foreach (
                array_filter([
                    $zone->name,
                    $zone->district,
                    ...$zone->settlements->pluck('name')->all(),
                    ...$zone->settlements->pluck('postcode')->all(),
                ]) as $name
            ) {
                if (str_starts_with(PlainText::of((string) $name), $plain)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  Collection<int, Zone>  $zones
     * @param  Office|null  $office  whose front page it is; null: for all that publish here
     */
    public static function page(Collection $zones, bool $asked, bool $found, Reading $reading, ?Office $office = null): Page
    {
        $severalOffices = $office !== null || $zones->pluck('office_id')->unique()->count() > 1;
        $boundaries = ZoneBoundary::byZone();

        return new Page(
            'home',
            $office === null ? '/' : "/offices/{$office->slug}",
            [
                'office' => $office?->told(),
                'asked' => $asked,
                'found' => $found,
                'zones' => $zones
                    ->map(
                        static fn (Zone $zone): array => [
                            'slug' => $zone->slug,
                            'name' => $zone->name,
                            'district' => $zone->district,
                            'office' => $severalOffices ? ['mark' => $zone->office->mark->value] + $zone->office->only(['slug', 'name']) : null,
                            'height_m' => $zone->height_m,
                            'latitude' => $zone->latitude,
                            'longitude' => $zone->longitude,
                            'rings' => isset($boundaries[$zone->id]) ? $boundaries[$zone->id]->drawn() : [],
                            'settlements' => $zone->settlements->map(static fn (Settlement $s): array => $s->toArray())->all(),
                        ],
                    )
                    ->all(),
            ],
            $office === null ? $reading->say('page.home.head') : $reading->say('page.home.head-of', ['office' => $office->name]),
            $reading->say('page.home.description'),
            null,
            $reading,
            Translation::of($reading->language, [...$zones->pluck('district')->unique()->values()->all(), ...$office?->texts() ?? []]),
        );
    }
}
