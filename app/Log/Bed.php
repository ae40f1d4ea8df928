<?php

declare(strict_types=1);

namespace App\Log;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\Versioned;
use App\Sites\Site;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A bed in a garden, or something like one: a row of pots, a frame.
 *
 * @property int $id
 * @property int $zone_id
 * @property int|null $site_id the kind of growing site; null: that was deleted, and it counts as open ground
 * @property string $garden
 * @property string $name
 * @property float|null $length_m null: nobody measured
 * @property float|null $width_m
 * @property-read Zone $zone
 * @property-read Site|null $site
 */
#[OfficeThrough('zone_id', Zone::class)]
class Bed extends Model
{
    use OfOffice;
    use Versioned;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['length_m' => 'float', 'width_m' => 'float', 'version' => 'integer'];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return array<string, mixed> */
    public function editedFields(): array
    {
        return ['site' => $this->site()->value('name')] + $this->only(['garden', 'name', 'length_m', 'width_m']);
    }

    /** @return array{garden: string, name: string, site: string|null} */
    public function told(): array
    {
        return ['garden' => $this->garden, 'name' => $this->name, 'site' => $this->site?->name];
    }
}
