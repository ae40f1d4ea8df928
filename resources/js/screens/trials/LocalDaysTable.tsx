import { Term } from '../../way/Term';
import { useCan } from '../../access/session';
import { useLocalDays } from '../../api/log';
import { dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { useTakeDays, useUndoDays, type LocalDays } from './queries';

/** Days to maturity from the log, beside the packet's, with how far each was from the first harvest; the educator adopts them or not. */
export function LocalDaysTable({ zone }: { zone: string }) {
    const { data, error } = useLocalDays(zone);
    const mayTake = useCan('edit-zones');
    const take = useTakeDays(zone);
    const undo = useUndoDays(zone);
    if (!data) return <Problem error={error} />;
    const past = data.history.filter((one) => one.undone_on);
    return (
        <section className="local-days">
            <h2>
                <Term of="days-to-maturity">{say('local-days.heading')}</Term>
            </h2>
            <p className="hint">{say('local-days.how')}</p>
            <Problem error={take.error ?? undo.error} />
            {data.crops.length === 0 ? (
                <p>{say('local-days.none-yet')}</p>
            ) : (
                <table className="ruled dense">
                    <thead>
                        <tr>
                            {['crop', 'way', 'sowings', 'packet', 'here', 'error', 'state'].map((column) => (
                                <th key={column} scope="col">
                                    {say(`local-days.column-${column}`)}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {data.crops.map((one) => (
                            <tr key={`${one.crop} ${one.variety} ${one.route}`}>
                                <th scope="row">{[one.name, one.variety].filter(Boolean).join(' ')}</th>
                                <td>{say(`trials.way-${one.route}`)}</td>
                                <td className="number">{one.sowings}</td>
                                <td className="number">{say('local-days.days', { days: one.packet_days })}</td>
                                <td className="number">{say('local-days.days', { days: one.days })}</td>
                                <td className="number nowrap">{errors(one)}</td>
                                <td>
                                    <State
                                        one={one}
                                        mayTake={mayTake}
                                        onTake={() => take.mutate(one)}
                                        onUndo={(held) => undo.mutate(held)}
                                    />
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {past.length > 0 && (
                <details className="behind">
                    <summary>{say('local-days.history')}</summary>
                    <ul>
                        {past.map((one) => (
                            <li key={one.id}>
                                {say('local-days.past', {
                                    crop: [one.name, one.variety].filter(Boolean).join(' '),
                                    days: one.days,
                                    packet: one.packet_days,
                                    sowings: one.sowings,
                                    by: one.by ?? say('log-screen.somebody'),
                                    on: dateInWords(one.on),
                                    undone: dateInWords(one.undone_on ?? one.on),
                                })}
                            </li>
                        ))}
                    </ul>
                </details>
            )}
        </section>
    );
}

function errors(one: LocalDays): string {
    return one.error_before === null
        ? ''
        : say('local-days.errors', { before: one.error_before, after: one.error_after ?? 'none' });
}

function State({
    one,
    mayTake,
    onTake,
    onUndo,
}: {
    one: LocalDays;
    mayTake: boolean;
    onTake: () => void;
    onUndo: (held: number) => void;
}) {
    const { held } = one;
    const offers = mayTake && (held === null || held.days !== one.days) && one.days !== one.packet_days;
    return (
        <>
            {held && (
                <>
                    {say('local-days.held', {
                        days: held.days,
                        by: held.by ?? say('log-screen.somebody'),
                        on: dateInWords(held.on),
                    })}{' '}
                    {mayTake && <Action onClick={() => onUndo(held.id)}>{say('local-days.undo')}</Action>}{' '}
                </>
            )}
            {offers && <Action onClick={onTake}>{say('local-days.take', { days: one.days })}</Action>}
        </>
    );
}
