import { dateAfter, monthInShort } from '../../time/days';

/** Days shown before the day, and from it on. */
export const BACK = 21;
export const AHEAD = 63;

/** Width of the scale, px. */
export const WIDTH = 504;

const DAY = WIDTH / (BACK + AHEAD);

/** Position of a day, counted from the day the screen shows. */
export function x(day: number): number {
    return (day + BACK) * DAY;
}

/** Months that start on the scale, and every Monday. */
export function marks(on: string): { months: { name: string; x: number }[]; weeks: number[] } {
    const months: { name: string; x: number }[] = [];
    const weeks: number[] = [];
    for (let day = -BACK; day < AHEAD; day++) {
        const date = dateAfter(on, day);
        if (date.endsWith('-01')) months.push({ name: monthInShort(Number(date.slice(5, 7))), x: x(day) });
        if (new Date(date).getUTCDay() === 1) weeks.push(x(day));
    }
    return { months, weeks };
}
