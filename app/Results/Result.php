<?php

declare(strict_types=1);

namespace App\Results;

use Illuminate\Database\Eloquent\Model;

/**
 * Something computed, under a fingerprint of everything it was computed from. Same inputs are never computed twice.
 *
 * @property string $hash
 * @property string $kind
 * @property string $payload JSON
 */
class Result extends Model
{
    public const RECORD = 'record';

    public const RULER = 'ruler';

    public const CLIMATE = 'climate';

    public const SHEET = 'sheet';

    public const COMPARED = 'compared';

    public const TODAY = 'today';

    public const UNDER_WAY = 'under-way';

    public const LOCAL_DAYS = 'local-days';

    public const CUE = 'cue';

    public const GROUND = 'ground';

    public const METHOD_CHANGES = 'method-changes';

    public const UPDATED_AT = null;

    public $incrementing = false;

    protected $primaryKey = 'hash';

    protected $keyType = 'string';

    protected $guarded = [];

    /** Change this when the computation itself changes, so that old results are not taken for new ones. */
    public const GENERATION = 9;

    /** @param  array<array-key, mixed>  $inputs */
    public static function hashOf(string $kind, array $inputs): string
    {
        return hash('sha256', json_encode([self::GENERATION, $kind, $inputs], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    /** @return array<string, mixed> */
    public function content(): array
    {
        return json_decode($this->payload, true, 64, JSON_THROW_ON_ERROR);
    }
}
