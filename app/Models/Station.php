<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $zone_id
 * @property string $name
 * @property int $rank
 * @property int|null $record_id
 * @property-read StationRecord|null $record
 * @property-read Zone $zone
 */
class Station extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<StationRecord, $this> the record in use */
    public function record(): BelongsTo
    {
        return $this->belongsTo(StationRecord::class);
    }

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return HasMany<StationDecision, $this> those that hold */
    public function decisions(): HasMany
    {
        $decisions = $this->hasMany(StationDecision::class);
        $decisions->whereNull('undone_at');

        return $decisions;
    }

    /** @return HasMany<RecordImport, $this> */
    public function imports(): HasMany
    {
        return $this->hasMany(RecordImport::class);
    }
}
