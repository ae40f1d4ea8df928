import type { Schema } from '../api/client';
import { say } from './words';

/** From the lightest to the heaviest, and the mix of a bed. */
export const GROUNDS = ['sand', 'sandy-loam', 'loam', 'silt-loam', 'clay', 'bed-mix'].map(
    (key) => key.replace('-', ' ') as Schema['KindOfGround'],
);

/** The ground whose numbers are told where only one is. */
export const USUAL_GROUND: Schema['KindOfGround'] = 'loam';

/** A kind of ground by the name the core has for it: "sandy loam". */
export function groundName(ground: string): string {
    return say(`ground-kind.${ground.replace(' ', '-')}`);
}
