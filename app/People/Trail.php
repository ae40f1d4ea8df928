<?php

declare(strict_types=1);

namespace App\People;

use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/** Selects changes by zone, crop, person, and time, and limits them to what a person may read. */
final readonly class Trail
{
    /** What affects the dates of a zone; the rest of what is changed there is beds, logs, and plans. */
    private const BEHIND_DATES = [
        'zones',
        'stations',
        'quality_decisions',
        'crops',
        'varieties',
        'crop_choices',
        'local_days',
        'sites',
        'editions',
        'station_devices',
    ];

    /** Only for administrators. */
    private const OF_PEOPLE = ['users', 'invitations'];

    public function __construct(
        private User $reader,
        private ?Zone $zone = null,
        private ?string $crop = null,
        private ?int $person = null,
        private ?Carbon $from = null,
        private ?Carbon $until = null,
    ) {
    }

    /**
     * Latest first. With a zone and a crop: every change that its dates there depend on, whether of the zone, of the crop in the book, or
     * of something that applies everywhere.
     *
     * @return Builder<Change>
     */
    public function query(): Builder
    {
        $changes = Change::query()->with(['user', 'zone'])->orderByDesc('id');
        if ($this->reader->role !== Role::Administrator) {
            $changes->whereNotIn('subject', self::OF_PEOPLE);
        }
        if ($this->zone !== null && $this->crop !== null) {
            $changes
                ->whereIn('subject', self::BEHIND_DATES)
                ->where(fn (Builder $q) => $q->where('zone_id', $this->zone->id)->orWhereNull('zone_id'))
                ->where(fn (Builder $q) => $q->where('crop', $this->crop)->orWhereNull('crop'));
        } elseif ($this->zone !== null) {
            $changes->where('zone_id', $this->zone->id);
        } elseif ($this->crop !== null) {
            $changes->where('crop', $this->crop);
        }

        return $changes
            ->when($this->person !== null, fn (Builder $q) => $q->where('person', $this->person))
            ->when($this->from !== null, fn (Builder $q) => $q->where('created_at', '>=', $this->from))
            ->when($this->until !== null, fn (Builder $q) => $q->where('created_at', '<', $this->until));
    }
}
