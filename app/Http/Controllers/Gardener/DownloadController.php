<?php

declare(strict_types=1);

namespace App\Http\Controllers\Gardener;

use Anthesis\Exchange\EditionCsv;
use Anthesis\Exchange\EditionICalendar;
use App\Gardener\PublishedEdition;
use App\Models\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** An edition in open formats, for calendars, tables and programs; anyone may fetch it from anywhere. */
class DownloadController
{
    public function __invoke(Request $request, Zone $zone): Response
    {
        $number = $request->route('number');
        $edition = PublishedEdition::find($zone, is_numeric($number) ? (int) $number : null);
        $document = $edition->open();
        $format = (string) $request->route('format');
        [$type, $text] = match ($format) {
            'ics' => ['text/calendar; charset=utf-8', EditionICalendar::write($document)],
            'csv' => ['text/csv; charset=utf-8', EditionCsv::write($zone->slug, $document->content['crops'])],
            default => ['application/json', $document->json],
        };
        $name = "sowing-calendar-{$zone->slug}-{$edition->number}.{$format}";
        $response = response($text)->withHeaders([
            'Content-Type' => $type,
            'Content-Disposition' => ($format === 'json' ? 'inline' : 'attachment')."; filename=\"{$name}\"",
            'Access-Control-Allow-Origin' => '*',
            'Cache-Control' => 'public, max-age=300',
        ])->setEtag($edition->checksum);
        $response->isNotModified($request);

        return $response;
    }
}
