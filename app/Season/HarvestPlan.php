<?php

declare(strict_types=1);

namespace App\Season;

use App\Crops\Crop;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\Versioned;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a zone's gardens should produce, week by week.
 *
 * @property int $id
 * @property int $zone_id
 * @property list<array{crop: string, amount: float|int}> $needs slug, and how much per week, in kilograms or stems depending on the crop
 * @property-read Zone $zone
 *
 * @phpstan-type Needs list<array{crop: string, amount: float|int}>
 */
#[OfficeThrough('zone_id', Zone::class)]
class HarvestPlan extends Model
{
    use OfOffice;
    use Versioned;

    protected $guarded = [];

    /** @var array<string, mixed> */
    protected $attributes = ['needs' => '[]', 'version' => 1];

    /** @var array<string, string> */
    protected $casts = ['needs' => 'array', 'version' => 'integer'];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** The zone's; if nobody has entered any needs, an empty one that is not saved yet. */
    public static function of(Zone $zone): self
    {
        return self::query()->firstOrNew(['zone_id' => $zone->id]);
    }

    /** Leaves out crops that are no longer in the book, for reading; what is saved stays as it is. */
    public function onlyOfTheBook(): self
    {
        $known = Crop::query()->whereIn('slug', array_column($this->needs, 'crop'))->pluck('slug')->all();
        $this->needs = array_values(array_filter($this->needs, static fn (array $need): bool => in_array($need['crop'], $known, true)));

        return $this;
    }

    /** @return array<string, mixed> */
    public function editedFields(): array
    {
        return ['needs' => array_map(static fn (array $need): string => "{$need['crop']} {$need['amount']}", $this->needs)];
    }
}
