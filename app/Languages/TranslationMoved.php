<?php

declare(strict_types=1);

namespace App\Languages;

use RuntimeException;

/** Somebody else translated the text while a form was open. */
final class TranslationMoved extends RuntimeException
{
    public function __construct(?string $now)
    {
        parent::__construct(
            $now === null
                ? 'Somebody has taken this translation back meanwhile. Load the page again.'
                : "Somebody has translated this meanwhile: “{$now}”. Load the page again, and change that where it is not right.",
        );
    }
}
