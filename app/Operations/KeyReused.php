<?php

declare(strict_types=1);

namespace App\Operations;

use RuntimeException;

/** A request's key was already used for a request with different content. Nothing from the new one was saved. */
final class KeyReused extends RuntimeException
{
    public function __construct()
    {
        parent::__construct('Something else was already saved under this key. Reload the page and enter it again.');
    }
}
