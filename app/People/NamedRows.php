<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\Models;

/** Rows that name a person, in any feature: each model says so itself, with `#[NamesPerson]` or `#[BelongsToPerson]`. */
final class NamedRows
{
    /** Removes a person's name from everything in the office in use, and deletes what is their own; the number in its trail stays. */
    public static function forget(User $person): void
    {
        foreach (Models::with(NamesPerson::class) as $model => $names) {
            foreach ($names->columns as $column) {
                // This is not a change of the row, so its dates stay; and a sealed change is not sealed with the name.
                $model::query()->toBase()->where($column, $person->id)->update([$column => null]);
            }
        }
        foreach (array_keys(Models::with(BelongsToPerson::class)) as $model) {
            $model::query()->where('user_id', $person->id)->delete();
        }
    }
}
