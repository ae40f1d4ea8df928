<?php

declare(strict_types=1);

namespace App\Gardener;

/** Paper a sheet is made for; the style of a page knows how large it is. */
enum PaperSize: string
{
    case A4 = 'a4';

    case Letter = 'letter';

    case A3 = 'a3';

    case Tabloid = 'tabloid';

    /** @return list<self> those a sheet can be had on, the one it is made for first */
    public static function ofSheet(string $sheet): array
    {
        return $sheet === 'wall' ? [self::A3, self::Tabloid] : [self::A4, self::Letter];
    }
}
