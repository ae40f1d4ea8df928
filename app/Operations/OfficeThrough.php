<?php

declare(strict_types=1);

namespace App\Operations;

use Attribute;
use Illuminate\Database\Eloquent\Model;
use ReflectionClass;

/** Says that a model belongs to an office by another row: the column with that row's number, and its model. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class OfficeThrough
{
    /** @param  class-string<Model>  $model */
    public static function of(string $model): ?self
    {
        return ((new ReflectionClass($model))->getAttributes(self::class)[0] ?? null)?->newInstance();
    }

    /** @param  class-string<Model>  $model  with OfOffice */
    public function __construct(public string $column, public string $model)
    {
    }
}
