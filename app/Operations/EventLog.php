<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;

/**
 * Logs what was refused and to whom, for anyone who looks into a complaint or an attack. A line has the address, the status, the person's
 * number, and the names of the refused fields, never their content.
 */
final class EventLog
{
    /** What somebody may want to look into; other refusals happen every day. */
    private const NOTABLE = [401, 403, 409, 413, 419, 429];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        return $next($request);
    }

    public function terminate(Request $request, Response $response): void
    {
        $status = $response->getStatusCode();
        if ($status === 422 || in_array($status, self::NOTABLE, true)) {
            Log::log(
                $status === 422 ? 'info' : 'notice',
                'refused',
                self::told($request) + ['status' => $status] + ($status === 422 ? ['fields' => self::fields($response)] : []),
            );
        }
    }

    /**
     * @param  int|null  $user  number of the person; null: whoever is logged in
     * @return array<string, mixed>
     */
    public static function told(Request $request, ?int $user = null): array
    {
        return [
            'method' => $request->getMethod(),
            'route' => $request->route()?->uri() ?? '(none)',
            'user' => $user ?? $request->user()?->getAuthIdentifier(),
            'ip' => $request->ip(),
        ];
    }

    /** @return list<string> names of what was refused */
    private static function fields(Response $response): array
    {
        $answer = json_decode((string) $response->getContent(), true);
        $errors = is_array($answer) && is_array($answer['errors'] ?? null) ? $answer['errors'] : [];

        return array_slice(array_map(strval(...), array_keys($errors)), 0, 20);
    }
}
