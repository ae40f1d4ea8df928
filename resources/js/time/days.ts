import { say, weekday, type Phrase } from '../words/words';

/** Days of the year: "MM-DD" in documents, 1…365 on an axis. February 29 does not exist here. */

const BEFORE_MONTH = [0, 0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];

export const YEAR = 365;

export type MonthDay = string;

export type Span = { first: MonthDay; last: MonthDay; days: number };

/** "05-12" is 132. */
export function yearDay(monthDay: MonthDay): number {
    return (BEFORE_MONTH[Number(monthDay.slice(0, 2))] ?? 0) + Number(monthDay.slice(3, 5));
}

/** 132 is "05-12"; any whole number is wrapped around the year. */
export function monthDay(day: number): MonthDay {
    const wrapped = wrap(day);
    let month = 12;
    while ((BEFORE_MONTH[month] ?? 0) >= wrapped) month--;
    return `${String(month).padStart(2, '0')}-${String(wrapped - (BEFORE_MONTH[month] ?? 0)).padStart(2, '0')}`;
}

export function wrap(day: number): number {
    return ((((day - 1) % YEAR) + YEAR) % YEAR) + 1;
}

/** "05-12" as a phrase for "May 12". */
export function day(monthDay: MonthDay): Phrase {
    return { key: 'day', with: { day: Number(monthDay.slice(3, 5)), month: Number(monthDay.slice(0, 2)) } };
}

/** "05-12" is "May 12". */
export function inWords(monthDay: MonthDay): string {
    return say(day(monthDay));
}

/** "Jan" for 1. */
export function monthInShort(month: number): string {
    return say('month.short', { month });
}

/** "January" for 1. */
export function monthInWords(month: number): string {
    return say('month', { month });
}

/** "05-12" is "May 12", "09-01" is "1 Sep". */
export function inShort(monthDay: MonthDay): string {
    return say('day.short', day(monthDay).with);
}

/** The sow day of a date "YYYY-MM-DD". */
export function yearDayOfDate(date: string): number {
    return yearDay(date.slice(5) === '02-29' ? '02-28' : date.slice(5));
}

/** "2026-05-12" is "May 12, 2026". */
export function dateInWords(date: string): string {
    return say('date', { day: inWords(date.slice(5, 10)), year: date.slice(0, 4) });
}

/** "2026-05-12" is "May 12, 2026", "2026-09-01" is "1 Sep 2026"; for tables. */
export function dateInShort(date: string): string {
    return say('date', { day: inShort(date.slice(5, 10)), year: date.slice(0, 4) });
}

/** "2026-04-18" is "Saturday, April 18". */
export function dateOfWeek(date: string): string {
    return say('date.of-week', { weekday: weekday(date), day: inWords(date.slice(5)) });
}

/** The day of the year of a date "YYYY-MM-DD"; February 29 is the 28th. */
export function monthDayOf(date: string): MonthDay {
    return date.slice(5).replace('02-29', '02-28');
}

/** Days from one date "YYYY-MM-DD" to another. */
export function daysBetween(from: string, to: string): number {
    return Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);
}

/** The date this many days after a date "YYYY-MM-DD". */
export function dateAfter(date: string, days: number): string {
    return new Date(Date.parse(date) + days * 86_400_000).toISOString().slice(0, 10);
}

/** "1 Jan 2004 to 19 Apr 2026", or "19 Apr 2026" for a single day. */
export function datesInShort(first: string, last: string): string {
    return first === last ? dateInShort(first) : say('span', { first: dateInShort(first), last: dateInShort(last) });
}

/** Days forward around the year from one sow day to another, 0…364. */
export function daysUntil(from: number, to: number): number {
    return (to - from + YEAR) % YEAR;
}

export function contains(span: Span, day: number): boolean {
    return daysUntil(yearDay(span.first), day) < span.days;
}

/** "13 h 47 min". */
export function hoursInWords(hours: number): string {
    const minutes = Math.round(hours * 60);
    return say('hours', { hours: Math.floor(minutes / 60), minutes: minutes % 60 });
}

export function spanInWords(span: Span): string {
    return span.days === YEAR
        ? say('span.all-year')
        : say('span', { first: inWords(span.first), last: inWords(span.last) });
}

/** "a fair chance, 6 years in 10: May 12 to June 3". */
export function chanceInWords(span: Span & { of_ten: number }): string {
    return say('chance.span', { chance: say('chance', { of_ten: span.of_ten }), span: spanInWords(span) });
}

/** "9 Apr to 13 Sep", for tables. */
export function spanInShort(span: Span): string {
    return span.days === YEAR
        ? say('span.all-year')
        : say('span', { first: inShort(span.first), last: inShort(span.last) });
}

/** The spans in the order of the ruler, with those that overlap or follow one another joined. */
export function joined(spans: Span[], starts: MonthDay): Span[] {
    const since = (span: Span) => daysUntil(yearDay(starts), yearDay(span.first));
    const whole: Span[] = [];
    for (const span of [...spans].sort((a, b) => since(a) - since(b))) {
        const before = whole.at(-1);
        if (before && since(span) <= since(before) + before.days) {
            whole[whole.length - 1] = reaching(before, since(span) - since(before) + span.days);
        } else {
            whole.push(span);
        }
    }
    // The last may continue past the end of the ruler into the first ones.
    for (;;) {
        const [first, last] = [whole[0], whole.at(-1)];
        if (!first || !last || first === last || since(last) + last.days < YEAR + since(first)) return whole;
        whole.shift();
        whole[whole.length - 1] = reaching(last, YEAR + since(first) - since(last) + first.days);
    }
}

function reaching(span: Span, days: number): Span {
    const reach = Math.min(YEAR, Math.max(span.days, days));
    return { first: span.first, last: monthDay(yearDay(span.first) + reach - 1), days: reach };
}

/** Whether a sow day lies between midwinter, where the ruler starts, and summer solstice (July 15 north, January 15 south). */
export function beforeSummer(starts: MonthDay, day: number): boolean {
    // Cold seasons are counted from July 15, in the south from January 15.
    const summer = starts === '01-01' ? '07-15' : '01-15';
    return daysUntil(yearDay(starts), day) < daysUntil(yearDay(starts), yearDay(summer));
}

/** The ruler's year of a date: it starts at midwinter, so in July in the south. */
export function rulerYear(date: string, starts: MonthDay): number {
    return Number(date.slice(0, 4)) - (yearDayOfDate(date) < yearDay(starts) ? 1 : 0);
}

/** "2025", or "2025/26" if a ruler's year crosses the new year. */
export function rulerYearInWords(year: number, starts: MonthDay): string {
    return starts === '01-01' ? String(year) : `${year}/${String((year + 1) % 100).padStart(2, '0')}`;
}
