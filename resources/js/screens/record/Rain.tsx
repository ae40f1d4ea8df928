import { Link } from 'react-router';
import type { Schema } from '../../api/client';
import { useRain } from '../../api/zones';
import { DataTable } from '../../charts/DataTable';
import { RainChart, rainChartHeight, weekOf } from '../../charts/RainChart';
import { RuledChart } from '../../charts/RuledChart';
import { useDateCursor } from '../../time/cursor';
import { inShort, inWords, monthDay, monthInShort, monthInWords } from '../../time/days';
import { groundName } from '../../words/grounds';
import { ofRain } from '../../words/units';
import { say } from '../../words/words';

type Sheet = Schema['Rain'];

/** Rain, snow, what the air takes, and when ground can be worked. */
export function Rain({ zone, ruler }: { zone: string; ruler: Schema['Ruler'] }) {
    const { data: rain } = useRain(zone);
    const { day, set } = useDateCursor();
    if (rain === undefined) return <p>{say('record.the-zone-is-being-computed')}</p>;
    if (rain === null) {
        return (
            <div>
                <h3>{say('rain.none')}</h3>
                <p>{say('rain.none-what-to-do')}</p>
                <Link to={`/desk/zones/${zone}/climate/files`}>{say('record.stations-and-files')}</Link>
            </div>
        );
    }
    const grounds = rain.grounds.map((ground) => ({ name: groundName(ground.ground), share: ground.share }));
    const week = weekOf(rain.weeks, ruler.starts, day);
    return (
        <div className="climate">
            <div>
                <RuledChart
                    ruler={ruler}
                    day={day}
                    onDay={set}
                    below={rainChartHeight(grounds.length)}
                    label={say('rain.chart')}
                >
                    {(scale) => (
                        <RainChart
                            scale={scale}
                            starts={ruler.starts}
                            weeks={rain.weeks}
                            grounds={grounds}
                            title={say('rain.how-often-workable')}
                        />
                    )}
                </RuledChart>
                <p className="hint">{say('rain.key')}</p>
                <h3>{say('rain.by-month')}</h3>
                <Months months={rain.months} />
                <Numbers zone={zone} rain={rain} />
            </div>
            <div>
                <h3>{say('common.on', { day: inWords(monthDay(day)) })}</h3>
                {week && <p>{say('rain.of-week', { fallen: ofRain(week.rain), taken: ofRain(week.et0) })}</p>}
                <Workable grounds={rain.grounds} day={day} />
                <h3>{say('rain.first-workable')}</h3>
                <FirstWorkable grounds={rain.grounds} />
                <h3>{say('rain.dry-spells')}</h3>
                <DrySpells spells={rain.dry_spells} />
                {rain.snow_days !== null && <p>{say('rain.snow-days', { days: Math.round(rain.snow_days) })}</p>}
            </div>
        </div>
    );
}

const amount = (mm: number | null) => (mm === null ? '–' : say(ofRain(mm)));

function Months({ months }: { months: Sheet['months'] }) {
    return (
        <table className="ruled">
            <thead>
                <tr>
                    <th scope="col">{say('rain.month')}</th>
                    <th scope="col" className="number">
                        {say('rain.mean')}
                    </th>
                    <th scope="col" className="number">
                        {say('rain.dry-year')}
                    </th>
                    <th scope="col" className="number">
                        {say('rain.middle-year')}
                    </th>
                    <th scope="col" className="number">
                        {say('rain.wet-year')}
                    </th>
                    <th scope="col" className="number">
                        {say('rain.wet-days')}
                    </th>
                </tr>
            </thead>
            <tbody>
                {months.map((month) => (
                    <tr key={month.month}>
                        <th scope="row">{monthInWords(month.month)}</th>
                        <td className="number">{amount(month.mean)}</td>
                        <td className="number">{amount(month.low)}</td>
                        <td className="number">{amount(month.middle)}</td>
                        <td className="number">{amount(month.high)}</td>
                        <td className="number">{month.wet_days === null ? '–' : Math.round(month.wet_days)}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

function Workable({ grounds, day }: { grounds: Sheet['grounds']; day: number }) {
    return (
        <table className="ruled">
            <thead>
                <tr>
                    <th scope="col">{say('rain.ground')}</th>
                    <th scope="col" className="number">
                        {say('rain.workable-in')}
                    </th>
                </tr>
            </thead>
            <tbody>
                {grounds.map((ground) => {
                    const share = ground.share[day - 1] ?? null;
                    return (
                        <tr key={ground.ground}>
                            <th scope="row">{groundName(ground.ground)}</th>
                            <td className="number">
                                {share === null ? '–' : say('rain.of-ten', { of_ten: Math.round(10 * share) })}
                            </td>
                        </tr>
                    );
                })}
            </tbody>
        </table>
    );
}

function FirstWorkable({ grounds }: { grounds: Sheet['grounds'] }) {
    const date = (of: string | null) => (of === null ? say('rain.never') : inShort(of));
    return (
        <table className="ruled">
            <thead>
                <tr>
                    <th scope="col">{say('rain.ground')}</th>
                    <th scope="col">{say('rain.early')}</th>
                    <th scope="col">{say('rain.middle')}</th>
                    <th scope="col">{say('rain.late')}</th>
                </tr>
            </thead>
            <tbody>
                {grounds.map((ground) => (
                    <tr key={ground.ground}>
                        <th scope="row">{groundName(ground.ground)}</th>
                        <td>{date(ground.early)}</td>
                        <td>{date(ground.middle)}</td>
                        <td>{date(ground.late)}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

function DrySpells({ spells }: { spells: Sheet['dry_spells'] }) {
    const days = (of: number | null) => (of === null ? '–' : say('rain.days', { days: of }));
    return (
        <table className="ruled">
            <thead>
                <tr>
                    <th scope="col">{say('rain.season')}</th>
                    <th scope="col">{say('common.1-year-in-2')}</th>
                    <th scope="col">{say('rain.1-year-in-5')}</th>
                    <th scope="col">{say('rain.1-year-in-10')}</th>
                </tr>
            </thead>
            <tbody>
                {spells.map((spell) => (
                    <tr key={spell.months[0]}>
                        <th scope="row">
                            {monthInShort(spell.months[0] ?? 1)}–{monthInShort(spell.months[2] ?? 1)}
                        </th>
                        <td>{days(spell.one_in_2)}</td>
                        <td>{days(spell.one_in_5)}</td>
                        <td>{days(spell.one_in_10)}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

function Numbers({ zone, rain }: { zone: string; rain: Sheet }) {
    return (
        <>
            <DataTable
                name={say('rain.numbers-by-week')}
                file={`${zone}-rain-by-week`}
                columns={[
                    say('rain.week-from'),
                    { name: say('rain.rain'), measure: 'mm' },
                    { name: say('rain.air-takes'), measure: 'mm' },
                ]}
                rows={rain.weeks.map((week) => [week.first, week.rain, week.et0])}
            />
            <DataTable
                name={say('rain.first-workable-by-year')}
                file={`${zone}-first-workable-day`}
                columns={[say('rain.year'), ...rain.grounds.map((ground) => groundName(ground.ground))]}
                rows={Object.keys(rain.grounds[0]?.years ?? {}).map((year) => [
                    Number(year),
                    ...rain.grounds.map((ground) => (ground.years as Record<string, string | null>)[year] ?? null),
                ])}
            />
        </>
    );
}
