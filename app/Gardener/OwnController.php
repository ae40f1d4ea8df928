<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Zones\Zone;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * A gardener's own page of a zone, with the crops in its address. The form sends one box per crop, and is redirected to such an address.
 */
class OwnController
{
    public function __invoke(Request $request, Zone $zone, EditionPages $pages, PageRenderer $renderer): Response|RedirectResponse
    {
        $number = PublishedEdition::number($request);
        $edition = PublishedEdition::find($zone, $number)->open();
        $base = PublishedEdition::base($zone, $number);
        $reading = Reading::of($request);
        $ticked = array_values(array_intersect(array_column($edition->content['crops'], 'slug'), array_keys($request->query->all())));
        if ($ticked !== []) {
            return new RedirectResponse("{$reading->prefix()}{$base}/mine?crops=".implode(',', $ticked));
        }

        return $renderer->respond($pages->mine($edition, $base, $reading, OwnCrops::of($request, $edition), $zone->today()->yearDay()));
    }
}
