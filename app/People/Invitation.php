<?php

declare(strict_types=1);

namespace App\People;

use App\Office\Office;
use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * An invitation to work at the desk, good for a week and once. Its link holds a secret of which only the hash is stored.
 *
 * @property int $id
 * @property int $office_id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property string $token SHA-256 of the secret
 * @property Carbon $expires_at
 * @property Carbon|null $used_at
 * @property Carbon|null $withdrawn_at
 * @property-read User|null $inviter
 * @property-read Office $office
 */
#[NamesPerson('invited_by')]
class Invitation extends Model
{
    use OfOffice;

    protected $guarded = [];

    protected $hidden = ['token'];

    /** @var array<string, string> */
    protected $casts = ['role' => Role::class, 'expires_at' => 'datetime', 'used_at' => 'datetime', 'withdrawn_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function inviter(): BelongsTo
    {
        return $this->belongsTo(User::class, 'invited_by');
    }

    /** @return BelongsTo<Office, $this> */
    public function office(): BelongsTo
    {
        return $this->belongsTo(Office::class);
    }

    /** @return User|null the person who already has that address, and works in another office */
    public function invited(): ?User
    {
        return User::query()->where('email', $this->email)->whereNull('removed_at')->first();
    }

    /** @return Builder<self> those that can still be used */
    public static function open(): Builder
    {
        $open = self::query();
        $open->whereNull('used_at')->whereNull('withdrawn_at')->where('expires_at', '>', now());

        return $open;
    }

    /** @return self|null the open one that a link's secret belongs to */
    public static function of(string $secret): ?self
    {
        return self::open()->with('office')->where('token', hash('sha256', $secret))->first();
    }
}
