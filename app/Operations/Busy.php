<?php

declare(strict_types=1);

namespace App\Operations;

use Symfony\Component\HttpKernel\Exception\HttpException;
use Throwable;

/** Somebody else's work is in the way for a moment. Nothing was saved, and the same request can be sent again. */
final class Busy extends HttpException
{
    private const RETRY_AFTER_S = 5;

    public function __construct(
        ?Throwable $previous = null,
        string $message = 'The server is busy with another change here. Nothing was saved. Try again in a few seconds.',
    ) {
        parent::__construct(503, $message, $previous, ['Retry-After' => (string) self::RETRY_AFTER_S]);
    }

    /** Whether the database gave up waiting for a lock (1205), or stopped one of two requests that were waiting for each other (1213). */
    public static function isLock(Throwable $error): bool
    {
        return $error instanceof \PDOException && in_array($error->errorInfo[1] ?? null, [1205, 1213], true);
    }
}
