<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Operations\SecurityHeaders;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** This week in a zone, as a page that any other page may embed in a frame; it runs no script. */
class EmbedController
{
    public function __invoke(Request $request, Zone $zone, EditionPages $pages, PageRenderer $renderer): Response
    {
        $page = $pages->embed(
            PublishedEdition::find($zone, null)->open(),
            PublishedEdition::base($zone, null),
            Reading::of($request),
            $zone->today()->yearDay(),
        );

        return $renderer->respond($page, headers: ['Content-Security-Policy' => SecurityHeaders::FRAMED]);
    }
}
