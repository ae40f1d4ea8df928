<?php

declare(strict_types=1);

namespace App\Results;

use Closure;

/** Keeps what was computed under the fingerprint of its inputs, and computes nothing twice. */
final class Results
{
    /**
     * @param  Closure(): array<string, mixed>  $compute
     * @return string the fingerprint the result lies under
     */
    public static function remember(string $kind, string $hash, Closure $compute): string
    {
        if (Result::query()->whereKey($hash)->doesntExist()) {
            self::keep([[$hash, $kind, $compute()]]);
        }

        return $hash;
    }

    /** @param  list<array{string, string, array<string, mixed>}>  $results fingerprint, kind, content */
    public static function keep(array $results): void
    {
        Result::query()->insertOrIgnore(array_map(static fn (array $r): array => [
            'hash' => $r[0],
            'kind' => $r[1],
            'payload' => json_encode($r[2], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        ], $results));
    }
}
