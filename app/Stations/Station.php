<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Record\StationSeries;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use LogicException;

/**
 * @property int $id
 * @property int $zone_id
 * @property string $name
 * @property int|null $rank 1 is the primary one, then the others in order; null: set aside
 * @property int|null $height_m null: same as the zone
 * @property float $lapse °C/m
 * @property bool $matched
 * @property int|null $record_id
 * @property-read StationRecord|null $record
 * @property-read Zone $zone
 */
#[OfficeThrough('zone_id', Zone::class)]
class Station extends Model
{
    use OfOffice;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['rank' => 'integer', 'height_m' => 'integer', 'lapse' => 'float', 'matched' => 'boolean'];

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

    /** @return HasMany<StationDecision, $this> those that apply */
    public function decisions(): HasMany
    {
        $decisions = $this->hasMany(StationDecision::class);
        $decisions->whereNull('undone_at');

        return $decisions;
    }

    /** @return Builder<self> the stations a zone uses, primary first, with their records */
    public static function usedBy(Zone $zone): Builder
    {
        $stations = self::query()->with('record')->where('zone_id', $zone->id);
        $stations->whereNotNull('rank')->orderBy('rank');

        return $stations;
    }

    /** Its usable series, and how it is adjusted to the zone. */
    public function toCore(Zone $zone): StationSeries
    {
        $usable =
            $this->record?->setRelation('station', $this)->usable() ?? throw new LogicException("The station {$this->name} has no record.");

        return new StationSeries(
            $usable,
            $this->height_m === null ? 0.0 : (float) ($this->height_m - $zone->height_m),
            $this->lapse,
            $this->matched,
        );
    }

    /** @return HasMany<RecordImport, $this> */
    public function imports(): HasMany
    {
        return $this->hasMany(RecordImport::class);
    }

    /** @return int values of its record that quality control questions and nobody has decided about */
    public function openDoubts(): int
    {
        $decided = $this->decisions
            ->map(static fn (StationDecision $d): string => "{$d->day->format('Y-m-d')} {$d->element}")
            ->flip()
            ->all();
        $doubted = [];
        foreach ($this->record?->marks() ?? [] as $mark) {
            $doubted["{$mark->day->iso()} {$mark->element->value}"] = true;
        }

        return count(array_diff_key($doubted, $decided));
    }
}
