<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Tables\CropCsv;
use Anthesis\Window\ProofStandard;
use App\Crops\Crop;
use App\Crops\CropRequest;
use App\Operations\Answer;
use App\Results\PlaceOf;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

class CropTrialController
{
    /** What changed numbers would do to a crop's ribbon in a zone; nothing is saved. */
    public function store(CropRequest $request, Crop $crop, PlaceOf $places): JsonResponse
    {
        $zone =
            Zone::query()->where('slug', (string) $request->input('zone'))->first() ??
            throw ValidationException::withMessages(['zone' => 'There is no such zone.']);
        $place =
            $places->zone($zone) ?? throw ValidationException::withMessages(['zone' => 'That zone has no record yet. Choose another one.']);

        $edited = CropCsv::crop($request->cells($crop));

        return Answer::of(CropTrial::of($place, ProofStandard::from($zone->standard), $crop->toCore(), $edited));
    }
}
