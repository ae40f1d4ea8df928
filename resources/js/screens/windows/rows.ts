import { contains, daysUntil, yearDay } from '../../time/days';
import { say } from '../../words/words';
import type { Windows } from './queries';

export type Crop = Windows['crops'][number];

/** Height of a way of growing in a row, and between rows, px; a name with more letters than this takes two lines. */
export const LANE = 28;
const ROW_GAP = 6;
/** Room for a name beside its task, px. */
const NAME_ROOM = 134;

/** Position of each crop and each group's heading under the ruler, px. */
export type Rows = {
    height: number;
    groups: { group: string; y: number }[];
    crops: { crop: Crop; y: number; height: number }[];
};

const SEASONS = {
    cool: say('windows.cool-season'),
    warm: say('windows.warm-season'),
    cover: say('windows.cover-crops'),
};

/** Crops in groups: by family, by the season they like, or by what can be done next from a day on. */
export function grouped(crops: Crop[], by: string, day: number): { group: string; crops: Crop[] }[] {
    if (by === 'next') {
        const wait = (crop: Crop) =>
            Math.min(
                ...crop.routes.flatMap((route) =>
                    [...route.windows, ...route.under_cover].map((span) =>
                        contains(span, day) ? 0 : daysUntil(day, yearDay(span.first)),
                    ),
                ),
                999,
            );
        const sorted = crops.map((crop) => ({ crop, wait: wait(crop) })).sort((a, b) => a.wait - b.wait);
        return [
            { group: say('windows.open-now'), crops: sorted.filter((c) => c.wait === 0).map((c) => c.crop) },
            {
                group: say('windows.opens-within-four-weeks'),
                crops: sorted.filter((c) => c.wait > 0 && c.wait <= 28).map((c) => c.crop),
            },
            {
                group: say('windows.later'),
                crops: sorted.filter((c) => c.wait > 28 && c.wait < 999).map((c) => c.crop),
            },
            { group: say('windows.no-window-here'), crops: sorted.filter((c) => c.wait === 999).map((c) => c.crop) },
        ].filter((group) => group.crops.length > 0);
    }
    const of = (crop: Crop) => (by === 'season' ? SEASONS[crop.kind] : crop.family);
    return [...new Set(crops.map(of))].map((group) => ({ group, crops: crops.filter((crop) => of(crop) === group) }));
}

let pen: CanvasRenderingContext2D | null | undefined;

/** The width of a name in the font at hand: the one it was designed in may not have loaded. */
function widthOf(name: string): number {
    if (pen === undefined) {
        pen = typeof document === 'undefined' ? null : document.createElement('canvas').getContext('2d');
        if (pen) pen.font = `15.2px ${getComputedStyle(document.body).fontFamily || 'serif'}`;
    }
    return pen ? pen.measureText(name).width : name.length * 7.8;
}

/** A long name takes two lines, so it does not run into the task beside it. */
export function inLines(name: string): string[] {
    if (widthOf(name) <= NAME_ROOM) return [name];
    const words = name.split(' ');
    let first = words[0] ?? '';
    let at = 1;
    for (; at < words.length && widthOf(`${first} ${words[at]}`) <= NAME_ROOM; at++) first += ` ${words[at]}`;
    return [first, words.slice(at).join(' ')].filter((line) => line !== '');
}

/** Puts groups and their crops one below the other. */
export function layOut(groups: { group: string; crops: Crop[] }[]): Rows {
    const rows: Rows = { height: 0, groups: [], crops: [] };
    for (const { group, crops } of groups) {
        rows.groups.push({ group, y: rows.height });
        rows.height += 22;
        for (const crop of crops) {
            const height = Math.max(crop.routes.length * LANE, 8 + 15 * inLines(crop.name).length) + ROW_GAP;
            rows.crops.push({ crop, y: rows.height, height });
            rows.height += height;
        }
    }
    return rows;
}
