<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * For what is everybody's, and for what is found by a secret of its own: published calendars, letters, stations, links by mail. What is
 * of a zone is of its office, with its translations and rules; all else of every office.
 */
final class ReadsEveryOffice
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $zone = $request->route('zone');
        $office = is_string($zone) ? DB::table('zones')->where('slug', $zone)->value('office_id') : null;
        $office === null ? OfficeInUse::enterEvery() : OfficeInUse::enter((int) $office);

        return $next($request);
    }
}
