<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\Answer;
use App\Operations\OfficeInUse;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;

/** A person's tokens for programs: created, shown once, listed, ended, and brought back. */
class TokenController
{
    /** Days for which a token can be valid. */
    private const DAYS = [30, 90, 365];

    public function index(Request $request): AnonymousResourceCollection
    {
        return TokenResource::collection(
            self::user($request)->tokens()->where('office_id', OfficeInUse::one())->orderByDesc('id')->get(),
        );
    }

    public function store(Request $request, SaveToken $save): JsonResponse
    {
        $asked = $request->validate(
            [
                'name' => ['required', 'string', 'max:80'],
                'scopes' => ['required', 'array', 'min:1', 'max:3'],
                'scopes.*' => ['required', 'distinct', new Enum(Scope::class)],
                'days' => ['required', 'integer', Rule::in(self::DAYS)],
            ],
            ['name.required' => 'Enter what the token is for.', 'scopes.required' => 'Choose what the program may do.'],
        );
        $scopes = array_map(Scope::from(...), array_values($asked['scopes']));
        $token = $save->make(self::user($request), $asked['name'], $scopes ?: abort(422), (int) $asked['days']);

        return Answer::of(['id' => $token->accessToken->getKey(), 'token' => $token->plainTextToken], 201);
    }

    public function destroy(Request $request, int $token, SaveToken $save): AnonymousResourceCollection
    {
        $save->end(self::user($request), $token);

        return $this->index($request);
    }

    public function restore(Request $request, int $token, SaveToken $save): AnonymousResourceCollection
    {
        $save->restore(self::user($request), $token);

        return $this->index($request);
    }

    private static function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }
}
