<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Crop\Route;
use Anthesis\Log\LoggedSowing;
use Anthesis\Log\LossCause;
use Anthesis\Record\Day;
use Anthesis\Trial\ObservedSowing;
use App\Crops\Crop;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A sowing or transplanting, as the log's valid entries describe it; RebuildSowing rebuilds it with each entry.
 *
 * @property int $id
 * @property string $idempotency_key key of its first entry
 * @property int $zone_id
 * @property int $crop_id
 * @property string|null $variety
 * @property int|null $bed_id
 * @property int|null $trial_plot_id
 * @property bool $under_cover whether it was started indoors
 * @property Carbon|null $sown_on
 * @property Carbon|null $set_out_on
 * @property Carbon|null $up_on
 * @property Carbon|null $thinned_on
 * @property Carbon|null $first_picked_on
 * @property Carbon|null $last_picked_on
 * @property Carbon|null $lost_on
 * @property string|null $cause a LossCause
 * @property float|null $metres
 * @property float|null $kilograms of all harvests
 * @property int|null $stems of all harvests
 * @property float|null $quality mean of the harvests: 1 poor, 2 fair, 3 good
 * @property bool $taken_back whether its first entry was deleted
 * @property Carbon $begun_on
 * @property Carbon|null $ended_on last harvested, or lost
 * @property-read Zone $zone
 * @property-read Crop $crop
 * @property-read Bed|null $bed
 */
#[OfficeThrough('zone_id', Zone::class)]
class Sowing extends Model
{
    use OfOffice;

    /** A planting with no entries for this many days no longer counts as growing. */
    public const FORGOTTEN_DAYS = 400;

    /** What its days are; each has a column. */
    private const DAYS = ['sown', 'set_out', 'up', 'thinned', 'first_picked', 'last_picked', 'lost'];

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'under_cover' => 'boolean',
        'taken_back' => 'boolean',
        'sown_on' => 'date',
        'set_out_on' => 'date',
        'up_on' => 'date',
        'thinned_on' => 'date',
        'first_picked_on' => 'date',
        'last_picked_on' => 'date',
        'lost_on' => 'date',
        'begun_on' => 'date',
        'ended_on' => 'date',
        'metres' => 'float',
        'kilograms' => 'float',
        'quality' => 'float',
    ];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return BelongsTo<Crop, $this> */
    public function crop(): BelongsTo
    {
        return $this->belongsTo(Crop::class);
    }

    /** @return BelongsTo<Bed, $this> */
    public function bed(): BelongsTo
    {
        return $this->belongsTo(Bed::class);
    }

    /** @return HasMany<LogEntry, $this> those that count */
    public function entries(): HasMany
    {
        return $this->hasMany(LogEntry::class)->whereNull('corrected_by')->where('taken_back', false)->orderBy('day')->orderBy('id');
    }

    /** @return Builder<self> those growing on a day, latest first */
    public static function underWay(Zone $zone, Day $today): Builder
    {
        return self::query()
            ->where('zone_id', $zone->id)
            ->where('taken_back', false)
            ->whereNull('ended_on')
            ->where('begun_on', '>=', $today->plus(-self::FORGOTTEN_DAYS)->iso())
            ->orderByDesc('begun_on')
            ->orderByDesc('id');
    }

    public static function dayOf(?Carbon $date): ?Day
    {
        return $date === null ? null : Day::fromIso($date->format('Y-m-d'));
    }

    /** How it came into the ground. */
    public function route(): Route
    {
        return $this->under_cover || $this->sown_on === null ? Route::Transplant : Route::Direct;
    }

    /** @return Day|null when it came into the ground; null: it is still indoors */
    public function inGroundOn(): ?Day
    {
        return self::dayOf($this->route() === Route::Transplant ? $this->set_out_on : $this->sown_on);
    }

    /** @return ObservedSowing|null null if its first harvest was not seen, or it never came into the ground */
    public function observed(): ?ObservedSowing
    {
        $on = $this->inGroundOn();
        $picked = self::dayOf($this->first_picked_on);

        return $on === null || $picked === null
            ? null
            : new ObservedSowing($on, $this->route() === Route::Direct ? self::dayOf($this->up_on) : null, $picked);
    }

    /** @return array<string, mixed> */
    public static function columnsOf(LoggedSowing $sowing): array
    {
        $days = [];
        foreach (self::DAYS as $of) {
            $days["{$of}_on"] = $sowing->days[strtr($of, '_', '-')] ?? null;
        }

        return ($sowing->cropId === null ? [] : ['crop_id' => $sowing->cropId]) +
            $days + [
                'taken_back' => false,
                'variety' => $sowing->variety,
                'bed_id' => $sowing->bedId,
                'under_cover' => $sowing->underCover,
                'metres' => $sowing->metres,
                'trial_plot_id' => $sowing->plot,
                'cause' => $sowing->cause,
                'kilograms' => $sowing->kilograms,
                'stems' => $sowing->stems,
                'quality' => $sowing->quality,
                'begun_on' => $sowing->begun,
                'ended_on' => $sowing->ended(),
            ];
    }

    /** @return array<string, string|null> by what they are: sown, set_out, up, thinned, first_picked, last_picked, lost */
    public function days(): array
    {
        $days = [];
        foreach (self::DAYS as $of) {
            $days[$of] = self::dayOf($this->getAttribute("{$of}_on"))?->iso();
        }

        return $days;
    }

    /** @return array<string, mixed> as the contract's Sowing */
    public function told(): array
    {
        return [
            'key' => $this->idempotency_key,
            'crop' => $this->crop->slug,
            'name' => $this->crop->cells['name'],
            'variety' => $this->variety,
            'bed' => $this->bed?->told(),
            'under_cover' => $this->under_cover,
            'days' => $this->days(),
            'cause' => $this->cause,
            'metres' => $this->metres,
            'kilograms' => $this->kilograms,
            'stems' => $this->stems,
            'quality' => $this->quality,
        ];
    }
}
