<?php

declare(strict_types=1);

namespace App\Operations;

use Anthesis\Exchange\Words;
use Anthesis\Words\Phrase;

/** Says the core's phrases in the language of the request. */
final class Say
{
    public static function phrase(Phrase $phrase): string
    {
        return Words::in(app()->getLocale())->phrase($phrase);
    }

    /** @param  array<string, int|float|string|Phrase>  $with */
    public static function key(string $key, array $with = []): string
    {
        return self::phrase(Phrase::of($key, $with));
    }
}
