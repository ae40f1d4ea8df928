<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Database\Eloquent\Model;

/**
 * A link in the chain of changes.
 *
 * @property int $change_id
 * @property string $hash
 */
class ChangeSeal extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];
}
