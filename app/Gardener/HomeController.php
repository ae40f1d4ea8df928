<?php

declare(strict_types=1);

namespace App\Gardener;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Finds a gardener's zone. Without a question, the web server sends the page on its own. */
class HomeController
{
    public function __invoke(Request $request, PageRenderer $renderer): Response|RedirectResponse
    {
        $reading = Reading::of($request);
        $asked = trim(mb_substr($request->string('place')->toString(), 0, 80));
        $zones = PublicSite::zones();
        $found = HomePage::matching($zones, $asked);
        if ($asked !== '' && $found->count() === 1) {
            // A path, not an address: what a reader calls this host is not ours to repeat.
            return new RedirectResponse(Page::address($reading, "/zones/{$found->firstOrFail()->slug}/this-week"));
        }
        $html = $asked === '' ? PublicSite::read('', $reading) : null;
        $html ??= $renderer->render([
            HomePage::page($found->isEmpty() ? $zones : $found, $asked !== '', $found->isNotEmpty(), $reading),
        ])[0];

        return response($html)->withHeaders(['Content-Type' => 'text/html; charset=utf-8', 'Cache-Control' => 'public, max-age=60']);
    }
}
