import { say } from './words';

/** The ground whose numbers are told where only one is. */
export const USUAL_GROUND = 'loam';

/** A kind of ground by the name the core has for it: "sandy loam". */
export function groundName(ground: string): string {
    return say(`ground-kind.${ground.replace(' ', '-')}`);
}
