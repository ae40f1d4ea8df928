<?php

declare(strict_types=1);

namespace App\Languages;

/** Sent when the translation of a text has changed. */
final readonly class TranslationsChanged
{
}
