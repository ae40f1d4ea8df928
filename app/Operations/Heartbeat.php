<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * When a program that runs on its own was last seen working, and what it found.
 *
 * @property string $name
 * @property Carbon $beaten_at
 * @property bool $sound
 * @property string|null $words
 */
class Heartbeat extends Model
{
    public const SCHEDULER = 'scheduler';

    public const VERIFICATION = 'verification';

    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'name';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['beaten_at' => 'datetime', 'sound' => 'boolean'];

    public static function beat(string $name, bool $sound = true, ?string $words = null): void
    {
        self::query()->updateOrCreate(['name' => $name], ['beaten_at' => now(), 'sound' => $sound, 'words' => $words]);
    }
}
