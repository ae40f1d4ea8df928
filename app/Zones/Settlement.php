<?php

declare(strict_types=1);

namespace App\Zones;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;

/**
 * A town by which gardeners find their zone.
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
