<?php

declare(strict_types=1);

namespace App\Operations;

use RuntimeException;

/**
 * Seals what must not change unnoticed, with a key that is not in the database (ANTHESIS_SEAL_KEY). Somebody who can write there can write
 * another text with its checksum, but not its seal.
 */
final class Seal
{
    /** @return string HMAC-SHA-256 over the parts, in hexadecimal */
    public static function of(string ...$parts): string
    {
        $key = (string) config('anthesis.seal_key');
        if ($key === '') {
            throw new RuntimeException(
                'There is no key to seal editions with. Put ANTHESIS_SEAL_KEY into .env (bin/start does), and keep it with the backups.',
            );
        }

        // Including lengths keeps two parts from looking like another two.
        return hash_hmac('sha256', implode('', array_map(static fn (string $p): string => strlen($p).':'.$p, $parts)), $key);
    }

    public static function holds(?string $seal, string ...$parts): bool
    {
        return $seal !== null && hash_equals(self::of(...$parts), $seal);
    }
}
