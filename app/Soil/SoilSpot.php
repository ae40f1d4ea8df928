<?php

declare(strict_types=1);

namespace App\Soil;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Sites\Site;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;

/**
 * A spot where soil is measured: a bed, a pot by the door, a tray of cells.
 *
 * @property int $id
 * @property int $zone_id
 * @property int|null $site_id the kind of growing site it is; null: that was deleted, and it counts as open ground
 * @property string $name
 * @property-read Zone $zone
 * @property-read Site|null $site
 * @property-read Collection<int, SoilReading> $readings
 */
#[OfficeThrough('zone_id', Zone::class)]
class SoilSpot extends Model
{
    use OfOffice;

    protected $guarded = [];

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

    /** @return HasMany<SoilReading, $this> newest first */
    public function readings(): HasMany
    {
        return $this->hasMany(SoilReading::class)->orderByDesc('day')->orderByDesc('hour')->orderByDesc('id');
    }
}
