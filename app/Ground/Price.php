<?php

declare(strict_types=1);

namespace App\Ground;

use Illuminate\Database\Eloquent\Model;

/**
 * What a person gets for a kilogram of a crop, or for a stem of a flower; nobody else is told.
 *
 * @property int $id
 * @property int $user_id
 * @property int $crop_id
 * @property float $price in whatever money they count in
 */
class Price extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['price' => 'float'];
}
