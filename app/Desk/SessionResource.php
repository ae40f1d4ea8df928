<?php

declare(strict_types=1);

namespace App\Desk;

use Anthesis\Messages\Words;
use App\Crops\Crop;
use App\Office\Office;
use App\Office\Preferences;
use App\Operations\DemoClock;
use App\Operations\Today;
use App\People\Role;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property User|null $resource */
class SessionResource extends JsonResource
{
    /** @param  bool  $waitsForCode  whether the password was right and the second step comes next */
    public function __construct(?User $user, private readonly bool $waitsForCode = false)
    {
        parent::__construct($user);
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $user = $this->resource;
        $reads = $user === null ? null : Preferences::of($user);

        return [
            'today' => Today::day()->iso(),
            'demonstration' => config('anthesis.demonstration') ? ['first' => DemoClock::FIRST, 'last' => DemoClock::LAST] : null,
            'waits_for_code' => $this->waitsForCode,
            'user' => $user === null
                    ? null
                    : [
                        'name' => $user->name,
                        'email' => $user->email,
                        'role' => $user->role->value,
                        'units' => $reads->units->value,
                        'dates' => $reads->dates->value,
                        'chosen' => [
                            'units' => $user->units?->value,
                            'dates' => $user->dates?->value,
                            'language' => $user->language,
                        ],
                        'languages' => Words::languages(),
                        'digest' => $user->digest,
                        'home_zone' => SaveProfile::homeZone($user),
                        'must_set_second_factor' => $user->mustSetSecondFactor(),
                        'can' => self::abilities($user),
                        'office' => Office::inUse()->only(['slug', 'name']),
                        'offices' => $user->offices(),
                    ],
        ];
    }

    /** @return list<string> what the person may do at the desk */
    private static function abilities(User $user): array
    {
        return array_keys(
            array_filter([
                'edit-zones' => $user->can('create', Zone::class),
                'edit-sites' => $user->can('create', Zone::class),
                'edit-crops' => $user->can('create', Crop::class),
                'publish' => $user->can('publish', Zone::class),
                'edit-office' => $user->role->doesEducatorsWork(),
                'sign' => $user->can('sign', Zone::class),
                'manage-people' => $user->can('manage', User::class),
                'change-signature' => $user->role === Role::Administrator,
                'read-mail' => $user->can('readMail', Zone::class),
            ]),
        );
    }
}
