<?php

declare(strict_types=1);

namespace App\Operations;

use Anthesis\Record\Day;
use Illuminate\Database\Eloquent\Model;

/**
 * The demonstration's date; it stays the same until somebody moves it.
 *
 * @property string $today
 */
class DemoClock extends Model
{
    /** Northern spring, when there is most to decide. */
    public const FIRST = '2026-04-18';

    /** As far as the simulated weather goes. */
    public const LAST = '2028-04-17';

    public $timestamps = false;

    protected $guarded = [];

    public static function today(): Day
    {
        return Day::fromIso(self::query()->value('today') ?? self::FIRST);
    }
}
