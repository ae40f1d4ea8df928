<?php

declare(strict_types=1);

namespace App\Operations;

use RuntimeException;

/**
 * A signature that anyone can check: Ed25519, with a key pair derived from the office's seal key. The public half is open data;
 * bin/check-edition checks with it and needs nothing from this application.
 */
final class OpenSeal
{
    /** @return string signature of the parts, base64 */
    public static function of(string ...$parts): string
    {
        return base64_encode(sodium_crypto_sign_detached(self::text(...$parts), sodium_crypto_sign_secretkey(self::pair())));
    }

    /** @return string the public key, base64 */
    public static function key(): string
    {
        return base64_encode(sodium_crypto_sign_publickey(self::pair()));
    }

    /** @return string what is signed: the parts, one per line; a line break within one becomes a space */
    public static function text(string ...$parts): string
    {
        return implode("\n", array_map(static fn (string $p): string => (string) preg_replace('/\R/u', ' ', $p), $parts));
    }

    /** @return non-empty-string */
    private static function pair(): string
    {
        $key = (string) config('anthesis.seal_key');
        if ($key === '') {
            throw new RuntimeException(
                'There is no key to seal editions with. Put ANTHESIS_SEAL_KEY into .env (bin/start does), and keep it with the backups.',
            );
        }

        return sodium_crypto_sign_seed_keypair(hash('sha256', "open seal:{$key}", true));
    }
}
