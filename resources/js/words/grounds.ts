import { say } from './words';

/** A kind of ground by the name the core has for it: "sandy loam". */
export function groundName(ground: string): string {
    return say(`ground-kind.${ground.replace(' ', '-')}`);
}
