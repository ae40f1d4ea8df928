<?php

declare(strict_types=1);

namespace App\People;

use Attribute;

/** Says that a model's rows are a person's own, by `user_id`. They are deleted with the person (`NamedRows`). */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class BelongsToPerson
{
}
