<?php

declare(strict_types=1);

namespace App\Ground;

use Anthesis\Ground\BedYield;
use App\Crops\Crop;
use App\Operations\Answer;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

class BedYieldController
{
    /** What each crop and variety yields for its space and time, with the person's own prices. */
    public function index(Request $request, Zone $zone, ZoneGround $ground): JsonResponse
    {
        $here = $ground->growing($zone) ?? abort(404, GrowingHere::NO_RECORD);
        $prices = Price::query()
            ->where('user_id', $request->user()->id)
            ->join('crops', 'crops.id', '=', 'prices.crop_id')
            ->pluck('price', 'crops.slug');
        $rows = [];
        foreach ($here->all() as $candidate) {
            $worth = BedYield::of($candidate);
            if ($worth === null) {
                continue;
            }
            $crop = $candidate->crop;
            $rows[] = [
                'crop' => $crop->slug,
                'name' => $crop->name,
                'variety' => $candidate->variety,
                'route' => $candidate->route->value,
                'act' => $crop->act($candidate->route)->value,
                'on' => $worth->on->iso(),
                'days' => $worth->days,
                'share' => round($worth->share, 3),
                'amount' => round($worth->amount, 3),
                'unit' => $crop->yieldPerMetre()[1] ?? 'kg',
                'thirst' => $crop->watering->thirst,
                'price' => isset($prices[$crop->slug]) ? (float) $prices[$crop->slug] : null,
            ];
        }

        return Answer::of($rows);
    }

    public function price(Request $request, Crop $crop, SavePrice $save): JsonResponse
    {
        $asked = $request->validate(
            ['price' => ['present', 'nullable', 'numeric', 'between:0.01,100000']],
            ['price.between' => 'Enter a price from 0.01 to 100,000 per kilogram or stem. Leave it blank to delete it.'],
        );
        $price = isset($asked['price']) ? round((float) $asked['price'], 2) : null;
        $save->execute($request->user(), $crop, $price);

        return Answer::of(['crop' => $crop->slug, 'price' => $price]);
    }
}
