<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Crop\Crop as CropParameters;
use Anthesis\Crop\CropBook;
use Anthesis\Crop\Variety as CoreVariety;
use App\Zones\Zone;

/** The crop book as it is grown in a zone, with the local days to maturity that its educator adopted. */
final readonly class ZoneCrops
{
    /** @param  array<string, float>  $days  local ones, by id of the crop and, after a line break, name of the variety */
    private function __construct(private array $days, private int $office)
    {
    }

    public static function of(Zone $zone): self
    {
        $days = [];
        foreach (LocalDaysOfCrop::holdingIn($zone)->get() as $own) {
            $days[self::key($own->crop_id, $own->variety)] = $own->days;
        }

        return new self($days, $zone->office_id);
    }

    public function crop(Crop $crop): CropParameters
    {
        return $this->local($crop->toCore(), $crop->id, null);
    }

    public function variety(Variety $variety, Crop $crop): CropParameters
    {
        return $this->local($variety->toCore($crop), $crop->id, $variety->name);
    }

    /** A crop as it grows in a bed: the book's variety of that name, otherwise the crop itself. */
    public function named(Crop $crop, ?string $variety): CropParameters
    {
        $known = $variety === null ? null : $crop->varieties->firstWhere('name', $variety);

        return $known === null ? $this->crop($crop) : $this->variety($known, $crop);
    }

    /** All crops, in the order of the book, with their varieties. */
    public function book(): CropBook
    {
        return CropBook::from(function (): array {
            $crops = $varieties = [];
            foreach (Crop::query()->where('office_id', $this->office)->with('varieties')->get()->sortBy('position') as $crop) {
                $crops[] = $this->crop($crop);
                foreach ($crop->varieties as $variety) {
                    $varieties[$crop->slug][] = new CoreVariety($variety->name, $variety->tags, $this->variety($variety, $crop));
                }
            }

            return [$crops, $varieties];
        });
    }

    private function local(CropParameters $crop, int $id, ?string $variety): CropParameters
    {
        $days = $this->days[self::key($id, $variety)] ?? null;

        return $days === null ? $crop : $crop->maturingIn($days);
    }

    private static function key(int $crop, ?string $variety): string
    {
        return "{$crop}\n{$variety}";
    }
}
