<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\EventLog;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use Illuminate\Validation\ValidationException;

/** A forgotten password: a link by e-mail, good for an hour and once. */
class PasswordController
{
    /** The answer is the same whether anyone has the address or not. */
    public function ask(Request $request): Response
    {
        $email = mb_strtolower($request->validate(['email' => ['required', 'email', 'max:190']])['email']);
        Password::broker()->sendResetLink(
            ['email' => $email] + self::whoMayLogIn(),
            static function (User $user, string $token): void {
                $link = "/desk/new-password/{$token}?email=".rawurlencode($user->email);
                Mail::to($user)->send(new PlainMail('password', $link, ['name' => $user->name]));
            },
        );
        Log::info('password link asked for', EventLog::told($request));

        return response()->noContent(202);
    }

    public function store(Request $request, SaveAccount $save): Response
    {
        $asked = $request->validate([
            'email' => ['required', 'email', 'max:190'],
            'token' => ['required', 'string', 'max:100'],
            'password' => ['required', 'string', new PasswordRule()],
        ]);
        $asked['email'] = mb_strtolower($asked['email']);
        $status = Password::broker()->reset(
            $asked + self::whoMayLogIn(),
            static fn (User $user, string $password) => $save->password($user, $password, null),
        );
        if ($status !== Password::PasswordReset) {
            throw ValidationException::withMessages(['token' => 'This link has been used or is too old. Ask for a new one.']);
        }

        return response()->noContent();
    }

    /** @return array<string, Closure(Builder<User>): mixed> */
    private static function whoMayLogIn(): array
    {
        return ['active' => static fn (Builder $q) => $q->whereIn('id', User::active()->select('id')->toBase())];
    }
}
