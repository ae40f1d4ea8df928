import { useState } from 'react';
import type { Schema } from '../../api/client';
import { Problem } from '../../ui/Problem';
import { moreCelsius } from '../../words/units';
import { say } from '../../words/words';
import { useSensitivity } from './queries';

type Mover = Schema['Mover'];

/** How many are shown; the rest change little. */
const SHOWN = 12;

/** What moves a crop's dates most, as bars, so you know what to measure next. */
export function Movers({ zone, crop, route }: { zone: string; crop: string; route: 'direct' | 'transplant' }) {
    const [open, setOpen] = useState(false);
    const { data, error } = useSensitivity(zone, crop, route, open);
    const longest = Math.max(1, ...(data ?? []).map(most));
    return (
        <details className="movers" onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary>{say('movers.heading')}</summary>
            <p className="hint">{say('movers.how')}</p>
            <Problem error={error} />
            {open && !data && !error && <p role="status">{say('movers.looking')}</p>}
            {data?.length === 0 && <p>{say('movers.none')}</p>}
            {data && data.length > 0 && (
                <table>
                    <tbody>
                        {data.slice(0, SHOWN).map((mover) => (
                            <tr key={`${mover.of} ${mover.name}`}>
                                <th scope="row">
                                    {called(mover)}
                                    <small>
                                        {[amount(mover), mover.basis && say(`basis.${mover.basis}`)]
                                            .filter(Boolean)
                                            .join('; ')}
                                    </small>
                                </th>
                                <td>
                                    <span className="bar" style={{ width: `${(70 * most(mover)) / longest}%` }} />{' '}
                                    {say('movers.days', { days: most(mover) })}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
        </details>
    );
}

function called({ of, name, label, by, unit }: Mover): string {
    if (label) return say(label);
    if (unit === 'station') return say('sensitivity.station', { station: name });
    return of === 'record' ? say('sensitivity.latest-years', { years: by }) : say(`sensitivity.${name}`);
}

const most = ({ less, more }: Mover) => Math.max(less, more ?? 0);

function amount({ by, unit }: Mover): string {
    if (unit === 'years' || unit === 'station') return '';
    return unit === 'celsius' ? say('movers.by', { amount: moreCelsius(by) }) : say('movers.by-share', { share: by });
}
