<?php

declare(strict_types=1);

namespace App\People;

use Attribute;

/** Says in which columns a model's rows have the number of a person who did something, which goes with the person's name (`NamedRows`). */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class NamesPerson
{
    /** @var list<string> */
    public array $columns;

    public function __construct(string ...$columns)
    {
        $this->columns = array_values($columns);
    }
}
