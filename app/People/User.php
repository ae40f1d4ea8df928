<?php

declare(strict_types=1);

namespace App\People;

use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property string|null $feed_token the secret in the address of their tasks
 */
class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'feed_token'];

    /** @var array<string, string> */
    protected $casts = ['password' => 'hashed', 'role' => Role::class];

    protected static function newFactory(): UserFactory
    {
        return UserFactory::new();
    }
}
