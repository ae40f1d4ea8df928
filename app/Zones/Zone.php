<?php

declare(strict_types=1);

namespace App\Zones;

use Anthesis\Calendar\CalendarZone;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use App\Editions\Edition;
use App\Office\Office;
use App\Operations\OfOffice;
use App\Operations\SeenHere;
use App\Operations\Today;
use App\People\Versioned;
use App\Stations\Station;
use Database\Factories\ZoneFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * @property int $id
 * @property int $office_id
 * @property string $slug
 * @property string $name
 * @property string $district
 * @property float $latitude
 * @property float $longitude
 * @property int $height_m
 * @property string|null $time_zone IANA name; null: the application's
 * @property string $standard confidence level
 * @property string $light how light counts
 * @property bool $waits_for_soil whether windows wait for each crop's own minimum soil temperature
 * @property bool $waits_for_ground whether windows wait until open ground can be worked
 * @property int|null $years latest years to use; null: all
 * @property int $input_revision how often anything changed that its results depend on
 * @property-read Office $office
 * @property-read Collection<int, Settlement> $settlements
 * @property-read Collection<int, Station> $stations
 * @property-read Station|null $station
 * @property-read Computation|null $latestComputation
 * @property-read Computation|null $currentComputation
 * @property-read Edition|null $currentEdition
 */
class Zone extends Model
{
    /** @use HasFactory<ZoneFactory> */
    use HasFactory;

    use OfOffice;
    use Versioned;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'latitude' => 'float',
        'longitude' => 'float',
        'height_m' => 'integer',
        'years' => 'integer',
        'waits_for_soil' => 'boolean',
        'waits_for_ground' => 'boolean',
        'input_revision' => 'integer',
        'version' => 'integer',
    ];

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    /** @return BelongsTo<Office, $this> */
    public function office(): BelongsTo
    {
        return $this->belongsTo(Office::class);
    }

    /** @return HasMany<Settlement, $this> */
    public function settlements(): HasMany
    {
        $settlements = $this->hasMany(Settlement::class);
        $settlements->orderBy('name');

        return $settlements;
    }

    /** @return HasMany<Station, $this> those in use, primary first */
    public function stations(): HasMany
    {
        $stations = $this->hasMany(Station::class);
        $stations->whereNotNull('rank')->orderBy('rank');

        return $stations;
    }

    /** @return HasOne<Station, $this> the primary one */
    public function station(): HasOne
    {
        $station = $this->hasOne(Station::class);
        $station->where('rank', 1);

        return $station;
    }

    /** @return HasOne<Computation, $this> */
    public function latestComputation(): HasOne
    {
        return $this->hasOne(Computation::class)->latestOfMany();
    }

    /** @return HasOne<Computation, $this> the latest finished one: what the screens show */
    public function currentComputation(): HasOne
    {
        return $this->hasOne(Computation::class)->ofMany(
            ['id' => 'max'],
            static fn ($query) => $query->where('state', ComputationState::Done)->whereNull('site_id'),
        );
    }

    /** The rule for a slug that a request names. */
    public static function seenHere(): SeenHere
    {
        return new SeenHere(self::class, 'slug', 'There is no such zone. Choose another one.');
    }

    /**
     * Whether what the screens show does not include everything known: something was changed since, or is waiting to be computed. Such
     * windows are not published.
     */
    public function isStale(): bool
    {
        $current = $this->currentComputation;

        return $current === null ||
            $current->input_revision < $this->input_revision ||
            Computation::query()
                ->where('zone_id', $this->id)
                ->whereNull('site_id')
                ->whereIn('state', [ComputationState::Queued, ComputationState::Running])
                ->exists();
    }

    /** @return array<string, mixed> */
    public function editedFields(): array
    {
        return [
            'settlements' => array_map(static fn (Settlement $s): array => $s->toArray(), array_values($this->settlements()->get()->all())),
            'stations' => array_map(
                static fn (Station $s): array => $s->only(['id', 'name', 'height_m', 'lapse', 'matched']),
                array_values($this->stations()->get()->all()),
            ),
        ] +
            $this->only([
                'name',
                'district',
                'latitude',
                'longitude',
                'height_m',
                'time_zone',
                'standard',
                'light',
                'waits_for_soil',
                'waits_for_ground',
                'years',
            ]);
    }

    /** @return HasMany<Edition, $this> */
    public function editions(): HasMany
    {
        $editions = $this->hasMany(Edition::class);
        $editions->orderByDesc('number');

        return $editions;
    }

    /**
     * @return HasOne<Edition, $this> the one gardeners read: the latest current one that was not withdrawn; if all were, the latest with
     *   its notice
     */
    public function currentEdition(): HasOne
    {
        return $this->hasOne(Edition::class)->ofMany(
            ['standing' => 'max', 'number' => 'max'],
            static fn ($query) => $query->whereNotNull('in_force_at'),
        );
    }

    /** Its own date: days start and end at different hours elsewhere. */
    public function today(): Day
    {
        return Today::day($this->time_zone);
    }

    public function toCalendarZone(): CalendarZone
    {
        return new CalendarZone(
            $this->slug,
            $this->name,
            $this->district,
            Latitude::of($this->latitude),
            $this->longitude,
            $this->height_m,
            array_values($this->settlements->map(static fn (Settlement $s): array => $s->toArray())->all()),
        );
    }

    protected static function newFactory(): ZoneFactory
    {
        return ZoneFactory::new();
    }
}
