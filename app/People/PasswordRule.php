<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A password is long, and not one of those that everybody tries first. There are no other rules, because they make passwords worse. */
final class PasswordRule implements ValidationRule
{
    public const SHORTEST = 12;

    private const LONGEST = 200;

    /** @param  Closure(string): mixed  $fail */
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $length = is_string($value) ? mb_strlen($value) : 0;
        if (! is_string($value) || $length < self::SHORTEST) {
            $fail('The password needs at least '.self::SHORTEST.' characters. A few words in a row are easy to remember.');
        } elseif ($length > self::LONGEST) {
            $fail('The password has more than '.self::LONGEST.' characters. Choose a shorter one.');
        } elseif (self::isCommon($value)) {
            $fail('This is one of the passwords people try first. Choose another one.');
        }
    }

    private static function isCommon(string $password): bool
    {
        $common = file(resource_path('passwords/common.sha256'), FILE_IGNORE_NEW_LINES) ?: [];

        return in_array(hash('sha256', mb_strtolower($password)), $common, true);
    }
}
