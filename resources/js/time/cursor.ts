import { useCallback } from 'react';
import { useSearchParams } from 'react-router';
import { useSession } from '../access/session';
import { useKeys } from '../ui/keyboard';
import { monthDay, yearDay, yearDayOfDate, wrap, type MonthDay } from './days';

/**
 * The date everything on the screen is read at; kept in the address, moved by keys.
 *
 * @param opening the day it stands on at first; today, where there is none
 */
export function useDateCursor(opening?: MonthDay) {
    const [params, setParams] = useSearchParams();
    const { data: session } = useSession();
    const on = params.get('on') ?? '';
    const today = yearDayOfDate(session?.today ?? '2001-01-01');
    const day = /^\d\d-\d\d$/.test(on) ? yearDay(on) : opening ? yearDay(opening) : today;
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
        t: () => set(opening ? today : null),
    });
    return { day, set };
}
