<?php

declare(strict_types=1);

namespace App\Editions;

use RuntimeException;

/** Why a zone's windows cannot be published as they are, in a sentence. */
final class CannotPublish extends RuntimeException
{
    /** @param  string  $field  the part of the request it is about: `zone`, or `unchanged` if it can be published anyway */
    public function __construct(string $message, public readonly string $field = 'zone')
    {
        parent::__construct($message);
    }
}
