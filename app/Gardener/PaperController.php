<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A calendar on paper: as a page to print, and as PDF. */
class PaperController
{
    public function __construct(
        private readonly EditionPages $pages,
        private readonly PageRenderer $renderer,
        private readonly PressRoom $press,
    ) {
    }

    public function page(Request $request, Zone $zone): Response
    {
        return $this->renderer->respond($this->sheet($request, $zone));
    }

    public function pdf(Request $request, Zone $zone): Response
    {
        return $this->press->respond($this->sheet($request, $zone), $this->size($request), "{$zone->slug}-{$request->route('sheet')}.pdf");
    }

    private function sheet(Request $request, Zone $zone): Page
    {
        $number = PublishedEdition::number($request);
        $edition = PublishedEdition::find($zone, $number)->open();
        $crop = $request->string('crop')->toString();

        return $this->pages->paper(
            $edition,
            PublishedEdition::base($zone, $number),
            Reading::of($request),
            (string) $request->route('sheet'),
            $this->size($request),
            OwnCrops::of($request, $edition),
            $crop === '' ? null : $crop,
            $zone->today()->yearDay(),
        ) ?? abort(404, 'There is no such crop in this calendar.');
    }

    private function size(Request $request): PaperSize
    {
        $sizes = PaperSize::ofSheet((string) $request->route('sheet'), Reading::of($request));
        $asked = PaperSize::tryFrom($request->string('size')->toString());

        return in_array($asked, $sizes, true) ? $asked : $sizes[0];
    }
}
