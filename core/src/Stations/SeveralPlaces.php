<?php

declare(strict_types=1);

namespace Anthesis\Stations;

use RuntimeException;

/**
 * Rows of a table turn out to belong to several places, told apart by a column that was not recognized as such before.
 *
 * @internal
 */
final class SeveralPlaces extends RuntimeException
{
    public function __construct(public readonly int $column)
    {
        parent::__construct();
    }
}
