<?php

declare(strict_types=1);

namespace App\Log;

use App\Operations\OfOffice;
use App\People\NamesPerson;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A photo of the log, named by the checksum of what is left once its position and everything else beside the picture is gone.
 *
 * @property int $id
 * @property string $checksum
 * @property int $width px
 * @property int $height px
 * @property int $bytes
 * @property int|null $user_id
 * @property Carbon|null $created_at
 */
#[NamesPerson('user_id')]
class LogPhoto extends Model
{
    use OfOffice;

    public const DISK = 'photos';

    public const UPDATED_AT = null;

    protected $guarded = [];
}
