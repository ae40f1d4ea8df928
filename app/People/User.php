<?php

declare(strict_types=1);

namespace App\People;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property string|null $feed_token the secret in the address of their tasks
 * @property UnitSystem|null $units null: those of the office
 * @property DateStyle|null $dates null: as the office writes them
 * @property int|null $home_zone_id the zone their desk opens on; null: the first one
 */
class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'feed_token'];

    /** @var array<string, null> */
    protected $attributes = ['units' => null, 'dates' => null, 'home_zone_id' => null];

    /** @var array<string, string> */
    protected $casts = ['password' => 'hashed', 'role' => Role::class, 'units' => UnitSystem::class, 'dates' => DateStyle::class];

    protected static function newFactory(): UserFactory
    {
        return UserFactory::new();
    }
}
