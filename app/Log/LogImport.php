<?php

declare(strict_types=1);

namespace App\Log;

use App\Operations\OfficeThrough;
use App\Operations\OfOffice;
use App\People\NamesPerson;
use App\People\User;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * An uploaded table of log entries, and how far along its import is. The file itself is kept with the originals.
 *
 * @property int $id
 * @property int $zone_id
 * @property int|null $user_id null: somebody no longer here
 * @property string $file the name it was uploaded with
 * @property string $checksum SHA-256 of the file
 * @property LogImportState $state
 * @property int $attempts how often it was started
 * @property int $done rows checked so far
 * @property int $total rows
 * @property int|null $saved number of new entries; null: not done yet
 * @property list<string>|null $faults what is wrong, one sentence per row; then nothing was saved
 * @property Carbon $created_at
 * @property-read Zone $zone
 * @property-read User|null $user
 */
#[NamesPerson('user_id')]
#[OfficeThrough('zone_id', Zone::class)]
class LogImport extends Model
{
    use OfOffice;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['state' => LogImportState::class, 'faults' => 'array'];

    /** @return BelongsTo<Zone, $this> */
    public function zone(): BelongsTo
    {
        return $this->belongsTo(Zone::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
