<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Calendar\WeekList;
use App\Zones\Zone;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * The pages of an edition, for when the web server has not found them on its own: if it is not set up to, or while they are made again
 * after an update.
 */
class CalendarController
{
    public function __construct(private readonly EditionPages $pages, private readonly PageRenderer $renderer)
    {
    }

    public function calendar(Request $request, Zone $zone): Response|RedirectResponse
    {
        return $this->show($request, $zone, '', '');
    }

    public function thisWeek(Request $request, Zone $zone): Response|RedirectResponse
    {
        return $this->show($request, $zone, 'weeks/'.WeekList::weekOf($zone->today()->yearDay()), '', 'this-week');
    }

    public function week(Request $request, Zone $zone): Response|RedirectResponse
    {
        return $this->show($request, $zone, "weeks/{$request->route('week')}", 'A year has weeks 1 to '.WeekList::WEEKS.' here.');
    }

    public function crop(Request $request, Zone $zone): Response|RedirectResponse
    {
        return $this->show($request, $zone, "crops/{$request->route('crop')}", 'There is no such crop in this calendar.');
    }

    /** @param  string|null  $file  where the file of the current edition is, if not under its own path */
    private function show(Request $request, Zone $zone, string $path, string $missing, ?string $file = null): Response|RedirectResponse
    {
        $reading = Reading::of($request);
        $number = PublishedEdition::number($request);
        $edition = PublishedEdition::find($zone, $number);
        // A changed text is not shown, whatever files there are.
        $document = $edition->open();
        $base = PublishedEdition::base($zone, $number);
        if (! EditionPages::isReadAs($document, $reading)) {
            return new RedirectResponse(rtrim("{$base}/{$path}", '/'));
        }
        $html =
            PublicSite::read(rtrim(ltrim($base, '/').'/'.($number === null ? $file ?? $path : $path), '/'), $reading) ??
            $this->renderer->render([$this->pages->at($document, $base, $reading, $path) ?? abort(404, $missing)])[0];

        return response($html)->withHeaders([
            'Content-Type' => 'text/html; charset=utf-8',
            'Cache-Control' => 'public, max-age='.($number === null ? 300 : 86400),
        ]);
    }
}
