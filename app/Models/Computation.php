<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One computing of a zone: how far it is, and under which fingerprints its results lie.
 *
 * @property int $id
 * @property int $zone_id
 * @property int|null $record_import_id
 * @property string $state
 * @property string $step
 * @property int $done
 * @property int $total
 * @property string|null $error
 * @property array{school: string, spring_risk: float, autumn_risk: float, hold_for_soil: bool, short_day_allowance: int, site: string}|null $method
 * @property array{station: string, first: string, last: string, checksum: string}|null $record what it was computed from
 * @property string|null $ruler_hash
 * @property string|null $climate_hash
 * @property array<string, string>|null $sheet_hashes by crop, in the order of the crop table
 * @property Carbon|null $finished_at
 * @property-read Zone $zone
 * @property-read RecordImport|null $recordImport
 */
class Computation extends Model
{
    public const QUEUED = 'queued';

    public const RUNNING = 'running';

    public const DONE = 'done';

    public const FAILED = 'failed';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['method' => 'array', 'record' => 'array', 'sheet_hashes' => 'array', 'finished_at' => 'datetime'];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return BelongsTo<RecordImport, $this> */
    public function recordImport(): BelongsTo
    {
        return $this->belongsTo(RecordImport::class);
    }
}
