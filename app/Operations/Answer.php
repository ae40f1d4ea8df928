<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Http\JsonResponse;

/** What was computed or is made for one request, sent the way a resource is. A row of the database has its own Resource. */
final class Answer
{
    public static function of(mixed $content, int $status = 200): JsonResponse
    {
        return response()->json(['data' => $content], $status);
    }
}
