<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Operations\NamedLock;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\File;

/**
 * Serves a page as PDF. It is made once and kept until the page or the program changes, as long as there is room: the one unused the
 * longest is deleted first. There is a limit to how many are made at a time, and one per reader; a reader who finds it busy is asked to try
 * again.
 */
final readonly class PressRoom
{
    /** Sheets printed at a time. */
    private const PRESSES = 2;

    private const MIB = 1 << 20;

    public function __construct(private PageRenderer $renderer, private PdfPress $press)
    {
    }

    /** @param  string  $cache  how long it may be cached elsewhere */
    public function respond(Page $page, PaperSize $size, string $name, string $cache = 'public, max-age=300'): Response
    {
        $kept =
            PdfPress::folder().
            '/'.
            hash('sha256', $this->renderer->program().$page->reading->name().$page->json().(PdfPress::tags() ? 'tagged' : '')).
            '.pdf';
        if (! is_file($kept)) {
            $own =
                NamedLock::take('press-for-'.hash('xxh64', (string) request()->ip())) ??
                abort(503, 'Another PDF is being made for you. Try again in a moment.', ['Retry-After' => '5']);
            $press = $this->freePress();
            try {
                $press !== null || abort(503, 'Too many PDFs are being made right now. Try again in a moment.', ['Retry-After' => '5']);
                File::ensureDirectoryExists(PdfPress::folder());
                File::put("{$kept}.new", $this->press->print($this->renderer->render([$page])[0], $size));
                rename("{$kept}.new", $kept);
                $this->makeRoom($kept);
            } finally {
                $press?->release();
                $own->release();
            }
        } else {
            // Marks it as used now.
            @touch($kept);
        }

        return response(File::get($kept))->withHeaders([
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"{$name}\"",
            'Cache-Control' => $cache,
        ]);
    }

    /** Deletes what was unused the longest, until the rest fits. */
    private function makeRoom(string $newest): void
    {
        clearstatcache();
        $used = [];
        foreach (glob(PdfPress::folder().'/*.pdf') ?: [] as $path) {
            $used[$path] = (int) @filemtime($path);
        }
        asort($used);
        $bytes = array_sum(array_map(static fn (string $path): int => (int) @filesize($path), array_keys($used)));
        foreach (array_keys($used) as $path) {
            if ($bytes <= (int) config('anthesis.paper_mib') * self::MIB || $path === $newest) {
                return;
            }
            $bytes -= (int) @filesize($path);
            @unlink($path);
        }
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
