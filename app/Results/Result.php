<?php

declare(strict_types=1);

namespace App\Results;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A computed answer, under a fingerprint of everything it was computed from. The same inputs are never computed twice.
 *
 * @property string $hash
 * @property ResultKind $kind
 * @property string $payload JSON
 * @property Carbon $used_at when it was last used, to the hour
 */
class Result extends Model
{
    /** Raise this when the computation itself changes, so old results are not mistaken for new ones. */
    public const GENERATION = 12;

    public const UPDATED_AT = null;

    public $incrementing = false;

    protected $primaryKey = 'hash';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['kind' => ResultKind::class, 'used_at' => 'datetime'];

    /** @return array<string, mixed> */
    public function content(): array
    {
        return json_decode($this->payload, true, 64, JSON_THROW_ON_ERROR);
    }
}
