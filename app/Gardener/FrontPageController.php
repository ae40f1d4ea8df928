<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Office\Office;
use App\Operations\OfficeInUse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** An office's own front page: its zones, and whom to contact. */
class FrontPageController
{
    public function __invoke(Request $request, PageRenderer $renderer): Response
    {
        $slug = (string) $request->route('office');
        $office =
            Office::query()->where('slug', $slug)->first() ?? abort(404, 'There is no such office. Find your zone on the first page.');
        OfficeInUse::enter($office->id);
        $zones = PublicSite::zones()->where('office_id', $office->id)->values();

        return $renderer->respond(HomePage::page($zones, false, false, Reading::of($request), $office));
    }
}
