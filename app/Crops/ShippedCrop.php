<?php

declare(strict_types=1);

namespace App\Crops;

use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;

/**
 * A row of the crop table that ships, as it was when it was last accepted or declined.
 *
 * @property int $id
 * @property string $slug
 * @property array<string, string> $cells
 */
class ShippedCrop extends Model
{
    use OfOffice;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['cells' => 'array'];
}
