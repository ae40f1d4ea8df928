<?php

declare(strict_types=1);

namespace App\People;

use App\Office\Office;
use App\Operations\Answer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** A person's own name, address, password, second step, and the places where they are logged in. */
class AccountController
{
    public function show(Request $request): JsonResponse
    {
        $user = self::user($request);

        return Answer::of([
            'name' => $user->name,
            'email' => $user->email,
            'new_email' => $user->new_email_until?->isFuture() === true ? $user->new_email : null,
            'second_factor' => [
                'on' => $user->hasSecondFactor(),
                'demanded' => Office::inUse()->second_factor,
                'recovery_codes' => count($user->recovery_codes ?? []),
            ],
            'logins' => LoginResource::collection(Login::alive($user)->get()),
        ]);
    }

    public function name(Request $request, SaveAccount $save): JsonResponse
    {
        $save->name(self::user($request), $request->validate(['name' => ['required', 'string', 'max:120']])['name']);

        return $this->show($request);
    }

    public function email(Request $request, SaveAccount $save): JsonResponse
    {
        $asked = $request->validate([
            'email' => ['required', 'email', 'max:190'],
            'current_password' => ['required', 'string', 'max:1000'],
        ]);
        $save->askForEmail(self::whoKnows($request, $asked['current_password']), $asked['email']);

        return $this->show($request);
    }

    public function confirmEmail(string $secret, SaveAccount $save): Response
    {
        $save->confirmEmail($secret);

        return response()->noContent();
    }

    public function password(Request $request, SaveAccount $save): JsonResponse
    {
        $asked = $request->validate([
            'current_password' => ['required', 'string', 'max:1000'],
            'password' => ['required', 'string', new PasswordRule()],
        ]);
        $save->password(self::whoKnows($request, $asked['current_password']), $asked['password'], SessionLogin::here($request));

        return $this->show($request);
    }

    /** The secret for the app; it takes effect once a code has been typed. */
    public function beginSecondFactor(Request $request, SaveSecondFactor $save): JsonResponse
    {
        $user = self::user($request);
        $secret = $save->begin($user);

        $address = Totp::address($secret, Office::inUse()->name ?: 'Anthesis', $user->email);

        return Answer::of(['secret' => $secret, 'address' => $address], 201);
    }

    public function confirmSecondFactor(Request $request, SaveSecondFactor $save): JsonResponse
    {
        $code = $request->validate(['code' => ['required', 'string', 'digits:'.Totp::DIGITS]])['code'];

        return Answer::of(['recovery_codes' => $save->confirm(self::user($request), $code)]);
    }

    public function endSecondFactor(Request $request, SaveSecondFactor $save): JsonResponse
    {
        $asked = $request->validate(['current_password' => ['required', 'string', 'max:1000']]);
        $user = self::whoKnows($request, $asked['current_password']);
        $save->remove($user, $user);

        return $this->show($request);
    }

    /** Logs out in another place. */
    public function endLogin(Request $request, int $login): JsonResponse
    {
        Login::ofPerson(self::user($request))->findOrFail($login)->end();

        return $this->show($request);
    }

    private static function user(Request $request): User
    {
        return $request->user() ?? abort(401);
    }

    /** @throws ValidationException if the password is not theirs: nobody takes over an account at an unlocked computer */
    private static function whoKnows(Request $request, #[\SensitiveParameter] string $password): User
    {
        $user = self::user($request);
        if (! Hash::check($password, $user->password)) {
            throw ValidationException::withMessages(['current_password' => 'This is not your password.']);
        }

        return $user;
    }
}
