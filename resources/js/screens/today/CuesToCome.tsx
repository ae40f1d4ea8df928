import { Link } from 'react-router';
import { useCues } from '../../api/log';
import { inShort } from '../../time/days';
import { CollapsedList } from '../../ui/CollapsedList';
import { say } from '../../words/words';

/** Indicator plants, besides record and thermometer: what was seen this year, what comes next, and what can be sown then. */
export function CuesToCome({ zone }: { zone: string }) {
    const { data } = useCues(zone);
    const seen = data?.filter((cue) => cue.this_year !== null && cue.used) ?? [];
    const next = data?.find((cue) => cue.this_year === null && cue.expected?.[1]);
    const latest = seen.at(-1);
    if (!latest && !next) return null;
    return (
        <section>
            <h3>{say('indicator-plants.on-today')}</h3>
            {latest && (
                <p>
                    {say('indicator-plants.latest', {
                        plant: say('log-screen.plant', { plant: latest.plant, stage: latest.stage }),
                        day: inShort((latest.this_year ?? '').slice(5)),
                    })}{' '}
                    {latest.opens.length > 0 && (
                        <>
                            {say('indicator-plants.opens')}{' '}
                            <CollapsedList items={latest.opens.map((crop) => crop.name)} />
                        </>
                    )}
                </p>
            )}
            {next && (
                <p>
                    {say('indicator-plants.next', {
                        plant: say('log-screen.plant', { plant: next.plant, stage: next.stage }),
                        day: inShort((next.expected?.[1] ?? '').slice(5)),
                    })}
                </p>
            )}
            <p>
                <Link to={`/desk/zones/${zone}/indicator-plants`}>{say('indicator-plants.all')}</Link>
            </p>
        </section>
    );
}
