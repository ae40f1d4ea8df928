<?php

declare(strict_types=1);

namespace App\Season;

use App\Crops\Crop;
use App\People\VersionedRequest;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

class HarvestPlanController
{
    private const MOST = 60;

    public function show(Zone $zone): HarvestPlanResource
    {
        return new HarvestPlanResource(HarvestPlan::of($zone)->onlyOfTheBook());
    }

    public function update(Request $request, Zone $zone, SaveHarvestPlan $save): HarvestPlanResource
    {
        $version = VersionedRequest::of($request);
        $asked = $request->validate(
            [
                'needs' => ['present', 'array', 'list', 'max:'.self::MOST],
                'needs.*' => ['array'],
                'needs.*.crop' => ['required', 'string', 'max:60', 'distinct'],
                'needs.*.amount' => ['required', 'numeric', 'between:0.01,100000'],
            ],
            [
                'needs.max' => 'A harvest plan has at most '.self::MOST.' crops. Take one out first.',
                'needs.*.crop.distinct' => 'A crop is listed twice. Enter how much you need of it once.',
                'needs.*.amount.between' => 'Enter how much you need per week: 0.01 to 100,000.',
            ],
        );
        $needs = [];
        foreach ($asked['needs'] as $i => $need) {
            if (Crop::query()->where('slug', $need['crop'])->doesntExist()) {
                throw ValidationException::withMessages([
                    "needs.{$i}.crop" => 'The book has no such crop. Choose another one.',
                ]);
            }
            $needs[] = ['crop' => (string) $need['crop'], 'amount' => (float) $need['amount']];
        }

        $save->execute($zone, $request->user(), $needs, $version);

        return $this->show($zone);
    }
}
