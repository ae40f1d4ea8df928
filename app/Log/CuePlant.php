<?php

declare(strict_types=1);

namespace App\Log;

use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;

/**
 * A plant of the county's list in a stage that tells the season.
 *
 * @property int $id
 * @property string $name
 * @property string $stage in words: leafing, first flower
 * @property string|null $note how it is known
 */
class CuePlant extends Model
{
    use OfOffice;

    protected $guarded = [];
}
