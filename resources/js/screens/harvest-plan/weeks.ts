import type { Plan, Sowing, Supplied } from './queries';

export type By = 'even' | 'fixed';

const WEEK = 7;

/**
 * What is picked of a crop in each week after the first day: of sowings that were not missed, each giving what is wanted while it is
 * picked.
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

/** A line of sowings in harvest day by day as what is picked in each week, each sowing giving so much in a week. */
export function weeksOf(line: number[], amount: number): number[] {
    return Array.from({ length: Math.ceil(line.length / WEEK) }, (_, week) => {
        const days = line.slice(week * WEEK, week * WEEK + WEEK);
        return (amount * days.reduce((sum, count) => sum + count, 0)) / WEEK;
    });
}

/** Weeks of this season that give less than half of what is wanted, in half of the years it may go on as; null: it is not told. */
export function shortThisSeason(plan: Plan, amount: number): number | null {
    return plan.season && hungerAndGlut(weeksOf(plan.season.middle, amount), amount).hunger;
}

export function keyOf(crop: string, by: By, sowing: Sowing): string {
    return `${crop} ${by} ${sowing.after}`;
}

/**
 * Weeks between the first harvest and the last of all crops, and how many of them give less than half of what is wanted, or more than half
 * again.
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
