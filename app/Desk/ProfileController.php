<?php

declare(strict_types=1);

namespace App\Desk;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use Anthesis\Messages\Words;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Enum;

/** What a person chooses for themselves. */
class ProfileController
{
    public function update(Request $request, SaveProfile $save): SessionResource
    {
        $chosen = $request->validate(
            [
                'units' => ['present', 'nullable', new Enum(UnitSystem::class)],
                'dates' => ['present', 'nullable', new Enum(DateStyle::class)],
                'language' => ['sometimes', 'nullable', Rule::in(Words::languages())],
                'digest' => ['sometimes', 'boolean'],
                'home_zone' => ['present', 'nullable', 'string', 'max:80', Zone::seenHere()],
            ]
        );
        $user = $request->user() ?? abort(401);

        return new SessionResource(
            $save->execute(
                $user,
                $chosen['units'],
                $chosen['dates'],
                $chosen['home_zone'],
                array_key_exists('language', $chosen) ? $chosen['language'] : $user->language,
                (bool) ($chosen['digest'] ?? $user->digest),
            ),
        );
    }
}
