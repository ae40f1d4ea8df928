<?php

declare(strict_types=1);

namespace App\Crops;

use App\Operations\Answer;
use App\People\User;
use App\People\VersionedRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** What the crop table that ships now says, crop by crop. */
class ShippedCropController
{
    public function index(): JsonResponse
    {
        return Answer::of(ShippedCrops::offers());
    }

    public function store(Request $request, string $slug, SaveShippedCrop $save): JsonResponse
    {
        Gate::authorize('create', Crop::class);
        $offers = array_column(ShippedCrops::offers(), null, 'slug');
        $offer = $offers[$slug] ?? abort(404, 'The crop table that ships has nothing new for this crop.');
        $take = (bool) $request->validate(['take' => ['required', 'boolean']], ['take.required' => 'Choose accept or not (“take”).'])[
            'take'
        ];
        /** @var User $user */
        $user = $request->user();
        if ($take) {
            $save->take(
                $slug,
                $offer['version'] === null ? null : VersionedRequest::of($request),
                'Accepted from the crop table that ships.',
                $user,
            );
        } else {
            $save->leave($slug, self::left($offer['cells']), $user);
        }

        return $this->index();
    }

    /** @param  list<array{column: string, mine: string|null, shipped: string}>  $cells */
    private static function left(array $cells): string
    {
        $said = array_map(static fn (array $c): string => "{$c['column']} {$c['shipped']}", $cells);

        return mb_strimwidth('Declined. The crop table that ships now says: '.implode(', ', $said), 0, 480, '…').'.';
    }
}
