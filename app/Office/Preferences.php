<?php

declare(strict_types=1);

namespace App\Office;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use App\Operations\SaidIn;
use App\People\User;

/** How a person reads and types at the desk: as they chose, otherwise as the office does. */
final readonly class Preferences
{
    private function __construct(public UnitSystem $units, public DateStyle $dates)
    {
    }

    public static function of(User $user): self
    {
        if ($user->units !== null && $user->dates !== null) {
            return new self($user->units, $user->dates);
        }
        $office = $user->loadMissing('membership.office')->getRelation('membership')->office;

        return new self($user->units ?? $office->units, $user->dates ?? $office->dates);
    }

    /** From now on, everything in this request or job is said this way. */
    public function speak(): void
    {
        app()->instance(SaidIn::class, new SaidIn($this->units, $this->dates));
    }
}
