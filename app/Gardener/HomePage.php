<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Models\Settlement;
use App\Models\Zone;
use Illuminate\Support\Collection;

/** The page on which gardeners find their zone. */
final class HomePage
{
    /**
     * Zones whose name, settlement or postcode is, or begins with, what was asked; an exact answer wins over beginnings.
     *
     * @param  Collection<int, Zone>  $zones
     * @return Collection<int, Zone>
     */
    public static function matching(Collection $zones, string $asked): Collection
    {
        if ($asked === '') {
            return $zones;
        }
        $plain = self::plain($asked);
        $names = static fn (Zone $zone): array => array_map(self::plain(...), array_filter([
            $zone->name,
            ...$zone->settlements->pluck('name')->all(),
            ...$zone->settlements->pluck('postcode')->all(),
        ]));
        $exact = $zones->filter(static fn (Zone $zone): bool => in_array($plain, $names($zone), true));

        return ($exact->isNotEmpty() ? $exact : $zones->filter(static fn (Zone $zone): bool => array_filter(
            $names($zone), static fn (string $name): bool => str_starts_with($name, $plain)) !== []))->values();
    }

    /** @param  Collection<int, Zone>  $zones */
    public static function page(Collection $zones, bool $asked, bool $found): Page
    {
        return new Page('home', [
            'asked' => $asked,
            'found' => $found,
            'zones' => $zones->map(static fn (Zone $zone): array => [
                'slug' => $zone->slug,
                'name' => $zone->name,
                'district' => $zone->district,
                'height_m' => $zone->height_m,
                'settlements' => $zone->settlements->map(static fn (Settlement $s): array => $s->toArray())->all(),
            ])->all(),
        ], 'Sowing calendars', 'When to sow, where you are: sowing calendars by town and postcode, from each place’s own weather record.');
    }

    private static function plain(string $text): string
    {
        return (string) preg_replace('/[\s\-]+/', ' ', mb_strtolower(trim($text)));
    }
}
