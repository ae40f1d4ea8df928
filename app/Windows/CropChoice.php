<?php

declare(strict_types=1);

namespace App\Windows;

use Anthesis\Record\Day;
use Anthesis\Record\YearDay;
use Anthesis\Window\School\OwnDates;
use Anthesis\Window\SowingWindow;
use App\Operations\DatedByToday;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\NamesPerson;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The method a zone's calendar follows for one crop, or the educator's own dates, with the reason.
 *
 * @property int $id
 * @property int $zone_id
 * @property string $crop slug
 * @property string $school
 * @property array<string, list<array{first: string, last: string}>>|null $windows by way of growing, MM-DD
 * @property string $reason
 * @property Carbon|null $undone_at
 * @property Carbon $created_at
 * @property-read User|null $user
 */
#[NamesPerson('user_id')]
#[OfficeThrough('zone_id', Zone::class)]
class CropChoice extends Model
{
    use DatedByToday;
    use OfOffice;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['windows' => 'array', 'undone_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return Builder<self> those that apply in a zone */
    public static function holdingIn(Zone $zone): Builder
    {
        $choices = self::query()->with('user')->where('zone_id', $zone->id);
        $choices->whereNull('undone_at');

        return $choices;
    }

    public function ownDates(): OwnDates
    {
        $windows = array_map(
            static fn (array $spans): array => array_map(
                static fn (array $span): SowingWindow => new SowingWindow(
                    YearDay::fromIso($span['first']),
                    YearDay::fromIso($span['last']),
                ),
                $spans,
            ),
            $this->windows ?? [],
        );

        return new OwnDates(
            $windows,
            $this->reason,
            $this->user->name ?? 'someone no longer here',
            Day::fromIso($this->created_at->format('Y-m-d')),
        );
    }
}
