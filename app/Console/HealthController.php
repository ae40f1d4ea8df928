<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Http\JsonResponse;

/** Whether the application can do its work, for whatever monitors it. */
class HealthController
{
    public function __invoke(): JsonResponse
    {
        $checks = Health::checks();
        $sound = array_filter($checks, static fn (array $check): bool => ! $check['sound']) === [];

        return response()
            ->json(['sound' => $sound, 'checks' => $checks], $sound ? 200 : 503)
            ->header('Cache-Control', 'no-store');
    }
}
