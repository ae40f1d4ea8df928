<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Messages\UnitSystem;

/** Paper a sheet is made for; the page's styles know how large it is. */
enum PaperSize: string
{
    case A4 = 'a4';

    case Letter = 'letter';

    case A3 = 'a3';

    case Tabloid = 'tabloid';

    /** @return list<self> those a sheet is available on, the one its reader most likely has first: people who read in °F print on Letter */
    public static function ofSheet(string $sheet, Reading $reading): array
    {
        $sizes = $sheet === 'wall' ? [self::A3, self::Tabloid] : [self::A4, self::Letter];

        return $reading->units === UnitSystem::Us ? array_reverse($sizes) : $sizes;
    }
}
