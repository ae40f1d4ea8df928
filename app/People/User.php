<?php

declare(strict_types=1);

namespace App\People;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use App\Office\Office;
use App\Operations\OfficeInUse;
use App\Operations\OfficeScope;
use App\Operations\Today;
use App\Zones\Zone;
use Database\Factories\UserFactory;
use Illuminate\Contracts\Translation\HasLocalePreference;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Laravel\Sanctum\HasApiTokens;
use LogicException;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password its hash
 * @property string|null $feed_token the secret in the address of their task feed
 * @property UnitSystem|null $units null: the office's
 * @property DateStyle|null $dates null: the office's style
 * @property string|null $language of e-mails to them; null: English
 * @property bool $digest whether they get an e-mail each morning about what needs attention
 * @property string|null $digest_for the day of the last such e-mail, YYYY-MM-DD
 * @property int|null $home_zone_id the zone their desk opens on; null: the first one
 * @property Carbon|null $removed_at since when they are removed for good, and only their name is left
 * @property string|null $new_email an address waiting to be confirmed
 * @property string|null $new_email_token SHA-256 of the secret in the link that confirms it
 * @property Carbon|null $new_email_until
 * @property string|null $totp_secret base32; null: no second step was started
 * @property Carbon|null $totp_since since when it is required; null: it is not
 * @property int $totp_step the last step whose code was used
 * @property list<string>|null $recovery_codes SHA-256 of those not used yet
 * @property-read Role $role in the office in use
 */
class User extends Authenticatable implements HasLocalePreference
{
    /** @use HasApiTokens<Token> */
    use HasApiTokens;

    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'feed_token', 'new_email_token', 'totp_secret', 'recovery_codes'];

    /** @var array<string, null|int|bool> */
    protected $attributes = [
        'units' => null,
        'dates' => null,
        'language' => null,
        'home_zone_id' => null,
        'remember_token' => null,
        'digest' => false,
        'digest_for' => null,
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
        'units' => UnitSystem::class,
        'dates' => DateStyle::class,
        'digest' => 'boolean',
        'removed_at' => 'datetime',
        'new_email_until' => 'datetime',
        'totp_secret' => 'encrypted',
        'totp_since' => 'datetime',
        'totp_step' => 'integer',
        'recovery_codes' => 'encrypted:array',
    ];

    /** @return HasMany<Membership, $this> in the office in use; with every office in use, all of them */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /** @return HasOne<Membership, $this> in the office in use; with every office in use, the first */
    public function membership(): HasOne
    {
        return $this->hasOne(Membership::class)->oldestOfMany();
    }

    /** @return Attribute<Role, never> what they may do in the office in use */
    protected function role(): Attribute
    {
        return Attribute::get(function (): Role {
            $membership = $this->relationLoaded('membership')
                ? $this->getRelation('membership')
                : $this->load('membership')->getRelation('membership');

            return $membership->role ?? throw new LogicException("Person {$this->id} does not work in this office.");
        })->withoutObjectCaching();
    }

    /** @return list<array{slug: string, name: string, role: string, zones: list<array{slug: string, name: string}>}> the offices open to them */
    public function offices(): array
    {
        $open = OfficeInUse::everywhere(fn () => Membership::openTo($this)->with('office.zones')->get());

        return array_values(
            $open
                ->map(
                    static fn (Membership $m): array => [
                        'slug' => $m->office->slug,
                        'name' => $m->office->name,
                        'role' => $m->role->value,
                        'zones' => array_values($m->office->zones->map(static fn (Zone $z): array => $z->only(['slug', 'name']))->all()),
                    ],
                )
                ->all(),
        );
    }

    /** The language of e-mails to them, for the framework. */
    public function preferredLocale(): ?string
    {
        return $this->language;
    }

    /** @return bool whether any office is open to them */
    public function isActive(): bool
    {
        return $this->removed_at === null && Membership::openTo($this)->exists();
    }

    /** @return bool whether they need a code to log in */
    public function hasSecondFactor(): bool
    {
        return $this->totp_since !== null;
    }

    /** @return bool whether the office requires a second step that they have not set up yet */
    public function mustSetSecondFactor(): bool
    {
        return ! $this->hasSecondFactor() && Office::inUse()->second_factor;
    }

    /** @return Builder<self> those to whom the office in use is open; with every office in use, those who may log in */
    public static function active(): Builder
    {
        $active = self::query();
        $active
            ->whereNull('removed_at')
            ->whereHas('memberships', static fn (Builder $q) => $q->whereNull('deactivated_at'));

        return $active;
    }

    /** @return bool whether nobody else could manage the people of the office in use */
    public function isLastAdministrator(): bool
    {
        return $this->role === Role::Administrator &&
            Membership::query()
                ->where('role', Role::Administrator)
                ->whereNull('deactivated_at')
                ->where('user_id', '!=', $this->id)
                ->doesntExist();
    }

    /** @return bool whether they also work in other offices */
    public function worksElsewhere(): bool
    {
        return Membership::query()
            ->withoutGlobalScope(OfficeScope::class)
            ->where('user_id', $this->id)
            ->where('office_id', '!=', OfficeInUse::one())
            ->exists();
    }

    /** @return bool whether they still need today's e-mail; whoever asks first sends it */
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
