<?php

declare(strict_types=1);

namespace App\People;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use App\Office\Office;
use App\Operations\Today;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Laravel\Sanctum\HasApiTokens;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password its hash
 * @property Role $role
 * @property string|null $feed_token the secret in the address of their tasks
 * @property UnitSystem|null $units null: those of the office
 * @property DateStyle|null $dates null: as the office writes them
 * @property bool $digest whether they are told each morning by mail what needs them
 * @property string|null $digest_for the day they were told for last, YYYY-MM-DD
 * @property int|null $home_zone_id the zone their desk opens on; null: the first one
 * @property Carbon|null $deactivated_at since when they cannot log in; null: they can
 * @property Carbon|null $removed_at since when they are gone for good, and only their name is left
 * @property string|null $new_email an address that waits to be confirmed
 * @property string|null $new_email_token SHA-256 of the secret in the link that confirms it
 * @property Carbon|null $new_email_until
 * @property string|null $totp_secret base32; null: no second factor was begun
 * @property Carbon|null $totp_since since when it is asked for; null: it is not
 * @property int $totp_step the last step whose code was used
 * @property list<string>|null $recovery_codes SHA-256 of those that were not used yet
 */
class User extends Authenticatable
{
    /** @use HasApiTokens<PersonalAccessToken> */
    use HasApiTokens;

    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'feed_token', 'new_email_token', 'totp_secret', 'recovery_codes'];

    /** @var array<string, null|int|bool> */
    protected $attributes = [
        'units' => null,
        'dates' => null,
        'home_zone_id' => null,
        'remember_token' => null,
        'digest' => false,
        'digest_for' => null,
        'deactivated_at' => null,
        'removed_at' => null,
        'new_email' => null,
        'new_email_token' => null,
        'new_email_until' => null,
        'totp_secret' => null,
        'totp_since' => null,
        'totp_step' => 0,
        'recovery_codes' => null,
    ];

    /** @var array<string, string> */
    protected $casts = [
        'password' => 'hashed',
        'role' => Role::class,
        'units' => UnitSystem::class,
        'dates' => DateStyle::class,
        'digest' => 'boolean',
        'deactivated_at' => 'datetime',
        'removed_at' => 'datetime',
        'new_email_until' => 'datetime',
        'totp_secret' => 'encrypted',
        'totp_since' => 'datetime',
        'totp_step' => 'integer',
        'recovery_codes' => 'encrypted:array',
    ];

    public function isActive(): bool
    {
        return $this->deactivated_at === null && $this->removed_at === null;
    }

    /** @return bool whether a code is asked for when they log in */
    public function hasSecondFactor(): bool
    {
        return $this->totp_since !== null;
    }

    /** @return bool whether the office demands a second factor that they have not set up yet */
    public function mustSetSecondFactor(): bool
    {
        return ! $this->hasSecondFactor() && Office::theOne()?->second_factor === true;
    }

    /** @return Builder<self> those who may log in */
    public static function active(): Builder
    {
        $active = self::query();
        $active->whereNull('deactivated_at')->whereNull('removed_at');

        return $active;
    }

    /** @return bool whether nobody but them could look after people */
    public function isLastAdministrator(): bool
    {
        return $this->role === Role::Administrator &&
            self::active()->where('role', Role::Administrator)->whereKeyNot($this->id)->doesntExist();
    }

    /** @return bool whether they are still to be told of today; whoever asks first is the one who tells them */
    public function digestIsNext(): bool
    {
        $today = Today::day()->iso();

        return self::query()
            ->whereKey($this->id)
            ->where(static fn (Builder $q) => $q->whereNull('digest_for')->orWhere('digest_for', '<', $today))
            ->update(['digest_for' => $today]) === 1;
    }

    protected static function newFactory(): UserFactory
    {
        return UserFactory::new();
    }
}
