<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Publishing\FeedChoice;
use Illuminate\Http\Request;

/** The crops a gardener chose, as they appear in an address: `?crops=kale,radish`. */
final class OwnCrops
{
    /** @return list<string> slugs, in the order of the edition; those it does not have are left out */
    public static function of(Request $request, EditionDocument $edition): array
    {
        $asked = explode(',', $request->string('crops')->toString());

        return array_values(
            array_filter(array_column($edition->content['crops'], 'slug'), static fn (string $slug): bool => in_array($slug, $asked, true)),
        );
    }

    /** What a feed contains: `?crops=kale,radish&events=short`. */
    public static function feed(Request $request, EditionDocument $edition): FeedChoice
    {
        $crops = self::of($request, $edition);

        return new FeedChoice($request->has('crops') && $crops !== [] ? $crops : null, $request->string('events')->toString() === 'short');
    }
}
