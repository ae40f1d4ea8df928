import { Link } from 'react-router';
import { useLocalDays, useTrials } from '../../api/log';
import { dateInWords } from '../../time/days';
import { say } from '../../words/words';

/** What was learned about a crop here: closed trials, and days to maturity from the log. */
export function Learned({ zone, crop }: { zone: string; crop: string }) {
    const { data: trials } = useTrials(zone, crop);
    const { data: days } = useLocalDays(zone);
    const closed = trials?.filter((trial) => trial.closed) ?? [];
    const own = days?.crops.filter((one) => one.crop === crop) ?? [];
    if (closed.length === 0 && own.length === 0) return null;
    return (
        <section className="own-hand">
            <h3>{say('learned.heading')}</h3>
            {closed.map((trial) => (
                <p key={trial.id}>
                    {say('trials.closed', {
                        conclusion: trial.closed?.conclusion ?? '',
                        by: trial.closed?.by ?? '',
                        day: dateInWords(trial.closed?.on ?? ''),
                    })}
                </p>
            ))}
            {own.map((one) => (
                <p key={`${one.variety} ${one.route}`}>
                    {say(one.held ? 'learned.days-held' : 'learned.days', {
                        variety: one.variety ?? 'none',
                        way: say(`trials.way-${one.route}`),
                        days: one.held?.days ?? one.days,
                        packet: one.packet_days,
                        sowings: one.sowings,
                    })}
                </p>
            ))}
            <p>
                <Link to={`/desk/zones/${zone}/trials`}>{say('learned.all')}</Link>
            </p>
        </section>
    );
}
