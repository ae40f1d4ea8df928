<?php

declare(strict_types=1);

namespace App\Gardener;

use Illuminate\Support\Str;

/** Words as they are compared: lower case without accents, forgiving a typo or two. */
final class PlainText
{
    /** Shorter words may have one typo, longer ones two; the shortest none. */
    private const ONE_SLIP = 4;

    private const TWO_SLIPS = 5;

    public static function of(string $text): string
    {
        return (string) preg_replace('/[\s\-]+/', ' ', mb_strtolower(Str::ascii(trim($text))));
    }

    /** Whether two words, both plain, differ by no more than typos. */
    public static function isNear(string $one, string $other): bool
    {
        $slips = match (true) {
            strlen($one) < self::ONE_SLIP => 0,
            strlen($one) < self::TWO_SLIPS => 1,
            default => 2,
        };

        return abs(strlen($one) - strlen($other)) <= $slips && levenshtein($one, $other) <= $slips;
    }
}
