<?php

declare(strict_types=1);

namespace Anthesis\Crop;

/** What can hurt people about a crop: one line, the usual precaution, and who has the last word. */
enum Caution: string
{
    case TreatedSeed = 'treated_seed';
    case ToxicParts = 'toxic_parts';
    case Favism = 'favism';
    case Allergen = 'allergen';
    case Invasive = 'invasive';
    case SeedPotatoRules = 'seed_potato_rules';
    case AlliumRules = 'allium_rules';

    public function inWords(): string
    {
        return match ($this) {
            self::TreatedSeed => 'Seed may be treated: wear gloves, keep it from children, animals, food and compost, and follow the label.',
            self::ToxicParts => 'Some parts are poisonous: eat only what is known to be edible, and ask a doctor or poison centre if in doubt.',
            self::Favism => 'Broad beans and their pollen can make people with an inherited enzyme deficiency (favism) gravely ill: ask a doctor.',
            self::Allergen => 'A common food allergen: say so when you share it, and follow medical advice.',
            self::Invasive => 'Seeds itself freely and is unwelcome in some districts: check local rules and cut before it sets seed.',
            self::SeedPotatoRules => 'Use certified planting stock; some districts restrict what may be brought in: check local rules.',
            self::AlliumRules => 'Use clean, certified planting stock; some districts restrict onion-family stock: check local rules.',
        };
    }
}
