<?php

declare(strict_types=1);

namespace App\People;

use App\Operations\EndsWithUndo;
use Illuminate\Support\Carbon;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * A person's token for a program.
 *
 * @property string $name
 * @property int|null $office_id where it is good
 * @property Carbon|null $deleted_at when the person ended it
 */
class Token extends PersonalAccessToken
{
    use EndsWithUndo;

    protected $table = 'personal_access_tokens';
}
