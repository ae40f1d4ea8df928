<?php

declare(strict_types=1);

namespace App\Letters;

use App\Gardener\Reading;
use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Somebody who subscribed to a zone's newsletter. Nothing else is known about them, and they are deleted when they unsubscribe.
 *
 * @property int $id
 * @property int $zone_id
 * @property string $mail
 * @property string $reading its name
 * @property list<string>|null $crops slugs; null: all
 * @property string $token in the links of their newsletters
 * @property Carbon|null $confirmed_at null: not yet, by the link in the e-mail they got
 * @property Carbon|null $sent_for the newsletter day they were last written to for
 * @property Carbon $updated_at
 * @property-read Zone $zone
 */
#[OfficeThrough('zone_id', Zone::class)]
class LetterReader extends Model
{
    use OfOffice;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['crops' => 'array', 'confirmed_at' => 'datetime', 'sent_for' => 'date'];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    public function readsIn(): Reading
    {
        return Reading::named($this->reading) ?? new Reading();
    }

    /** @return string the address for what they can do about their newsletter: `confirm`, `leave` */
    public function address(string $what): string
    {
        return url("{$this->readsIn()->prefix()}/letters/{$this->token}/{$what}");
    }
}
