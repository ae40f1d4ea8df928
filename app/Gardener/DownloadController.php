<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** An edition in open formats, for calendars, tables and programs; anyone may fetch it from anywhere. */
class DownloadController
{
    private const TYPES = ['ics' => 'text/calendar; charset=utf-8', 'csv' => 'text/csv; charset=utf-8', 'json' => 'application/json'];

    public function __invoke(Request $request, Zone $zone): Response
    {
        $number = $request->route('number');
        $edition = PublishedEdition::find($zone, is_numeric($number) ? (int) $number : null);
        $format = (string) $request->route('format');
        $name = "sowing-calendar-{$zone->slug}-{$edition->number}.{$format}";
        $response = response(PublicSite::download($edition->open(), $format))->withHeaders([
            'Content-Type' => self::TYPES[$format],
            'Content-Disposition' => ($format === 'json' ? 'inline' : 'attachment')."; filename=\"{$name}\"",
            'Access-Control-Allow-Origin' => '*',
            'Cache-Control' => 'public, max-age=300',
        ])->setEtag($edition->checksum);
        $response->isNotModified($request);

        return $response;
    }
}
