<?php

declare(strict_types=1);

namespace App\Trials;

use Anthesis\Record\Day;
use App\Log\Bed;
use App\Log\Sowing;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/**
 * A plot of a trial: one repeat of a wave of a variety, sown as planned or not yet.
 *
 * @property int $id
 * @property int $trial_id
 * @property int|null $bed_id
 * @property string $wave
 * @property string|null $variety
 * @property int $repeat
 * @property Carbon $planned_on
 * @property array{harvests: float, first: list<string>|null}|null $expected by the record: share of harvests, and 10, 50 and 90 % of first harvests
 * @property-read Trial $trial
 * @property-read Bed|null $bed
 * @property-read Sowing|null $sowing
 */
#[OfficeThrough('trial_id', Trial::class)]
class TrialPlot extends Model
{
    use OfOffice;

    /** A plot comes up this many days before it is planned, and until this many after. */
    private const DUE = [7, 45];

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['planned_on' => 'date', 'expected' => 'array'];

    /** @return BelongsTo<Trial, $this> */
    public function trial(): BelongsTo
    {
        return $this->belongsTo(Trial::class);
    }

    /** @return BelongsTo<Bed, $this> */
    public function bed(): BelongsTo
    {
        return $this->belongsTo(Bed::class);
    }

    /** @return HasOne<Sowing, $this> */
    public function sowing(): HasOne
    {
        return $this->hasOne(Sowing::class)->where('taken_back', false);
    }

    /** @return Builder<self> */
    public static function inZone(Zone $zone): Builder
    {
        return self::query()->whereHas('trial', static fn (Builder $q) => $q->where('zone_id', $zone->id));
    }

    /** @return Collection<int, self> in open trials, not sown yet and planned for these days */
    public static function due(Zone $zone, Day $today): Collection
    {
        return self::query()
            ->whereHas('trial', static fn (Builder $q) => $q->where('zone_id', $zone->id)->whereNull('closed_on'))
            ->whereDoesntHave('sowing')
            ->whereBetween('planned_on', [$today->plus(-self::DUE[1])->iso(), $today->plus(self::DUE[0])->iso()])
            ->with(['trial.crop', 'bed.site'])
            ->orderBy('planned_on')
            ->orderBy('id')
            ->get();
    }

    /** @return array<string, mixed> in the form a phone needs */
    public function asked(): array
    {
        return [
            'plot' => $this->id,
            'crop' => $this->trial->crop->slug,
            'name' => $this->trial->crop->cells['name'],
            'variety' => $this->variety,
            'wave' => $this->wave,
            'repeat' => $this->repeat,
            'on' => $this->planned_on->format('Y-m-d'),
            'bed' => $this->bed?->told(),
            'set_out' => $this->trial->route === 'transplant',
        ];
    }
}
