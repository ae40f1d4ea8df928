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
                ? 'Somebody has removed this translation in the meantime. Reload the page.'
                : "Somebody has translated this in the meantime: “{$now}”. Reload the page, and correct it if it is not right.",
        );
    }
}
