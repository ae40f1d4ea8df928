<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Http\Request;

/** Edits name the version they were made on. */
final class VersionedRequest
{
    /** @var array<string, list<string>> */
    public const RULES = ['version' => ['required', 'integer', 'between:1,4000000000']];

    /** @var array<string, string> */
    public const MESSAGES = ['version.required' => 'The version this change is based on is missing (“version”). Reload the page.'];

    public static function of(Request $request): int
    {
        return (int) $request->validate(self::RULES, self::MESSAGES)['version'];
    }
}
