import { Link } from 'react-router';
import type { Schema } from '../../api/client';
import { useRain } from '../../api/zones';
import { DataTable } from '../../charts/DataTable';
import { RainChart, rainChartHeight, weekOf } from '../../charts/RainChart';
import { RuledChart } from '../../charts/RuledChart';
import { useDateCursor } from '../../time/cursor';
import { inShort, inWords, monthDay, monthInShort, monthInWords } from '../../time/days';
import { Problem } from '../../ui/Problem';
import { RuledTable } from '../../ui/RuledTable';
import { groundName } from '../../words/grounds';
import { ofRain } from '../../words/units';
import { say } from '../../words/words';
import { useRainCompared } from './Compare';

type Sheet = Schema['Rain'];

/** Rain, snow, what the air takes, and when ground can be worked. */
export function Rain({ zone, ruler }: { zone: string; ruler: Schema['Ruler'] }) {
    const { data: rain } = useRain(zone);
    const compared = useRainCompared(zone);
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
                            others={compared.data?.weeks}
                            grounds={grounds}
                            title={say('rain.how-often-workable')}
                        />
                    )}
                </RuledChart>
                <p className="hint">
                    {say('rain.key')} {compared.data && compared.name && say('rain.in-plum', { name: compared.name })}
                </p>
                <Problem error={compared.error} />
                {compared.data === null && <p>{say('rain.none-there', { name: compared.name ?? '' })}</p>}
                <h3>{say('rain.by-month')}</h3>
                <Months months={rain.months} others={compared.data?.months} name={compared.name} />
                <Numbers zone={zone} rain={rain} />
            </div>
            <div>
                <h3>{say('common.on', { day: inWords(monthDay(day)) })}</h3>
                {week && <p>{say('rain.of-week', { fallen: ofRain(week.rain), taken: ofRain(week.et0) })}</p>}
                <Workable grounds={rain.grounds} day={day} />
                <h3>{say('rain.first-workable')}</h3>
                <FirstWorkable grounds={rain.grounds} others={compared.data?.grounds} name={compared.name} />
                <h3>{say('rain.dry-spells')}</h3>
                <DrySpells spells={rain.dry_spells} />
                {rain.snow_days !== null && <p>{say('rain.snow-days', { days: Math.round(rain.snow_days) })}</p>}
            </div>
        </div>
    );
}

const amount = (mm: number | null) => (mm === null ? '–' : say(ofRain(mm)));

/** What the zone's own is compared with: the same part of another sheet, and its name. */
type Against<Part extends keyof Sheet> = { others: Sheet[Part] | undefined; name: string | null };

function Months({ months, others, name }: { months: Sheet['months'] } & Against<'months'>) {
    return (
        <RuledTable
            columns={[
                say('rain.month'),
                { number: say('rain.mean') },
                { number: say('rain.dry-year') },
                { number: say('rain.middle-year') },
                { number: say('rain.wet-year') },
                { number: say('rain.wet-days') },
                ...(others ? [{ number: say('rain.mean-of', { name: name ?? '' }) }] : []),
            ]}
            rows={months.map(({ month, mean, low, middle, high, wet_days: wet }) => [
                month,
                monthInWords(month),
                amount(mean),
                amount(low),
                amount(middle),
                amount(high),
                wet === null ? '–' : Math.round(wet),
                ...(others ? [amount(others[month - 1]?.mean ?? null)] : []),
            ])}
        />
    );
}

function Workable({ grounds, day }: { grounds: Sheet['grounds']; day: number }) {
    const share = (of: number | null | undefined) =>
        typeof of === 'number' ? say('rain.of-ten', { of_ten: Math.round(10 * of) }) : '–';
    return (
        <RuledTable
            columns={[say('common.ground'), { number: say('rain.workable-in') }]}
            rows={grounds.map((ground) => [ground.ground, groundName(ground.ground), share(ground.share[day - 1])])}
        />
    );
}

function FirstWorkable({ grounds, others, name }: { grounds: Sheet['grounds'] } & Against<'grounds'>) {
    const date = (of: string | null) =>
        of === null ? say('rain.never') : <span className="nowrap">{inShort(of)}</span>;
    return (
        <RuledTable
            columns={[
                say('common.ground'),
                say('rain.early'),
                say('rain.middle'),
                say('rain.late'),
                ...(others ? [say('rain.middle-of', { name: name ?? '' })] : []),
            ]}
            rows={grounds.map(({ ground, early, middle, late }) => [
                ground,
                groundName(ground),
                date(early),
                date(middle),
                date(late),
                ...(others ? [date(others.find((other) => other.ground === ground)?.middle ?? null)] : []),
            ])}
        />
    );
}

function DrySpells({ spells }: { spells: Sheet['dry_spells'] }) {
    const days = (of: number | null) => (of === null ? '–' : say('rain.days', { days: of }));
    return (
        <RuledTable
            columns={[say('rain.season'), say('common.1-year-in-2'), say('rain.1-year-in-5'), say('rain.1-year-in-10')]}
            rows={spells.map(({ months: [first = 1, , last = 1], one_in_2: two, one_in_5: five, one_in_10: ten }) => [
                first,
                `${monthInShort(first)}–${monthInShort(last)}`,
                days(two),
                days(five),
                days(ten),
            ])}
        />
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
                rows={() => rain.weeks.map((week) => [week.first, week.rain, week.et0])}
            />
            <DataTable
                name={say('rain.first-workable-by-year')}
                file={`${zone}-first-workable-day`}
                columns={[say('rain.year'), ...rain.grounds.map((ground) => groundName(ground.ground))]}
                rows={() =>
                    Object.keys(rain.grounds[0]?.years ?? {}).map((year) => [
                        Number(year),
                        ...rain.grounds.map((ground) => (ground.years as Record<string, string | null>)[year] ?? null),
                    ])
                }
            />
        </>
    );
}
