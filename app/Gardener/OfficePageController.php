<?php

declare(strict_types=1);

namespace App\Gardener;

use Illuminate\Http\Request;
use Illuminate\Http\Response;

class OfficePageController
{
    public function __invoke(Request $request, PageRenderer $renderer): Response
    {
        return response($renderer->render([OfficePages::page((string) $request->route('which'), Reading::of($request))])[0])
            ->withHeaders(['Content-Type' => 'text/html; charset=utf-8', 'Cache-Control' => 'public, max-age=300']);
    }
}
