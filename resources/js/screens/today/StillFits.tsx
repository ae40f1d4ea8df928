import { useState } from 'react';
import type { Schema } from '../../api/client';
import { RuledTable } from '../../ui/RuledTable';
import { listed, say } from '../../words/words';
import { useStillFits } from './queries';

type Fit = Schema['StillFits']['fits'][number];

/** Every crop and variety that still fits the days left, sorted by days to harvest in tens; loaded when it is opened. */
export function StillFits({ zone, on }: { zone: string; on: string }) {
    const [open, setOpen] = useState(false);
    const { data } = useStillFits(zone, on.slice(5), open);
    return (
        <details className="still-fits" onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary>{say('still-fits.heading')}</summary>
            {data && (
                <>
                    <p>
                        {data.days_to_freeze !== null && say('still-fits.days-left', { days: data.days_to_freeze })}{' '}
                        {say('still-fits.how')}
                    </p>
                    {data.fits.length === 0 ? (
                        <p>{say('still-fits.nothing')}</p>
                    ) : (
                        <RuledTable
                            columns={[say('still-fits.days'), say('still-fits.hardy'), say('still-fits.tender')]}
                            rows={tens(data.fits).map(([from, fits]) => [
                                from,
                                say('still-fits.ten', { from, to: from + 9 }),
                                named(fits.filter((fit) => fit.hardy)),
                                named(fits.filter((fit) => !fit.hardy)),
                            ])}
                        />
                    )}
                </>
            )}
        </details>
    );
}

function tens(fits: Fit[]): [number, Fit[]][] {
    const by = new Map<number, Fit[]>();
    for (const fit of fits) by.set(fit.from, [...(by.get(fit.from) ?? []), fit]);
    return [...by].sort(([a], [b]) => a - b);
}

const named = (fits: Fit[]) =>
    listed(
        fits.map(({ name, variety, act, of_ten }) =>
            say(of_ten === null ? 'still-fits.one' : 'still-fits.one-fair', {
                crop: variety ? `${name} ${variety}` : name,
                act: say(`act.${act}`),
                of_ten: of_ten ?? 10,
            }),
        ),
    );
