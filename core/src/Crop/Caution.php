<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** How a crop can hurt people. `caution.<value>` gives the usual precaution, and who has the last word. */
enum Caution: string
{
    case TreatedSeed = 'treated_seed';
    case ToxicParts = 'toxic_parts';
    case RawBeans = 'raw_beans';
    case BitterFruit = 'bitter_fruit';
    case ToxicLeaves = 'toxic_leaves';
    case GreenTubers = 'green_tubers';
    case ToxicSeeds = 'toxic_seeds';
    case BurnsSkin = 'burns_skin';
    case Favism = 'favism';
    case Allergen = 'allergen';
    case Invasive = 'invasive';
    case SeedPotatoRules = 'seed_potato_rules';
    case AlliumRules = 'allium_rules';
}
