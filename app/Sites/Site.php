<?php

declare(strict_types=1);

namespace App\Sites;

use Anthesis\Soil\Site as SoilSite;
use App\Operations\OfOffice;
use App\People\Versioned;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A kind of growing site; see Anthesis\Soil\Site for what the numbers mean.
 *
 * @property int $id
 * @property int $office_id
 * @property int|null $zone_id null: a site for every zone of the office
 * @property string $name
 * @property float $air
 * @property float $sun
 * @property float $rate
 * @property float $protection
 * @property float $offset
 * @property string $ground  a name of Anthesis\Soil\Ground
 * @property string $note
 * @property bool $preset
 * @property-read Zone|null $zone
 */
class Site extends Model
{
    use OfOffice;
    use Versioned;

    public const NUMBERS = ['air', 'sun', 'rate', 'protection', 'offset'];

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'air' => 'float',
        'sun' => 'float',
        'rate' => 'float',
        'protection' => 'float',
        'offset' => 'float',
        'preset' => 'boolean',
        'version' => 'integer',
    ];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return Builder<self> those for every zone in their order, then the zone's own */
    public static function seenIn(Zone $zone): Builder
    {
        $sites = self::query();
        $sites
            ->where('office_id', $zone->office_id)
            ->where(static fn (Builder $q) => $q->whereNull('zone_id')->orWhere('zone_id', $zone->id))
            ->orderByRaw('zone_id IS NOT NULL, id');

        return $sites;
    }

    /** @return non-empty-list<SoilSite> the sites of a zone, open ground first */
    public static function forZone(Zone $zone): array
    {
        $sites = array_map(static fn (self $s): SoilSite => $s->toCore(), array_values(self::seenIn($zone)->get()->all()));

        return $sites === [] ? [SoilSite::openGround()] : $sites;
    }

    /** @return array<string, mixed> */
    public function editedFields(): array
    {
        return $this->only(['name', 'note', 'ground', ...self::NUMBERS]);
    }

    public function toCore(): SoilSite
    {
        return new SoilSite(
            $this->name,
            $this->air,
            $this->sun,
            $this->rate,
            $this->protection,
            offset: $this->offset,
            ground: $this->ground,
        );
    }
}
