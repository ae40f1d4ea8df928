<?php

declare(strict_types=1);

namespace App\Languages;

/** Told when what a text is in another language is no longer what it was. */
final readonly class TranslationsChanged
{
}
