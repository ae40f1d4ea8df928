<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use RuntimeException;

/** An edition that is no longer what was published. It is not shown; a page says so. */
final class BrokenSeal extends RuntimeException
{
    public function __construct(public readonly string $zone, public readonly int $number)
    {
        parent::__construct("Edition {$number} of {$zone} is no longer what was published, so it is not shown. Ask your extension office.");
    }

    public function render(Request $request): Response|JsonResponse
    {
        $response =
            str_ends_with($request->path(), '.json') || $request->expectsJson()
                ? response()->json(['message' => $this->getMessage()], 410)
                : response()->view('errors.410', ['exception' => $this], 410);

        return $response->header('Cache-Control', 'no-store');
    }
}
