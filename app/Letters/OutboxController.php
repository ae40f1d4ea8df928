<?php

declare(strict_types=1);

namespace App\Letters;

use App\Operations\Answer;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

/** What would have been sent, for people who may see addresses. */
class OutboxController
{
    private const SHOWN = 100;

    public function __invoke(): JsonResponse
    {
        Gate::authorize('readMail', Zone::class);

        return Answer::of([
            'simulated' => config('mail.default') === 'outbox',
            'readers' => LetterReader::query()->whereNotNull('confirmed_at')->count(),
            'mails' => OutboxMailResource::collection(
                OutboxMail::query()
                    ->when(Gate::denies('manage', User::class), static fn (Builder $q) => $q->where('to_person', false))
                    ->orderByDesc('id')
                    ->limit(self::SHOWN)
                    ->get(),
            ),
        ]);
    }
}
