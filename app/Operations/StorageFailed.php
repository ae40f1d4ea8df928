<?php

declare(strict_types=1);

namespace App\Operations;

use Symfony\Component\HttpKernel\Exception\HttpException;

/** A file could not be written completely, most likely because the disk is full. Nothing of it was kept. */
final class StorageFailed extends HttpException
{
    public function __construct(string $message)
    {
        // 507 Insufficient Storage: the request was fine, and can be sent again when there is room.
        parent::__construct(507, $message);
    }
}
