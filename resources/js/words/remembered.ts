import { readIn, type DateStyle } from './words';
import type { Units } from './units';

const KEY = 'anthesis-reading';

/** Reads on in the units and dates that were chosen last, before the server has said who is here. */
export function recallReading() {
    try {
        const [units, dates] = (localStorage.getItem(KEY) ?? '').split(' ');
        if (units === 'us' || units === 'metric')
            readIn(units, dates === 'month' || dates === 'day' ? dates : undefined);
    } catch {
        // A browser that keeps nothing is told by the server.
    }
}

/** Reads in the units and dates a person has, and remembers them in this browser. */
export function readAsChosen({ units, dates }: { units: Units; dates: DateStyle }) {
    readIn(units, dates);
    try {
        localStorage.setItem(KEY, `${units} ${dates}`);
    } catch {
        // It is told again by the server the next time.
    }
}
