<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Messages\Words;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * What a reader gets instead of a page that cannot be shown, with the site's frame, in their language, and with the search. It is made with
 * the page of zones and kept as a file, because an error must not cost more than a page.
 *
 *     error.{status}.html, error.{status}.{reading}.html
 */
final class ErrorPage
{
    /** Errors with words of their own, as `error-page.<status>.*`. */
    public const STATUSES = [400, 404, 410, 429, 500, 503];

    /** Where the sentence about what is missing goes. */
    private const EMPTY = '<p class="why"></p>';

    /** @return array<string, Page> by file */
    public static function all(): array
    {
        $pages = [];
        foreach (Reading::all() as $reading) {
            foreach (self::STATUSES as $status) {
                $title = $reading->say("error-page.{$status}.title");
                $pages[self::file($status, $reading)] = new Page('error', null, ['status' => $status], $title, $title, null, $reading);
            }
        }

        return $pages;
    }

    /**
     * @param  string  $why  what is missing, in English; blank: there is nothing more to say than that a page is
     * @return Response|null null if the pages were not made yet, or the address is not a reader's
     */
    public static function respond(Request $request, int $status, string $why): ?Response
    {
        if (
            $request->is('api/*', 'desk', 'desk/*', 'desk-files/*', 'log', 'open/*', 'up', 'tasks/*') ||
            $request->expectsJson() ||
            preg_match('/\.(json|geojson|csv|ics|atom|pdf|xml|txt)$/', $request->path()) === 1
        ) {
            return null;
        }
        $status = in_array($status, self::STATUSES, true) ? $status : ($status >= 500 ? 500 : 400);
        $reading = Reading::named((string) $request->segment(1)) ?? new Reading();
        $path = PublicSite::root().'/'.self::file($status, $reading);

        $why = $status === 404 && $reading->language === Words::SOURCE ? e($why) : '';

        return is_file($path)
            ? new Response(
                str_replace(self::EMPTY, $why === '' ? '' : "<p class=\"why\">{$why}</p>", (string) file_get_contents($path)),
                $status,
                ['Content-Type' => 'text/html; charset=utf-8', 'Cache-Control' => 'no-store', 'X-Robots-Tag' => 'noindex'],
            )
            : null;
    }

    private static function file(int $status, Reading $reading): string
    {
        return "error.{$status}".($reading->name() === '' ? '' : ".{$reading->name()}").'.html';
    }
}
