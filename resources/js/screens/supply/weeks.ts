import type { Sowing, Supplied } from './queries';

export type By = 'even' | 'fixed';

/** What is picked of a crop in each week after the first day, kg: of sowings that were not missed, each giving what is wanted while it is picked. */
export function weekly({ want, data }: Supplied, by: By, missed: Set<string>): number[] {
    const sowings = (data?.[by].sowings ?? []).filter((sowing) => !missed.has(keyOf(want.crop, by, sowing)));
    const last = Math.max(-1, ...sowings.map((sowing) => sowing.last));
    return Array.from({ length: Math.ceil((last + 1) / 7) }, (_, week) => {
        let days = 0;
        for (const sowing of sowings) {
            const from = Math.max(sowing.first, week * 7);
            const to = Math.min(sowing.last, week * 7 + 6);
            days += Math.max(0, to - from + 1);
        }
        return (want.kg * days) / 7;
    });
}

export function keyOf(crop: string, by: By, sowing: Sowing): string {
    return `${crop} ${by} ${sowing.after}`;
}

/** Weeks between the first picking and the last of all crops, and how many of them give less than half of what is wanted, or more than half again. */
export function hungerAndGlut(totals: number[], wanted: number): { weeks: number; hunger: number; glut: number } {
    const first = totals.findIndex((kg) => kg > 0);
    const last = totals.findLastIndex((kg) => kg > 0);
    const picked = first < 0 ? [] : totals.slice(first, last + 1);
    return {
        weeks: picked.length,
        hunger: picked.filter((kg) => kg < wanted / 2).length,
        glut: picked.filter((kg) => kg > wanted * 1.5).length,
    };
}
