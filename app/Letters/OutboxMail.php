<?php

declare(strict_types=1);

namespace App\Letters;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Mail that would have been sent, had there been anything to send it.
 *
 * @property int $id
 * @property string $recipient
 * @property string $subject
 * @property string $message
 * @property Carbon $created_at
 */
class OutboxMail extends Model
{
    public const UPDATED_AT = null;

    /** No more is kept of it. */
    public const KEPT = 500;

    protected $table = 'outbox';

    protected $guarded = [];
}
