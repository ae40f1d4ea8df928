<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Editions\Edition;
use App\Zones\Zone;
use Illuminate\Http\Request;

/** Finds the edition that a public address refers to. */
final class PublishedEdition
{
    /** @param  int|null  $number null: the current one */
    public static function find(Zone $zone, ?int $number): Edition
    {
        $edition =
            $number === null
                ? $zone->currentEdition
                : Edition::query()->where('zone_id', $zone->id)->where('number', $number)->whereNotNull('in_force_at')->first();

        return $edition ??
            abort(404, $number === null ? "{$zone->name} has no published calendar yet." : "{$zone->name} has no edition {$number}.");
    }

    /** @return int|null the number in a request's address; null: the current one */
    public static function number(Request $request): ?int
    {
        $number = $request->route('number');

        return is_numeric($number) ? (int) $number : null;
    }

    /** @return string the address of an edition's pages, without the reading */
    public static function base(Zone $zone, ?int $number): string
    {
        return "/zones/{$zone->slug}".($number === null ? '' : "/editions/{$number}");
    }
}
