<?php

declare(strict_types=1);

namespace App\Letters;

use App\Operations\OfOffice;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Mail that would have been sent if a mail server were set up.
 *
 * @property int $id
 * @property string $recipient
 * @property string $subject
 * @property string $message
 * @property bool $to_person whether it is for somebody of the office, with a link that logs in: for administrators only
 * @property Carbon $created_at
 */
class OutboxMail extends Model
{
    use OfOffice;

    public const UPDATED_AT = null;

    /** The most that are kept. */
    public const KEPT = 500;

    protected $table = 'outbox';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['to_person' => 'boolean'];
}
