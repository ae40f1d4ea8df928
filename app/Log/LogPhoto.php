<?php

declare(strict_types=1);

namespace App\Log;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A photograph of the log, kept under the checksum of what is left of it when its position and all else beside the picture is gone.
 *
 * @property string $checksum
 * @property int $width px
 * @property int $height px
 * @property int $bytes
 * @property int|null $user_id
 * @property Carbon|null $created_at
 */
class LogPhoto extends Model
{
    public const DISK = 'photos';

    public const UPDATED_AT = null;

    public $incrementing = false;

    protected $primaryKey = 'checksum';

    protected $keyType = 'string';

    protected $guarded = [];
}
