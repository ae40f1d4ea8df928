import { monthInShort, monthInWords, type MonthDay } from './days';

const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/**
 * Reads a day of the year as people type it: "04-18", "4/18" (month first, as Americans write it), "18.4.", "Apr 18", "April 18".
 *
 * @return "MM-DD"; null: not a day. February 29 is the 28th, as everywhere.
 */
export function readMonthDay(text: string): MonthDay | null {
    const typed = text.trim().toLowerCase();
    const slashed = /^(\d{1,2})[/-](\d{1,2})$/.exec(typed);
    // If only one of the two can be the month, it is.
    if (slashed)
        return asMonthDay(Number(slashed[1]), Number(slashed[2])) ?? asMonthDay(Number(slashed[2]), Number(slashed[1]));
    const dotted = /^(\d{1,2})\.\s*(\d{1,2})\.?$/.exec(typed);
    if (dotted) return asMonthDay(Number(dotted[2]), Number(dotted[1]));
    const named =
        /^(?:(\d{1,2})(?:st|nd|rd|th)?\.?\s*(?:of\s+)?([a-z]{3,})\.?|([a-z]{3,})\.?\s*(\d{1,2})(?:st|nd|rd|th)?)$/.exec(
            typed,
        );
    if (!named) return null;
    const name = named[2] ?? named[3] ?? '';
    const month = DAYS.findIndex((_, i) => {
        const [whole, short] = [monthInWords(i + 1).toLowerCase(), monthInShort(i + 1).toLowerCase()];
        return whole.startsWith(name) || name === short;
    });
    return asMonthDay(month + 1, Number(named[1] ?? named[4]));
}

function asMonthDay(month: number, day: number): MonthDay | null {
    if (month === 2 && day === 29) return '02-28';
    if (day < 1 || day > (DAYS[month - 1] ?? 0)) return null;
    return `${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
}
