<?php

declare(strict_types=1);

namespace App\Editions;

use RuntimeException;

/** Why a zone's windows cannot be published as they are, in a sentence. */
final class CannotPublish extends RuntimeException
{
    /** @param  string  $field  what of the request it concerns: `zone`, or `unchanged` where it may be published all the same */
    public function __construct(string $message, public readonly string $field = 'zone')
    {
        parent::__construct($message);
    }
}
