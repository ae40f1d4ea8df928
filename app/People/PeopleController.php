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
        $people = Membership::withLastSeen()->with('user')->get();

        return Answer::of([
            'people' => MembershipResource::collection($people->sortBy('user.name')->values()),
            'invitations' => InvitationResource::collection(Invitation::open()->with('inviter')->orderBy('id')->get()),
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
}
