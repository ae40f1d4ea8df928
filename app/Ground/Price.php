<?php

declare(strict_types=1);

namespace App\Ground;

use App\Crops\Crop;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\BelongsToPerson;
use Illuminate\Database\Eloquent\Model;

/**
 * What a person gets for a kilogram of a crop, or for a stem of a flower; nobody else sees it.
 *
 * @property int $id
 * @property int $user_id
 * @property int $crop_id
 * @property float $price in whatever currency they use
 */
#[BelongsToPerson]
#[OfficeThrough('crop_id', Crop::class)]
class Price extends Model
{
    use OfOffice;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['price' => 'float'];
}
