import { inShort } from '../../time/days';
import { fromUnits, ofRow } from '../../words/units';
import { say, units } from '../../words/words';
import { useRestingDate, useSpares } from './queries';

/** The length of row that seedlings are counted for, in the person's units. */
const ROW = { us: 25, metric: 5 };

/** How many seedlings to raise beside a direct sowing that often fails, from when, and until when they help. */
export function Spares({ zone, crop, route, day }: { zone: string; crop: string; route: string; day: number }) {
    const on = useRestingDate(day);
    const { data: spares } = useSpares(zone, crop, on, route === 'direct');
    if (!spares || route !== 'direct') return null;
    const row = fromUnits('m', ROW[units()], units());
    return (
        <>
            <h3>{say('spares.title')}</h3>
            <p>
                {say('spares.fails', { failed: spares.failed, years: spares.years })}{' '}
                {spares.until === null
                    ? say('spares.too-late')
                    : say('spares.raise', {
                          plants: Math.ceil(spares.per_metre * row),
                          length: ofRow(row),
                          start: inShort(spares.start),
                          ready: inShort(spares.ready),
                          until: inShort(spares.until),
                      })}
            </p>
        </>
    );
}
