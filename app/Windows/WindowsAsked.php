<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Window\ProofStandard;
use App\Sites\Site;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\ValidationException;

/** The site and the confidence level a request for windows refers to. */
final readonly class WindowsAsked
{
    /**
     * @param  Site|null  $site  null: open ground, at which the zone itself is computed
     * @param  ProofStandard|null  $standard  null: the zone's
     */
    private function __construct(public ?Site $site, public ?ProofStandard $standard)
    {
    }

    /** @throws ValidationException naming what is not possible */
    public static function in(Request $request, Zone $zone): self
    {
        $asked = $request->validate(['site' => ['nullable', 'integer'], 'standard' => ['nullable', new Enum(ProofStandard::class)]]);
        $site = isset($asked['site']) ? Site::seenIn($zone)->find((int) $asked['site']) : null;
        if (isset($asked['site']) && $site === null) {
            throw ValidationException::withMessages(['site' => 'This zone has no such growing site. Choose another one.']);
        }

        return new self(
            $site?->toCore() == Site::forZone($zone)[0] ? null : $site,
            isset($asked['standard']) ? ProofStandard::from($asked['standard']) : null,
        );
    }
}
