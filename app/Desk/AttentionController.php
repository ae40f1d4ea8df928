<?php

declare(strict_types=1);

namespace App\Desk;

use App\Operations\Answer;
use App\Zones\Zone;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What needs attention: in all zones as far as it is known, or in one, for which it is figured. */
class AttentionController
{
    public function __invoke(Request $request, Attention $attention): JsonResponse
    {
        $slug =
            $request->validate([
                'zone' => ['nullable', 'string', 'max:80', Zone::seenHere()],
            ])['zone'] ?? null;
        $attends = $attention->of(Attention::zones($slug), $request->user() ?? abort(401), $slug !== null);

        return Answer::of($attends);
    }
}
