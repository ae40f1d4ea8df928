<?php

declare(strict_types=1);

namespace App\Zones;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;

/**
 * A place gardeners look their zone up by.
 *
 * @property string $name
 * @property string|null $postcode
 */
#[OfficeThrough('zone_id', Zone::class)]
class Settlement extends Model
{
    use OfOffice;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array{name: string, postcode: string|null} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'postcode' => $this->postcode];
    }
}
