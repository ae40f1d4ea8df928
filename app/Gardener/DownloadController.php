<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** An edition in open formats, for calendars, spreadsheets, and programs; anyone may download it from anywhere. */
class DownloadController
{
    private const TYPES = ['ics' => 'text/calendar; charset=utf-8', 'csv' => 'text/csv; charset=utf-8', 'json' => 'application/json'];

    public function __invoke(Request $request, Zone $zone): Response
    {
        $number = PublishedEdition::number($request);
        $edition = PublishedEdition::find($zone, $number);
        $document = $edition->open();
        $reading = Reading::of($request);
        $format = (string) $request->route('format');
        if ($format === 'json' && $document->notice !== null && $number === null) {
            abort(
                410,
                "The calendar of {$zone->name} was withdrawn on {$document->notice['on']}: {$document->notice['reason']} Its text stays at ".
                    url(PublishedEdition::base($zone, $edition->number).'/calendar.json').
                    '.',
            );
        }
        $text = PublicSite::download(
            $document,
            $format,
            PublishedEdition::base($zone, $number),
            $reading,
            OwnCrops::feed($request, $document),
        );
        $response = response($text)
            ->withHeaders(
                [
                    'Content-Type' => self::TYPES[$format],
                    'Content-Disposition' => ($format === 'json' ? 'inline' : 'attachment').
                        "; filename=\"sowing-calendar-{$zone->slug}-{$edition->number}.{$format}\"",
                    'Access-Control-Allow-Origin' => '*',
                    'Cache-Control' => 'public, max-age=300',
                ] + ($document->notice === null ? [] : ['X-Edition-Withdrawn' => $document->notice['on']]),
            )
            ->setEtag($format === 'json' ? $edition->checksum : hash('sha256', $text));
        $response->isNotModified($request);

        return $response;
    }
}
