<?php

declare(strict_types=1);

namespace App\Crops;

use Illuminate\Database\Eloquent\Model;

/**
 * A row of the shipped crop table as it was when it was last taken or left.
 *
 * @property string $slug
 * @property array<string, string> $cells
 */
class ShippedCrop extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'slug';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['cells' => 'array'];
}
