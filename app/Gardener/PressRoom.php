<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Operations\NamedLock;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\File;

/**
 * Gives out a page as PDF. It is made once and kept until the page or the program is another; so many are made at a time, and
 * whoever finds the press busy is told to come again.
 */
final readonly class PressRoom
{
    /** Sheets printed at a time. */
    private const PRESSES = 2;

    public function __construct(private PageRenderer $renderer, private PdfPress $press)
    {
    }

    /** @param  string  $cache  how long it may be kept elsewhere */
    public function respond(Page $page, PaperSize $size, string $name, string $cache = 'public, max-age=300'): Response
    {
        $kept = PdfPress::folder().'/'.hash('sha256', $this->renderer->program().$page->reading->name().$page->json().(PdfPress::tags() ? 'tagged' : '')).'.pdf';
        if (! is_file($kept)) {
            $press = $this->freePress() ?? abort(503, 'The press is busy. Try again in a moment.', ['Retry-After' => '5']);
            try {
                File::ensureDirectoryExists(PdfPress::folder());
                File::put("{$kept}.new", $this->press->print($this->renderer->render([$page])[0], $size));
                rename("{$kept}.new", $kept);
            } finally {
                $press->release();
            }
        }

        return response(File::get($kept))->withHeaders(['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"{$name}\"", 'Cache-Control' => $cache]);
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
