<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Calendar\CropDossier;
use Anthesis\Calendar\CropSheet;
use Anthesis\Crop\Crop;
use Anthesis\Crop\Route;
use Anthesis\Place\Place;
use Anthesis\Window\ProofStandard;
use Anthesis\Window\School\FromReplay;

/** A crop as it is and as it would be, at one place: ribbons and windows side by side. */
final class CropTrial
{
    /** @return array{starts: string, before: list<array<string, mixed>>, after: list<array<string, mixed>>} */
    public static function of(Place $place, ProofStandard $standard, Crop $before, Crop $after): array
    {
        $school = FromReplay::ofPlace($place);
        $share = $standard->share();
        $routes = static fn (Crop $crop): array => array_map(
            static fn (Route $route): array => [
                'ribbon' => CropDossier::ribbon($school->of($crop, $route)->ribbon, $school->of($crop, $route)->expected),
                ...CropSheet::routes($crop, [$school->of($crop, $route)->at($share)])[0],
            ],
            $crop->routes,
        );

        return ['starts' => $place->yearStart()->iso(), 'before' => $routes($before), 'after' => $routes($after)];
    }
}
