import type { Plan, Sowing, Supplied } from './queries';

export type By = 'even' | 'fixed';

const WEEK = 7;

/**
 * The harvest of a crop in each week after the first day: from plantings that were not missed, each supplying what is needed while it is in
 * harvest.
 */
export function weekly({ want, data }: Supplied, by: By, missed: Set<string>): number[] {
    const sowings = (data?.[by].sowings ?? []).filter((sowing) => !missed.has(keyOf(want.crop, by, sowing)));
    const last = Math.max(-1, ...sowings.map((sowing) => sowing.last));
    return Array.from({ length: Math.ceil((last + 1) / WEEK) }, (_, week) => {
        let days = 0;
        for (const sowing of sowings) {
            const from = Math.max(sowing.first, week * WEEK);
            const to = Math.min(sowing.last, week * WEEK + WEEK - 1);
            days += Math.max(0, to - from + 1);
        }
        return (want.amount * days) / WEEK;
    });
}

/** The number of plantings in harvest day by day, as the harvest in each week, where each planting gives this amount per week. */
export function weeksOf(line: number[], amount: number): number[] {
    return Array.from({ length: Math.ceil(line.length / WEEK) }, (_, week) => {
        const days = line.slice(week * WEEK, week * WEEK + WEEK);
        return (amount * days.reduce((sum, count) => sum + count, 0)) / WEEK;
    });
}

/** Weeks of this season that give less than half of what is needed, in half of the years with which it may continue; null: not known. */
export function shortThisSeason(plan: Plan, amount: number): number | null {
    return plan.season && hungerAndGlut(weeksOf(plan.season.middle, amount), amount).hunger;
}

export function keyOf(crop: string, by: By, sowing: Sowing): string {
    return `${crop} ${by} ${sowing.after}`;
}

/**
 * Weeks between the first and the last harvest of all crops, and how many of them give less than half of what is needed, or more than one
 * and a half times.
 */
export function hungerAndGlut(totals: number[], wanted: number): { weeks: number; hunger: number; glut: number } {
    const first = totals.findIndex((amount) => amount > 0);
    const last = totals.findLastIndex((amount) => amount > 0);
    const picked = first < 0 ? [] : totals.slice(first, last + 1);
    return {
        weeks: picked.length,
        hunger: picked.filter((amount) => amount < wanted / 2).length,
        glut: picked.filter((amount) => amount > wanted * 1.5).length,
    };
}
