<?php

declare(strict_types=1);

namespace App\Operations;

use Anthesis\Messages\Words;
use Anthesis\Record\Day;
use Anthesis\Words\Phrase;

/** Says the core's phrases in the language of the request, and in the reader's units and date style. */
final class Say
{
    public static function phrase(Phrase $phrase): string
    {
        return self::words()->phrase($phrase);
    }

    /** @return string "May 12, 2026" */
    public static function date(Day $day): string
    {
        return self::key('date', ['day' => Phrase::day($day->yearDay()), 'year' => (string) $day->year()]);
    }

    /** @param  array<string, int|float|string|Phrase>  $with */
    public static function key(string $key, array $with = []): string
    {
        return self::phrase(Phrase::of($key, $with));
    }

    private static function words(): Words
    {
        $in = app(SaidIn::class);

        return Words::in(app()->getLocale(), $in->units, [], $in->dates);
    }
}
