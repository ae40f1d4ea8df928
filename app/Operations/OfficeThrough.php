<?php

declare(strict_types=1);

namespace App\Operations;

use Attribute;
use Illuminate\Database\Eloquent\Model;

/** That a model belongs to an office by the row it hangs on: the column, and what its number is of. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class OfficeThrough
{
    /** @param  class-string<Model>  $model  with OfOffice */
    public function __construct(public string $column, public string $model)
    {
    }
}
