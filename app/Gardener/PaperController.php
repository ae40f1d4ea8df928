<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Operations\NamedLock;
use App\Operations\Today;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\File;

/**
 * A calendar on paper: as a page to print, and as PDF. A PDF is made once and kept until the edition, the week or the program is
 * another; so many are made at a time, and whoever finds the press busy is told to come again.
 */
class PaperController
{
    public const SHEETS = ['year', 'wall', 'week', 'crop', 'leaflet'];

    /** Sheets printed at a time. */
    private const PRESSES = 2;

    public function __construct(private readonly EditionPages $pages, private readonly PageRenderer $renderer, private readonly PdfPress $press)
    {
    }

    public function page(Request $request, Zone $zone): Response
    {
        return $this->renderer->respond($this->sheet($request, $zone));
    }

    public function pdf(Request $request, Zone $zone): Response
    {
        $page = $this->sheet($request, $zone);
        $kept = PdfPress::folder().'/'.hash('sha256', $this->renderer->program().$page->reading->name().$page->json().(PdfPress::tags() ? 'tagged' : '')).'.pdf';
        if (! is_file($kept)) {
            $press = $this->freePress() ?? abort(503, 'The press is busy. Try again in a moment.', ['Retry-After' => '5']);
            try {
                File::ensureDirectoryExists(PdfPress::folder());
                File::put("{$kept}.new", $this->press->print($this->renderer->render([$page])[0], $this->size($request)));
                rename("{$kept}.new", $kept);
            } finally {
                $press->release();
            }
        }
        $name = "{$zone->slug}-{$request->route('sheet')}.pdf";

        return response(File::get($kept))->withHeaders(['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$name}\"", 'Cache-Control' => 'public, max-age=300']);
    }

    private function sheet(Request $request, Zone $zone): Page
    {
        $number = PublishedEdition::number($request);
        $edition = PublishedEdition::find($zone, $number)->open();
        $crop = $request->string('crop')->toString();

        return $this->pages->paper($edition, PublishedEdition::base($zone, $number), Reading::of($request), (string) $request->route('sheet'), $this->size($request),
            OwnCrops::of($request, $edition), $crop === '' ? null : $crop, Today::day()->yearDay()) ?? abort(404, 'There is no such crop in this calendar.');
    }

    private function size(Request $request): PaperSize
    {
        $sizes = PaperSize::ofSheet((string) $request->route('sheet'));
        $asked = PaperSize::tryFrom($request->string('size')->toString());

        return in_array($asked, $sizes, true) ? $asked : $sizes[0];
    }

    private function freePress(): ?NamedLock
    {
        for ($i = 0; $i < self::PRESSES; $i++) {
            $lock = NamedLock::take("press-{$i}");
            if ($lock !== null) {
                return $lock;
            }
        }

        return null;
    }
}
