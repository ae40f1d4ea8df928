<?php

declare(strict_types=1);

namespace App\Http\Controllers\Gardener;

use App\Gardener\HomePage;
use App\Gardener\PageRenderer;
use App\Models\Zone;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;

class HomeController
{
    public function __invoke(Request $request, PageRenderer $renderer): Response|RedirectResponse
    {
        $asked = trim(mb_substr((string) $request->query('place', ''), 0, 80));
        /** @var Collection<int, Zone> $zones */
        $zones = Zone::query()->with('settlements')->has('currentEdition')->orderBy('district')->orderBy('name')->get();
        $found = HomePage::matching($zones, $asked);
        if ($asked !== '' && $found->count() === 1) {
            return redirect()->route('gardener.this-week', ['zone' => $found->first()]);
        }
        $page = HomePage::page($found->isEmpty() ? $zones : $found, $asked !== '', $found->isNotEmpty());

        return response()->view('gardener', ['page' => $page, 'html' => $renderer->render([$page])[0], 'title' => 'Sowing calendars'])
            ->header('Cache-Control', 'public, max-age=60');
    }
}
