<?php

declare(strict_types=1);

namespace App\Http\Controllers\Gardener;

use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\WeekList;
use App\Gardener\EditionPages;
use App\Gardener\Page;
use App\Gardener\PageRenderer;
use App\Gardener\PublishedEdition;
use App\Models\Zone;
use App\Support\Today;
use Illuminate\Http\Response;

class CalendarController
{
    public function __construct(private readonly EditionPages $pages, private readonly PageRenderer $renderer)
    {
    }

    public function calendar(Zone $zone, ?int $number = null): Response
    {
        return $this->show($zone, $number, fn (EditionDocument $e, string $base): Page => $this->pages->calendar($e, $base));
    }

    public function thisWeek(Zone $zone, ?int $number = null): Response
    {
        $week = WeekList::weekOf(Today::day()->sowDay());

        return $this->show($zone, $number, fn (EditionDocument $e, string $base): Page => $this->pages->week($e, $base, $week));
    }

    // Route parameters arrive in the order of the address: zone, number where there is one, then week or crop.
    public function week(Zone $zone, int $numberOrWeek, ?int $week = null): Response
    {
        $number = $week === null ? null : $numberOrWeek;
        $week ??= $numberOrWeek;
        abort_if($week < 1 || $week > WeekList::WEEKS, 404, 'A year has weeks 1 to '.WeekList::WEEKS.' here.');

        return $this->show($zone, $number, fn (EditionDocument $e, string $base): Page => $this->pages->week($e, $base, $week));
    }

    public function crop(Zone $zone, string $numberOrCrop, ?string $crop = null): Response
    {
        $number = $crop === null ? null : (int) $numberOrCrop;
        $crop ??= $numberOrCrop;

        return $this->show($zone, $number, fn (EditionDocument $e, string $base): Page => $this->pages->crop($e, $base, $crop)
            ?? abort(404, 'There is no such crop in this calendar.'));
    }

    /** @param  callable(EditionDocument, string): Page  $choose */
    private function show(Zone $zone, ?int $number, callable $choose): Response
    {
        $edition = PublishedEdition::find($zone, $number);
        $document = $edition->open();
        $base = PublishedEdition::base($zone, $number);
        $page = $choose($document, $base);
        $html = $this->renderer->render([$page])[0];

        return response()->view('gardener', ['page' => $page, 'html' => $html, 'title' => $page->title, 'feed' => "{$base}/calendar.ics"])
            ->header('Cache-Control', 'public, max-age=300');
    }
}
