<?php

declare(strict_types=1);

namespace App\Office;

/** The color of an office's mark on the public pages, of those that are read well on our paper, by day and by night. */
enum MarkColor: string
{
    case Leaf = 'leaf';
    case Frost = 'frost';
    case Plum = 'plum';
    case Clay = 'clay';
    case Stone = 'stone';
}
