import type { Schema } from '../api/client';
import { say } from './words';

/** How a flower gives, when it is cut and how long it keeps. */
export function cutInWords(cut: NonNullable<Schema['CutFlower']>): string {
    return say('cut-flower', {
        branches: cut.branches ? 'yes' : 'no',
        stems: cut.stems_per_plant,
        at: cut.at ? say(`cut-at.${cut.at}`) : 'none',
        days: cut.vase_days ?? 0,
    });
}
