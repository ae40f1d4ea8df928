import type { Schema } from '../api/client';
import { say } from './words';

/** How a flower yields, when it is cut, and how long it lasts. */
export function cutInWords(cut: NonNullable<Schema['CutFlower']>): string {
    return say('cut-flower', {
        branches: cut.branches ? 'yes' : 'no',
        stems: cut.stems_per_plant,
        at: cut.at ? say(`cut-at.${cut.at}`) : 'none',
        days: cut.vase_days ?? 0,
    });
}
