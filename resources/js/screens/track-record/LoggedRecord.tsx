import { RuledTable } from '../../ui/RuledTable';
import { listed, say } from '../../words/words';
import type { TrackRecordData } from './queries';

type Log = NonNullable<TrackRecordData['log']>;
type Judged = Log['in_force'];
type Side = Judged['inside'];

/** With fewer cases than this, the screen says so. */
const FEW = 20;

/** How the plantings in the log turned out, inside the published windows and outside them. */
export function LoggedRecord({ log }: { log: Log }) {
    const told = ([log.in_force, log.before] as const).map((judged, i) => ({
        judged,
        by: i === 0 ? 'edition' : 'today',
    }));
    const some = told.filter(({ judged }) => count(judged.inside) + count(judged.outside) > 0);
    if (some.length === 0) return <p>{say('track-record.log-empty')}</p>;
    return some.map(({ judged, by }) => (
        <div key={by}>
            <p>{say(`track-record.log-by-${by}`)}</p>
            <RuledTable
                columns={[
                    say('track-record.log-planted'),
                    { number: say('track-record.log-harvested') },
                    { number: say('track-record.log-lost') },
                    { number: say('track-record.log-open') },
                ]}
                rows={(['inside', 'outside'] as const).map((side) => [
                    side,
                    say(`track-record.log-${side}`),
                    judged[side].harvested,
                    judged[side].lost,
                    judged[side].open,
                ])}
            />
            {causes(judged) && <p>{causes(judged)}</p>}
            {judged.picks.all > 0 && (
                <p>
                    {say('track-record.log-picks', { within: judged.picks.within, all: judged.picks.all })}{' '}
                    {judged.picks.median_miss !== null &&
                        say('track-record.log-miss', { days: Math.round(judged.picks.median_miss) })}
                </p>
            )}
            {count(judged.inside) + count(judged.outside) < FEW && (
                <p className="hint">{say('track-record.log-few')}</p>
            )}
        </div>
    ));
}

const count = (side: Side) => side.harvested + side.lost + side.open;

function causes({ inside, outside }: Judged): string {
    const all = new Map<string, number>();
    for (const side of [inside, outside]) {
        for (const [cause, n] of Object.entries(side.causes)) all.set(cause, (all.get(cause) ?? 0) + n);
    }
    const named = [...all]
        .sort(([, a], [, b]) => b - a)
        .map(([cause, n]) => say('track-record.log-cause', { cause: say(`cause.${cause}`), n }));
    return named.length === 0 ? '' : say('track-record.log-lost-to', { causes: listed(named) });
}
