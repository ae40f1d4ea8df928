import type { Units } from '../words/units';

/** What a row of a crop is figured from; lengths in cm. */
export type RowOf = {
    spacing_cm: number;
    seed: { per_station: number; germination: number; per_gram: number | null } | null;
};

const FOOT_M = 0.3048;
const OUNCE_G = 28.349523125;

/** Meters in the unit in which a reader measures a row: a meter, or a foot. */
export function unitOfRow(units: Units): number {
    return units === 'us' ? FOOT_M : 1;
}

/**
 * Plants in this many meters of row, and the seed for them, counted, and weighed in the reader's unit; same as core/src/Ground/SeedNeed.
 */
export function seedNeed({ spacing_cm, seed }: RowOf, metres: number, units: Units) {
    const plants = (100 * metres) / spacing_cm;
    const seeds = seed && (plants * seed.per_station) / seed.germination;
    const grams = seeds && seed?.per_gram ? seeds / seed.per_gram : null;
    return {
        plants: Math.ceil(plants - 1e-9),
        seeds: seeds && Math.ceil(seeds - 1e-9),
        weight: grams && rounded(units === 'us' ? grams / OUNCE_G : grams, units === 'us' ? 2 : 1),
    };
}

/** Rounded up, so it is enough. */
function rounded(weight: number, digits: number): number {
    const power = 10 ** (weight >= 10 ? 0 : digits);
    return Math.ceil(weight * power - 1e-9) / power;
}
