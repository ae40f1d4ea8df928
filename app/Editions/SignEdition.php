<?php

declare(strict_types=1);

namespace App\Editions;

use App\People\Change;
use App\People\User;
use Illuminate\Support\Facades\DB;

/** Signs an edition that is waiting for its second signature; then it continues on its way. */
final class SignEdition
{
    public function __construct(private readonly ReleaseEditions $release)
    {
    }

    /** @throws CannotPublish */
    public function execute(Edition $edition, User $user): void
    {
        DB::transaction(function () use ($edition, $user): void {
            $locked = Edition::query()->whereKey($edition->id)->lockForUpdate()->firstOrFail();
            if ($locked->withdrawn_on !== null || ! $locked->needs_signature) {
                throw new CannotPublish('This edition does not need another signature.', 'signature');
            }
            // Two people may have the same name, and one may change theirs, so the person counts.
            $drafter = Publication::query()->where('edition_id', $locked->id)->value('user_id');
            if ($drafter === null ? $locked->published_by === $user->name : (int) $drafter === $user->id) {
                throw new CannotPublish('You drafted this edition, so somebody else has to sign it.', 'signature');
            }
            if ($locked->signed_at === null) {
                $locked->update(['signed_by' => $user->name, 'signed_at' => now()]);
                Change::record('signed', $locked, $user);
                $this->release->execute();
            }
        });
    }
}
