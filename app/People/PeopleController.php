<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\Answer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;

/** Who may log in, and who is invited. For administrators. */
class PeopleController
{
    public function index(): JsonResponse
    {
        Gate::authorize('manage', User::class);
        $seen = Login::query()
            ->whereIn('user_id', Membership::query()->select('user_id'))
            ->selectRaw('user_id, MAX(seen_at) AS seen')->groupBy('user_id')->toBase()->pluck('seen', 'user_id');

        return Answer::of([
            'people' => Membership::query()
                ->with('user')
                ->get()
                ->sortBy('user.name')
                ->map(static fn (Membership $one): array => self::shape($one, $seen[$one->user_id] ?? null))
                ->values()
                ->all(),
            'invitations' => Invitation::open()
                ->with('inviter')
                ->orderBy('id')
                ->get()
                ->map(
                    static fn (Invitation $one): array => $one->only(['id', 'name', 'email']) + [
                        'role' => $one->role->value,
                        'until' => $one->expires_at->toIso8601String(),
                        'by' => $one->inviter?->name,
                    ],
                )
                ->all(),
        ]);
    }

    public function update(Request $request, User $person, SavePerson $save, SaveSecondFactor $factor): JsonResponse
    {
        Gate::authorize('manage', User::class);
        $asked = $request->validate([
            'role' => ['sometimes', new Enum(Role::class)],
            'active' => ['sometimes', 'boolean'],
            'second_factor' => ['sometimes', 'boolean', 'declined'],
        ]);
        $by = $request->user() ?? abort(401);
        if (isset($asked['role'])) {
            $person = $save->role($person, Role::from($asked['role']), $by);
        }
        if (isset($asked['active'])) {
            $person = $save->active($person, (bool) $asked['active'], $by);
        }
        if (isset($asked['second_factor'])) {
            // They may have more rights elsewhere: one office does not weaken their log-in to another.
            if ($person->worksElsewhere()) {
                throw ValidationException::withMessages([
                    'second_factor' => 'They work in another office too, so they turn it off themselves, with one of their recovery codes.',
                ]);
            }
            $factor->remove($person, $by);
        }

        return $this->index();
    }

    public function destroy(Request $request, User $person, SavePerson $save): Response
    {
        Gate::authorize('manage', User::class);
        $keeps = $request->validate(['keep_name' => ['required', 'boolean']])['keep_name'];
        $save->remove($person, (bool) $keeps, $request->user() ?? abort(401));

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private static function shape(Membership $membership, ?string $seen): array
    {
        $user = $membership->user;

        return [
            'id' => $user->id,
            'name' => $user->name,
            'email' => $user->email,
            'role' => $membership->role->value,
            'active' => $membership->isActive(),
            'second_factor' => $user->hasSecondFactor(),
            'seen' => $seen === null ? null : now()->parse($seen)->toIso8601String(),
        ];
    }
}
