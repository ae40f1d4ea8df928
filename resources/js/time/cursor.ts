import { useCallback } from 'react';
import { useSearchParams } from 'react-router';
import { useSession } from '../access/session';
import { useKeys } from '../ui/keyboard';
import { monthDay, yearDay, yearDayOfDate, wrap, type MonthDay } from './days';

/**
 * The date that everything on the screen refers to; kept in the address, moved with keys.
 *
 * @param opening the day it starts on; today, if none is given
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
