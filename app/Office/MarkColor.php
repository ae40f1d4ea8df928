<?php

declare(strict_types=1);

namespace App\Office;

/** The color of an office's mark on the public pages, chosen to be readable on our paper in light and dark. */
enum MarkColor: string
{
    case Leaf = 'leaf';
    case Frost = 'frost';
    case Plum = 'plum';
    case Clay = 'clay';
    case Stone = 'stone';
}
