import { readIn, type DateStyle } from './words';
import type { Units } from './units';

const KEY = 'anthesis-reading';

/** Uses the units and date style chosen last, before the server has said who is here. */
export function recallReading() {
    try {
        const [units, dates] = (localStorage.getItem(KEY) ?? '').split(' ');
        if (units === 'us' || units === 'metric')
            readIn(units, dates === 'month' || dates === 'day' ? dates : undefined);
    } catch {
        // A browser that stores nothing waits for the server.
    }
}

/** Uses a person's units and date style, and remembers them in this browser. */
export function readAsChosen({ units, dates }: { units: Units; dates: DateStyle }) {
    readIn(units, dates);
    try {
        localStorage.setItem(KEY, `${units} ${dates}`);
    } catch {
        // The server says so again next time.
    }
}
