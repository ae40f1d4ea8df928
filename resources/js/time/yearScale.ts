import { scaleLinear } from 'd3-scale';
import { daysUntil, monthDay, monthInShort, monthInWords, yearDay, wrap, YEAR, type MonthDay, type Span } from './days';

/** The only horizontal axis: a year that starts on January 1 or, in the south, on July 1. */
export type YearScale = {
    width: number;
    /** where a sow day starts, px */
    x: (day: number) => number;
    /** the sow day at a position, px */
    day: (x: number) => number;
    /** a span as one piece or, if it continues past the end of the ruler, two pieces [from, to] in px; `open` sides continue */
    pieces: (span: Span) => { from: number; to: number; openLeft: boolean; openRight: boolean }[];
    months: { name: string; short: string; x: number; width: number }[];
    weeks: number[];
};

export function yearScale(starts: MonthDay, width: number): YearScale {
    const start = yearDay(starts);
    const exact = scaleLinear([0, YEAR], [0, width]);
    // Finer than any screen, and short to write: pages contain thousands of these.
    const linear = (day: number) => Math.round(100 * exact(day)) / 100;
    const x = (day: number) => linear(daysUntil(start, day));
    const firstMonth = Number(starts.slice(0, 2));
    const months = Array.from({ length: 12 }, (_, i) => {
        const month = ((firstMonth - 1 + i) % 12) + 1;
        const first = yearDay(`${String(month).padStart(2, '0')}-01`);
        const next = yearDay(`${String((month % 12) + 1).padStart(2, '0')}-01`);
        return {
            name: monthInWords(month),
            short: monthInShort(month),
            x: x(first),
            width: linear(daysUntil(first, next)),
        };
    });
    return {
        width,
        x,
        day: (position) => wrap(start + Math.min(YEAR - 1, Math.max(0, Math.floor(exact.invert(position))))),
        pieces: (span) => {
            if (span.days >= YEAR) return [{ from: 0, to: width, openLeft: true, openRight: true }];
            const from = daysUntil(start, yearDay(span.first));
            const to = from + span.days;
            return to <= YEAR
                ? [{ from: linear(from), to: linear(to), openLeft: false, openRight: false }]
                : [
                      { from: linear(from), to: width, openLeft: false, openRight: true },
                      { from: 0, to: linear(to - YEAR), openLeft: true, openRight: false },
                  ];
        },
        months,
        weeks: Array.from({ length: 53 }, (_, i) => linear(i * 7)),
    };
}

/** Values by sow day (index 0 is January 1), in the order of the ruler. */
export function inRulerOrder<T>(values: readonly T[], starts: MonthDay): T[] {
    const at = yearDay(starts) - 1;
    return [...values.slice(at), ...values.slice(0, at)];
}

/** Days on which a rising or falling quantity crosses a level, with the level: the ticks of a band. */
export function crossings(values: readonly number[], levels: readonly number[]): { day: MonthDay; level: number }[] {
    const found: { day: MonthDay; level: number }[] = [];
    for (let i = 0; i < values.length; i++) {
        const before = values[(i + values.length - 1) % values.length] ?? 0;
        const here = values[i] ?? 0;
        for (const level of levels) {
            if (before < level !== here < level) found.push({ day: monthDay(i + 1), level });
        }
    }
    return found;
}
