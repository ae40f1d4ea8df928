<?php

declare(strict_types=1);

namespace App\Desk;

use App\Office\Preferences;
use App\Operations\OfficeInUse;
use App\People\Membership;
use App\People\User;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use Throwable;

/** E-mails everybody who wants it, once a day, what needs their attention; nobody gets an empty one. */
final readonly class SendDigests
{
    public function __construct(private Attention $attention)
    {
    }

    /** @return int e-mails sent */
    public function execute(): int
    {
        $sent = 0;
        foreach (User::active()->where('digest', true)->orderBy('id')->get() as $user) {
            $sent += $user->digestIsNext() && $this->send($user) ? 1 : 0;
        }

        return $sent;
    }

    private function send(User $user): bool
    {
        try {
            $matters = [];
            foreach (Membership::openTo($user)->get() as $in) {
                $matters = [
                    ...$matters,
                    ...OfficeInUse::within($in->office_id, function () use ($user, $in): array {
                        $user->setRelation('membership', $in);
                        Preferences::of($user)->speak();

                        return $this->attention->of(Attention::zones(), $user, false)['matters'];
                    }),
                ];
            }
            if ($matters === []) {
                return false;
            }
            Mail::to($user)->send(new DigestMail($user->name, $matters));

            return true;
        } catch (Throwable $error) {
            // One address that cannot be reached does not keep others waiting.
            Log::warning('A digest could not be sent: '.$error->getMessage());

            return false;
        }
    }
}
