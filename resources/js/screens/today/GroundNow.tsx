import type { Schema } from '../../api/client';
import { inShort, monthDayOf } from '../../time/days';
import { groundName } from '../../words/grounds';
import { listed, say } from '../../words/words';
import { useWorkable } from './queries';

type Ground = Schema['Workable']['grounds'][number];

/** Which ground can be worked today, and when the rest likely can. */
export function GroundNow({ zone }: { zone: string }) {
    const { data } = useWorkable(zone);
    if (!data) return null;
    const [fit, rest] = [data.grounds.filter(({ fit }) => fit), data.grounds.filter(({ fit }) => !fit)];
    // Kinds of ground that wait equally long are listed together.
    const waits = new Map<string, Ground[]>();
    for (const ground of rest) waits.set(wait(ground), [...(waits.get(wait(ground)) ?? []), ground]);
    return (
        <p>
            {fit.length === data.grounds.length
                ? say('today.ground-all-fit')
                : fit.length === 0
                  ? say('today.ground-none-fit')
                  : say('today.ground-fit', { grounds: named(fit), count: fit.length })}{' '}
            {[...waits].map(([when, grounds]) => (
                <span key={when}>{say('today.ground-waits', { grounds: named(grounds), when })} </span>
            ))}
        </p>
    );
}

function wait({ half, most }: Ground): string {
    if (half === null) return say('today.ground-not-soon');
    const by = inShort(monthDayOf(half));
    if (most === half) return say('today.ground-by', { by });
    return most === null
        ? say('today.ground-half', { by })
        : say('today.ground-half-most', { by, most: inShort(monthDayOf(most)) });
}

const named = (grounds: Ground[]) =>
    listed(grounds.map(({ ground }, i) => (i === 0 ? groundName(ground) : groundName(ground).toLowerCase())));
