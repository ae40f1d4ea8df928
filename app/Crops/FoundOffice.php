<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Soil\Site as SoilSite;
use Anthesis\Tables\CropCsv;
use App\Office\Office;
use App\Operations\OfficeInUse;
use App\People\Change;
use App\Sites\Site;
use Illuminate\Support\Facades\DB;

/** Adds another office, with the crop book that ships and the growing sites everybody starts with. */
final class FoundOffice
{
    public function execute(string $name): Office
    {
        return DB::transaction(static function () use ($name): Office {
            $office = Office::query()
                ->create(['name' => $name, 'slug' => Office::freeSlug($name)])
                ->refresh();
            OfficeInUse::within($office->id, static function () use ($office): void {
                Change::record('added', $office, null, [], ['name' => $office->name]);
                self::crops();
                self::sites();
            });

            return $office;
        });
    }

    private static function crops(): void
    {
        $position = 0;
        foreach (CropCsv::standardRows() as $slug => $cells) {
            Crop::query()->create(['slug' => $slug, 'position' => ++$position, 'cells' => $cells]);
            ShippedCrop::query()->create(['slug' => $slug, 'cells' => $cells]);
        }
    }

    private static function sites(): void
    {
        foreach (SoilSite::presets() as $site) {
            Site::query()->create([
                'name' => $site->name,
                'air' => $site->air,
                'sun' => $site->sun,
                'rate' => $site->rate,
                'protection' => $site->protection,
                'ground' => $site->ground,
                'preset' => true,
            ]);
        }
    }
}
