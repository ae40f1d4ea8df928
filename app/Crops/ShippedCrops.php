<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Tables\CropCsv;

/**
 * What an update of the crop table that ships has to offer: crops whose row differs from the one last accepted or declined, and says
 * something the book does not.
 *
 * @phpstan-type Offer array{slug: string, name: string, version: int|null, cells: list<array{column: string, mine: string|null, shipped: string}>}
 */
final class ShippedCrops
{
    /** @return list<Offer> in the order of the table that ships */
    public static function offers(): array
    {
        $seen = ShippedCrop::query()->pluck('cells', 'slug')->all();
        /** @var array<string, Crop> $book */
        $book = Crop::query()->get()->keyBy('slug')->all();
        $offers = [];
        foreach (CropCsv::standardRows() as $slug => $shipped) {
            $cells = ($seen[$slug] ?? null) == $shipped ? [] : self::differing($shipped, $book[$slug] ?? null);
            if ($cells !== []) {
                $offers[] = ['slug' => $slug, 'name' => $shipped['name'], 'version' => $book[$slug]->version ?? null, 'cells' => $cells];
            }
        }

        return $offers;
    }

    /**
     * @param  array<string, string>  $shipped
     * @return list<array{column: string, mine: string|null, shipped: string}> for a crop that is not in the book, the cells that say
     *   something
     */
    private static function differing(array $shipped, ?Crop $crop): array
    {
        $cells = [];
        foreach ($shipped as $column => $cell) {
            $mine = $crop?->cells[$column];
            if ($column !== 'slug' && $cell !== ($mine ?? '')) {
                $cells[] = ['column' => $column, 'mine' => $mine, 'shipped' => $cell];
            }
        }

        return $cells;
    }
}
