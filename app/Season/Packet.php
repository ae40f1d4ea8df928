<?php

declare(strict_types=1);

namespace App\Season;

use App\Crops\Crop;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\BelongsToPerson;
use App\People\User;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A crop a person has seed of, or plants.
 *
 * @property int $user_id
 * @property int $crop_id
 * @property-read Crop $crop
 */
#[BelongsToPerson]
#[OfficeThrough('crop_id', Crop::class)]
class Packet extends Model
{
    use OfOffice;

    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Crop, $this> */
    public function crop(): BelongsTo
    {
        return $this->belongsTo(Crop::class);
    }

    /** @return list<string> slugs, in alphabetical order */
    public static function of(User $user): array
    {
        $slugs = self::query()->where('user_id', $user->id)->with('crop')->get()->map(static fn (self $p): string => $p->crop->slug)->all();
        sort($slugs);

        return $slugs;
    }
}
