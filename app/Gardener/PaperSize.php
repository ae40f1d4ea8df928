<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Messages\UnitSystem;

/** Paper a sheet is made for; the style of a page knows how large it is. */
enum PaperSize: string
{
    case A4 = 'a4';

    case Letter = 'letter';

    case A3 = 'a3';

    case Tabloid = 'tabloid';

    /** @return list<self> those a sheet can be had on, the one its reader is likely to have first: who reads in °F prints on Letter */
    public static function ofSheet(string $sheet, Reading $reading): array
    {
        $sizes = $sheet === 'wall' ? [self::A3, self::Tabloid] : [self::A4, self::Letter];

        return $reading->units === UnitSystem::Us ? array_reverse($sizes) : $sizes;
    }
}
