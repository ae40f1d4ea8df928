<?php

declare(strict_types=1);

namespace App\People;

/**
 * Six-digit codes that change every half minute, as an app on a phone shows them (RFC 6238 with HMAC-SHA-1, which is what such apps use).
 * The registry this project installs from has no package for it.
 */
final class Totp
{
    public const DIGITS = 6;

    private const STEP_S = 30;

    /** Phones' clocks may be off by this many steps. */
    private const DRIFT = 1;

    private const SECRET_BYTES = 20;

    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** @return string a new secret, in base32 */
    public static function secret(): string
    {
        $bits = '';
        foreach (str_split(random_bytes(self::SECRET_BYTES)) as $byte) {
            $bits .= str_pad(decbin(ord($byte)), 8, '0', STR_PAD_LEFT);
        }

        return implode('', array_map(static fn (string $five): string => self::ALPHABET[(int) bindec($five)], str_split($bits, 5)));
    }

    /** @return string the code of a step of 30 seconds since 1970 */
    public static function code(string $secret, int $step): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), self::bytes($secret), true);
        $at = ord($hash[strlen($hash) - 1]) & 0x0F;
        $number = unpack('N', substr($hash, $at, 4))[1] & 0x7FFFFFFF;

        return str_pad((string) ($number % 10 ** self::DIGITS), self::DIGITS, '0', STR_PAD_LEFT);
    }

    /**
     * @param  int  $after  the last step whose code was used: a code works once
     * @return int|null the step the code belongs to; null: no step that counts now
     */
    public static function stepOf(string $secret, string $code, int $now, int $after = 0): ?int
    {
        $step = intdiv($now, self::STEP_S);
        foreach (range($step - self::DRIFT, $step + self::DRIFT) as $tried) {
            if ($tried > $after && hash_equals(self::code($secret, $tried), $code)) {
                return $tried;
            }
        }

        return null;
    }

    /** @return string what an app reads the secret from, as a link or a QR code */
    public static function address(string $secret, string $issuer, string $account): string
    {
        return 'otpauth://totp/'.rawurlencode($issuer).':'.rawurlencode($account).'?'.http_build_query(
            ['secret' => $secret, 'issuer' => $issuer],
            encoding_type: PHP_QUERY_RFC3986,
        );
    }

    private static function bytes(string $secret): string
    {
        $bits = '';
        foreach (str_split($secret) as $letter) {
            $bits .= str_pad(decbin((int) strpos(self::ALPHABET, $letter)), 5, '0', STR_PAD_LEFT);
        }
        $bytes = '';
        foreach (str_split($bits, 8) as $eight) {
            $bytes .= strlen($eight) === 8 ? chr((int) bindec($eight)) : '';
        }

        return $bytes;
    }
}
