<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Database\Eloquent\Model;

/**
 * A row that belongs to an office: by its `office_id` or, with `#[OfficeThrough]`, by the row it belongs to. No query sees rows of an
 * office that is not in use (`OfficeScope`).
 */
trait OfOffice
{
    protected static function bootOfOffice(): void
    {
        $through = OfficeThrough::of(static::class);
        static::addGlobalScope(new OfficeScope($through));
        if ($through === null) {
            static::creating(static function (Model $row): void {
                if (! array_key_exists('office_id', $row->getAttributes())) {
                    $row->setAttribute('office_id', OfficeInUse::one());
                }
            });
        }
    }
}
