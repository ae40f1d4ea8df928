<?php

declare(strict_types=1);

namespace App\Zones;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\NamesPerson;
use App\Sites\Site;
use App\Stations\RecordImport;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One computation of a zone: how far along it is, and the fingerprints of its results.
 *
 * @property int $id
 * @property int $zone_id
 * @property int|null $record_import_id
 * @property int|null $site_id null: open ground
 * @property int|null $caused_by the change that made it necessary; null: somebody asked for it, or not known
 * @property ComputationState $state
 * @property string $step
 * @property int $input_revision of the zone when it started
 * @property int $attempts how often it was started
 * @property int|null $cold_seasons of the record it was computed from
 * @property int $done
 * @property int $total
 * @property string|null $error
 * @property array{school: string, light: string, spring_risk: float, autumn_risk: float, hold_for_soil: bool, short_day_allowance: int, waits_for_soil?: bool, waits_for_ground?: bool, site: string}|null $method
 * @property array{station: string, first: string, last: string, checksum: string}|null $record what it was computed from
 * @property string|null $ruler_hash
 * @property string|null $climate_hash
 * @property array<string, string>|null $sheet_hashes by crop, in the order of the crop table
 * @property Carbon|null $finished_at
 * @property-read Zone $zone
 * @property-read Site|null $site
 * @property-read RecordImport|null $recordImport
 */
#[NamesPerson('user_id')]
#[OfficeThrough('zone_id', Zone::class)]
class Computation extends Model
{
    use OfOffice;

    /** A computation that a worker did not live to finish is started this many times. */
    public const TRIES = 3;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'state' => ComputationState::class,
        'method' => 'array',
        'record' => 'array',
        'sheet_hashes' => 'array',
        'input_revision' => 'integer',
        'attempts' => 'integer',
        'finished_at' => 'datetime',
    ];

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

    /**
     * The latest finished computation of a zone at a site. At another site than open ground, it is out of date as soon as the zone is
     * computed again.
     */
    public static function currentOf(Zone $zone, ?Site $site): ?self
    {
        $of = static fn (?int $siteId): ?self => self::query()
            ->where('zone_id', $zone->id)
            ->where('site_id', $siteId)
            ->where('state', ComputationState::Done)
            ->latest('id')
            ->first();
        $open = $of(null);
        if ($site === null || $open === null) {
            return $open;
        }
        $own = $of($site->id);

        return $own !== null && $own->id > $open->id ? $own : null;
    }

    /** @return BelongsTo<RecordImport, $this> */
    public function recordImport(): BelongsTo
    {
        return $this->belongsTo(RecordImport::class);
    }
}
