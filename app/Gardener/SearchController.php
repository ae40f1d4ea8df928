<?php

declare(strict_types=1);

namespace App\Gardener;

use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Finds crops by any of their names, zones by theirs, and pages by topic. */
class SearchController
{
    public function __invoke(Request $request, SearchPage $search, PageRenderer $renderer): Response
    {
        $asked = trim(mb_substr($request->string('for')->toString(), 0, 80));

        return $renderer->respond($search->page($asked, Reading::of($request)));
    }
}
