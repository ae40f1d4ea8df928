import { useCallback, type MouseEvent } from 'react';
import { useSearchParams } from 'react-router';
import { useSession } from '../../app/data';
import { useKeys } from '../../app/keyboard';
import { monthDay, sowDay, sowDayOfDate, wrap } from '../../charts/days';
import type { YearScale } from '../../charts/yearScale';

/** Room left of the axis for labels, and right of it, px. */
export const LABELS = 106;
export const RIGHT = 6;

/** The date everything on the screen is read at; kept in the address, moved by keys and pointer. */
export function useDateCursor() {
    const [params, setParams] = useSearchParams();
    const { data: session } = useSession();
    const on = params.get('on') ?? '';
    const day = /^\d\d-\d\d$/.test(on) ? sowDay(on) : sowDayOfDate(session?.today ?? '2001-01-01');
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
    const point = (scale: YearScale) => (event: MouseEvent<SVGSVGElement>) => {
        if (event.type === 'mousemove' && event.buttons !== 1) return;
        const x = event.clientX - event.currentTarget.getBoundingClientRect().left - LABELS;
        if (x >= 0 && x <= scale.width) set(scale.day(x));
    };
    return { day, point };
}
