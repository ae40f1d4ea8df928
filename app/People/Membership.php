<?php

declare(strict_types=1);

namespace App\People;

use App\Office\Office;
use App\Operations\OfficeScope;
use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A person's place in an office, and what they may do there.
 *
 * @property int $id
 * @property int $office_id
 * @property int $user_id
 * @property Role $role
 * @property Carbon|null $deactivated_at since when they may not use the office; null: they may
 * @property-read Carbon|null $seen when the person was last logged in anywhere, if that was asked for; null: never
 * @property-read User $user
 * @property-read Office $office
 */
class Membership extends Model
{
    use OfOffice;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['role' => Role::class, 'deactivated_at' => 'datetime', 'seen' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Office, $this> */
    public function office(): BelongsTo
    {
        return $this->belongsTo(Office::class);
    }

    public function isActive(): bool
    {
        return $this->deactivated_at === null;
    }

    /** @return Builder<self> those of the office in use, each with `seen` */
    public static function withLastSeen(): Builder
    {
        $memberships = self::query();
        $memberships->select('memberships.*')->selectSub(
            Login::query()->selectRaw('MAX(seen_at)')->whereColumn('logins.user_id', 'memberships.user_id'),
            'seen',
        );

        return $memberships;
    }

    /** @return Builder<self> the offices open to a person, whichever is in use, in the order in which they joined */
    public static function openTo(User $user): Builder
    {
        $open = self::query()->withoutGlobalScope(OfficeScope::class);
        $open->with('office')->where('user_id', $user->id)->whereNull('deactivated_at')->orderBy('id');

        return $open;
    }
}
