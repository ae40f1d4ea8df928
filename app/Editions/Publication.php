<?php

declare(strict_types=1);

namespace App\Editions;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\Operations\SentOnce;
use App\People\NamesPerson;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\Relation;

/**
 * The making of an edition's pages: how far along it is. The edition is current when it is done.
 *
 * @property int $id
 * @property int $zone_id
 * @property int $edition_id
 * @property string $idempotency_key a key of the sender's: the same request sent again finds this one
 * @property PublicationState $state
 * @property int $done pages
 * @property int $total
 * @property string|null $error
 * @property list<array{phrase: array<string, mixed>, answer: string}>|null $answers to the draft's warnings
 * @property-read Edition $edition
 */
#[NamesPerson('user_id')]
#[OfficeThrough('zone_id', Zone::class)]
class Publication extends Model
{
    use OfOffice;
    use SentOnce;

    /** Waiting for a second signature, or for its date. */
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['state' => PublicationState::class, 'answers' => 'array'];

    /** @return BelongsTo<Edition, $this> */
    public function edition(): BelongsTo
    {
        return $this->belongsTo(Edition::class);
    }

    /** The publication as a worker last left it, with its edition, but without the document, which is large. */
    public function asItStands(): self
    {
        return $this->refresh()->load(['edition' => static fn (Relation $edition) => $edition->select(Edition::TOLD), 'edition.zone']);
    }
}
