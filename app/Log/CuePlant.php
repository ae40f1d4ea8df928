<?php

declare(strict_types=1);

namespace App\Log;

use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;

/**
 * A plant on the county's list of indicator plants, with a stage.
 *
 * @property int $id
 * @property string $name
 * @property string $stage in words: leafing, first flower
 * @property string|null $note how to recognize it
 */
class CuePlant extends Model
{
    use OfOffice;

    protected $guarded = [];
}
