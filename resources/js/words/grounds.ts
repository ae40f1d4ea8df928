import type { Schema } from '../api/client';
import { say } from './words';

/** From the lightest to the heaviest, then the bed mix. */
export const GROUNDS = ['sand', 'sandy-loam', 'loam', 'silt-loam', 'clay', 'bed-mix'].map(
    (key) => key.replace('-', ' ') as Schema['KindOfGround'],
);

/** The ground whose numbers are shown if there is room for only one. */
export const USUAL_GROUND: Schema['KindOfGround'] = 'loam';

/** A kind of ground by its name in the core: "sandy loam". */
export function groundName(ground: string): string {
    return say(`ground-kind.${ground.replace(' ', '-')}`);
}
