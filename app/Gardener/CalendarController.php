<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Calendar\WeekList;
use App\Operations\Today;
use App\Zones\Zone;
use Illuminate\Http\Response;

/**
 * The pages of an edition, for when the web server has not found them by itself: where it is not set up to, or while they are
 * made anew after an update.
 */
class CalendarController
{
    public function __construct(private readonly EditionPages $pages, private readonly PageRenderer $renderer)
    {
    }

    public function calendar(Zone $zone, ?int $number = null): Response
    {
        return $this->show($zone, $number, '', '');
    }

    public function thisWeek(Zone $zone, ?int $number = null): Response
    {
        return $this->show($zone, $number, 'weeks/'.WeekList::weekOf(Today::day()->yearDay()), '', $number === null ? 'this-week' : null);
    }

    // Route parameters arrive in the order of the address: zone, number where there is one, then week or crop.
    public function week(Zone $zone, int $numberOrWeek, ?int $week = null): Response
    {
        return $this->show($zone, $week === null ? null : $numberOrWeek, 'weeks/'.($week ?? $numberOrWeek), 'A year has weeks 1 to '.WeekList::WEEKS.' here.');
    }

    public function crop(Zone $zone, string $numberOrCrop, ?string $crop = null): Response
    {
        return $this->show($zone, $crop === null ? null : (int) $numberOrCrop, 'crops/'.($crop ?? $numberOrCrop), 'There is no such crop in this calendar.');
    }

    /** @param  string|null  $file  where its file is, if not under its own path */
    private function show(Zone $zone, ?int $number, string $path, string $missing, ?string $file = null): Response
    {
        $edition = PublishedEdition::find($zone, $number);
        // A changed text is not shown, whatever files there are.
        $document = $edition->open();
        $base = PublishedEdition::base($zone, $number);
        $html = PublicSite::read(rtrim(ltrim($base, '/').'/'.($file ?? $path), '/'))
            ?? $this->renderer->render([$this->pages->at($document, $base, $path) ?? abort(404, $missing)])[0];

        return response($html)->withHeaders(['Content-Type' => 'text/html; charset=utf-8', 'Cache-Control' => 'public, max-age='.($number === null ? 300 : 86400)]);
    }
}
