import { useCallback } from 'react';
import { useSearchParams } from 'react-router';
import { useSession } from '../access/session';
import { useKeys } from '../ui/keyboard';
import { monthDay, yearDay, yearDayOfDate, wrap } from './days';

/** The date everything on the screen is read at; kept in the address, moved by keys. */
export function useDateCursor() {
    const [params, setParams] = useSearchParams();
    const { data: session } = useSession();
    const on = params.get('on') ?? '';
    const day = /^\d\d-\d\d$/.test(on) ? yearDay(on) : yearDayOfDate(session?.today ?? '2001-01-01');
    const set = useCallback(
        (to: number | null) =>
            setParams(
                (before) => {
                    const next = new URLSearchParams(before);
                    if (to === null) next.delete('on');
                    else next.set('on', monthDay(wrap(to)));
                    return next;
                },
                { replace: true },
            ),
        [setParams],
    );
    useKeys({
        '[': () => set(day - 7),
        ']': () => set(day + 7),
        '{': () => set(day - 1),
        '}': () => set(day + 1),
        t: () => set(null),
    });
    return { day, set };
}
