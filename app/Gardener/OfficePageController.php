<?php

declare(strict_types=1);

namespace App\Gardener;

use Illuminate\Http\Request;
use Illuminate\Http\Response;

class OfficePageController
{
    public function __invoke(Request $request, PageRenderer $renderer): Response
    {
        return $renderer->respond(OfficePages::page((string) $request->route('which'), Reading::of($request)));
    }
}
