<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How sure a number of the crop table is, the surest first; `basis.<value>` in words. */
enum NumberBasis: string
{
    /** Measured where it is used, like local days to maturity. */
    case Measured = 'measured';
    /** What packets and catalogs agree on. */
    case Packet = 'packet';
    /** A published table, of extension services or research. */
    case Table = 'table';
    /** What growers estimate, for lack of a figure. */
    case Judgment = 'judgment';
}
