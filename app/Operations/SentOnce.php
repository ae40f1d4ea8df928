<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Database\UniqueConstraintViolationException;

/**
 * For models whose rows are saved under a key from the sender (`idempotency_key`), so a request that is sent twice is saved once.
 *
 * A key belongs to one content. `idempotency_hash` holds a hash of what was sent with it; rows older than that column have none, and match
 * anything.
 */
trait SentOnce
{
    /**
     * The row that was saved under a key.
     *
     * @param  array<string, mixed>  $content  everything that was sent, in any order
     * @return static|null null: the key is new
     *
     * @throws KeyReused if the key was used for something else
     */
    public static function sentBefore(string $key, array $content): ?static
    {
        return self::unlessReused(static::query()->where('idempotency_key', $key)->first(), $content);
    }

    /**
     * Saves a row under a key, or returns the one that was saved under it before.
     *
     * @param  array<string, mixed>  $content  everything that was sent, in any order
     * @param  array<string, mixed>  $columns
     *
     * @throws KeyReused if the key was used for something else
     */
    public static function saveOnce(string $key, array $content, array $columns): static
    {
        try {
            return static::sentBefore($key, $content) ??
                static::query()->withSavepointIfNeeded(
                    static fn (): static => static::query()->create(
                        $columns + ['idempotency_key' => $key, 'idempotency_hash' => self::hashOf($content)],
                    ),
                );
        } catch (UniqueConstraintViolationException $error) {
            // Another request with the same key was first. A locking read sees what it saved; a plain one may still see the moment our
            // transaction started. Any other clash is not ours.
            return self::unlessReused(static::query()->where('idempotency_key', $key)->sharedLock()->first(), $content) ?? throw $error;
        }
    }

    /**
     * @param  static|null  $row
     * @param  array<string, mixed>  $content
     */
    private static function unlessReused(?self $row, array $content): ?static
    {
        $hash = $row?->getAttribute('idempotency_hash');
        if ($hash !== null && $hash !== self::hashOf($content)) {
            throw new KeyReused();
        }

        return $row;
    }

    /** @param  array<string, mixed>  $content */
    public static function hashOf(array $content): string
    {
        return hash('sha256', json_encode(self::sorted($content), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return array<array-key, mixed>
     */
    private static function sorted(array $values): array
    {
        if (! array_is_list($values)) {
            ksort($values);
        }

        return array_map(static fn (mixed $value): mixed => is_array($value) ? self::sorted($value) : $value, $values);
    }
}
