<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * For what is public, and for what is found by its own secret: published calendars, newsletters, stations, links in e-mails. What belongs
 * to a zone comes from its office, with its translations and rules; everything else from every office.
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
