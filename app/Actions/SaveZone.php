<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\ZoneResource;
use App\Models\Zone;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Creates or edits a zone with its settlements. A zone keeps the address it was created under. */
final class SaveZone
{
    /** @param  array{name: string, district: string, latitude: float, longitude: float, height_m: int, settlements: list<array{name: string, postcode?: string|null}>}  $values */
    public function execute(Zone $zone, array $values): Zone
    {
        DB::transaction(static function () use ($zone, $values): void {
            $settlements = $values['settlements'];
            unset($values['settlements']);
            $zone->fill($values);
            if (! $zone->exists) {
                $zone->slug = self::freeSlug($zone->name);
            }
            $zone->save();
            $zone->settlements()->delete();
            $zone->settlements()->createMany(array_map(
                static fn (array $s): array => ['name' => $s['name'], 'postcode' => $s['postcode'] ?? null],
                $settlements,
            ));
        });

        return $zone->refresh()->load(ZoneResource::RELATIONS);
    }

    private static function freeSlug(string $name): string
    {
        $base = Str::limit(Str::slug($name), 70, '') ?: 'zone';
        $slug = $base;
        for ($n = 2; Zone::query()->where('slug', $slug)->exists(); $n++) {
            $slug = "{$base}-{$n}";
        }

        return $slug;
    }
}
