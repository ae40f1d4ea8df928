<?php

declare(strict_types=1);

namespace App\Letters;

use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Mail that would have been sent, had there been anything to send it.
 *
 * @property int $id
 * @property string $recipient
 * @property string $subject
 * @property string $message
 * @property bool $to_person whether it went to somebody of the office, with a link that logs in: for administrators alone
 * @property Carbon $created_at
 */
class OutboxMail extends Model
{
    use OfOffice;

    public const UPDATED_AT = null;

    /** No more is kept of it. */
    public const KEPT = 500;

    protected $table = 'outbox';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['to_person' => 'boolean'];
}
