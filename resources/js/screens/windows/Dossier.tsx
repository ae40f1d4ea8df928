import { NativeSelect, SegmentedControl } from '@mantine/core';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schema } from '../../api/client';
import { useCropComparison, useCrops, useDossier, useRuns, useSession } from '../../app/data';
import { useKeys } from '../../app/keyboard';
import { Problem } from '../../app/Problem';
import { Behind } from '../../charts/Behind';
import { inShort, inWords, monthDay, spanInShort, spanInWords } from '../../charts/days';
import { DerivationTable } from '../../charts/DerivationTable';
import { Hatches, OUTCOMES } from '../../charts/Hatches';
import { Brackets, OutcomeRibbon, outcomesOn } from '../../charts/OutcomeRibbon';
import { RUN_HEIGHT, runInWords, RunLines, runsOn } from '../../charts/RunLines';
import { RuledChart } from '../../charts/RuledChart';
import { useDateCursor } from '../../app/cursor';
import { OwnDates } from './OwnDates';
import { isStandard, STANDARDS } from './standards';

type DossierData = Schema['Dossier'];
type Route = 'direct' | 'transplant';

const SCHOOLS: Record<string, string> = { replay: 'the replay', 'count-back': 'counting back', own: 'own dates' };

/** Lines of a ribbon's part of the chart, px from its top. */
const COUNTED_AT = 4;
const WINDOW_AT = 16;
const RIBBON_AT = 26;
const RIBBON_HEIGHT = 96;
const RUNS_AT = RIBBON_AT + RIBBON_HEIGHT + 16;

/** One crop in one zone: what every sowing date came to in every year, both schools, and the educator's own word. */
export function Dossier() {
    const { zone = '', crop = '' } = useParams();
    const [params, setParams] = useSearchParams();
    const asked = params.get('standard');
    const standard = isStandard(asked) ? asked : undefined;
    const { data, error } = useDossier(zone, crop, { standard });
    const { data: session } = useSession();
    const { data: crops } = useCrops();
    const navigate = useNavigate();
    /** The next crop of the book, or the one before; the date stays. */
    const step = (to: number) => {
        const at = crops?.findIndex((c) => c.slug === crop) ?? -1;
        const next = at === -1 ? undefined : crops?.[at + to];
        const on = params.get('on');
        if (next) navigate(`/desk/zones/${zone}/windows/${next.slug}${on ? `?on=${on}` : ''}`);
    };
    useKeys({
        j: () => step(1),
        k: () => step(-1),
        Escape: () => navigate(`/desk/zones/${zone}/windows?crop=${crop}`),
    });
    if (error) {
        return (
            <main className="page">
                <Problem error={error} />
                <Link to={`/desk/zones/${zone}/windows`}>Back to the windows</Link>
            </main>
        );
    }
    if (!data) return null;
    const route = data.replay.find((r) => r.route === params.get('route')) ?? data.replay[0];
    if (!route) return null;
    const set = (key: string, value: string | null) => {
        const next = new URLSearchParams(params);
        if (value === null) next.delete(key);
        else next.set(key, value);
        setParams(next, { replace: true });
    };
    return (
        <main className="page">
            <Hatches />
            <div className="record-head">
                <h2 style={{ margin: '0 auto 0 0' }}>
                    {data.crop.name} <small className="hint">{data.crop.latin}</small>
                </h2>
                {data.replay.length > 1 && (
                    <SegmentedControl
                        size="xs"
                        aria-label="Way of growing"
                        value={route.route}
                        onChange={(value) => set('route', value)}
                        data={data.replay.map((r) => ({ value: r.route, label: r.act }))}
                    />
                )}
                {data.varieties.length > 0 && (
                    <NativeSelect
                        size="xs"
                        label="Runs of"
                        value={params.get('variety') ?? ''}
                        onChange={(event) => set('variety', event.currentTarget.value || null)}
                        data={[
                            { value: '', label: 'the crop' },
                            ...data.varieties.map((v) => ({ value: String(v.id), label: v.name })),
                        ]}
                    />
                )}
                {data.standards.length > 1 && (
                    <SegmentedControl
                        size="xs"
                        aria-label="Standard of proof"
                        value={data.method.standard ?? 'reliable'}
                        onChange={(value) => set('standard', value)}
                        data={STANDARDS.filter((s) => data.standards.some((known) => known === s.value))}
                    />
                )}
                <Link to={`/desk/zones/${zone}/windows?crop=${crop}`}>All crops</Link>
            </div>
            <p className="hint source">
                The calendar follows {SCHOOLS[data.crop.school]}.{' '}
                {data.choice &&
                    `${data.choice.by}, ${inWords(data.choice.at.slice(5, 10))} ${data.choice.at.slice(0, 4)}: ${data.choice.reason}`}
            </p>
            {data.crop.cautions.map((caution) => (
                <p key={caution.code} className="caution">
                    {caution.in_words}
                </p>
            ))}
            {data.ruler.short_record && (
                <p className="warning">
                    From {data.ruler.seasons} cold {data.ruler.seasons === 1 ? 'season' : 'seasons'}: a first guess.
                </p>
            )}
            {data.disagreements.map((sentence) => (
                <p key={sentence} className="warning">
                    {sentence}
                </p>
            ))}
            <Body
                key={`${crop} ${route.route}`}
                zone={zone}
                crop={crop}
                data={data}
                route={route}
                variety={Number(params.get('variety')) || undefined}
                mayEdit={session?.user?.may_publish ?? false}
            />
        </main>
    );
}

function Body({
    zone,
    crop,
    data,
    route,
    variety,
    mayEdit,
}: {
    zone: string;
    crop: string;
    data: DossierData;
    route: DossierData['replay'][number];
    variety: number | undefined;
    mayEdit: boolean;
}) {
    const { day, set } = useDateCursor();
    const { data: runs } = useRuns(zone, crop, route.route as Route, undefined, variety);
    const { data: compared } = useCropComparison(zone, crop, data.method.standard);
    const today = runs ? runsOn(runs, day) : [];
    const counted = data.count_back.find((r) => r.route === route.route);
    const own = data.crop.school === 'own' ? data.crop.routes.find((r) => r.route === route.route) : undefined;
    const difference = data.differences.find((d) => d.route === route.route);
    return (
        <div className="climate">
            <div>
                <RuledChart
                    ruler={data.ruler}
                    day={day}
                    onDay={set}
                    below={RUNS_AT + Math.max(30, today.length * RUN_HEIGHT) + 6}
                    label={`What every day to ${route.act} came to in ${route.ribbon.years} years; the tables give the numbers.`}
                >
                    {(scale) => (
                        <>
                            <text className="quiet" x={-10} y={COUNTED_AT + 6} textAnchor="end">
                                counting back
                            </text>
                            <Brackets
                                scale={scale}
                                spans={counted?.windows ?? []}
                                at={COUNTED_AT}
                                drop={5}
                                name="other"
                                act={`counting back: ${route.act}`}
                            />
                            <text className="quiet" x={-10} y={WINDOW_AT + 8} textAnchor="end">
                                {own ? 'own dates' : route.act}
                            </text>
                            <OutcomeRibbon
                                scale={scale}
                                ribbon={route.ribbon}
                                starts={data.ruler.starts}
                                top={RIBBON_AT}
                                height={RIBBON_HEIGHT}
                                step={1}
                            />
                            {[0.5, 1].map((share) => (
                                <text
                                    key={share}
                                    className="quiet"
                                    x={-10}
                                    y={RIBBON_AT + RIBBON_HEIGHT * (1 - share) + 14}
                                    textAnchor="end"
                                    fontSize="10"
                                >
                                    {share === 1 ? `${route.ribbon.years} years` : 'half'}
                                </text>
                            ))}
                            <Brackets
                                scale={scale}
                                spans={own ? own.windows : route.windows}
                                at={WINDOW_AT}
                                drop={9}
                                name={own ? 'own' : 'bracket'}
                                act={route.act}
                            />
                            <g transform={`translate(0 ${RUNS_AT})`}>
                                <RunLines scale={scale} runs={today} day={day} />
                            </g>
                        </>
                    )}
                </RuledChart>
                <p className="hint">
                    Above, every day to {route.act}, stacked by what became of it: {legend(route.ribbon.outcomes)}.
                    Below, the years of the day under the cursor: thin in the ground, thick growing, green in harvest, a
                    mark where it was lost.
                </p>
                <Behind
                    name={`What ${inWords(monthDay(day))} came to, year by year`}
                    file={`${zone}-${crop}-${route.route}-${monthDay(day)}`}
                    columns={['year', 'outcome', 'days to come up', 'days to first harvest', 'days to the end']}
                    rows={today.map((run) => [run.year, run.in_words, run.up, run.harvest, run.end])}
                />
                <Behind
                    name="Every sow day"
                    file={`${zone}-${crop}-${route.route}`}
                    columns={['day', 'reliability', ...Object.keys(route.ribbon.outcomes)]}
                    rows={route.ribbon.reliability.map((share, i) => [
                        monthDay(i + 1),
                        share,
                        ...Object.values(route.ribbon.outcomes).map((counts) => counts[i] ?? 0),
                    ])}
                />
                <div className="columns">
                    <div>
                        <h3>By the replay</h3>
                        <DerivationTable lines={route.derivation} />
                    </div>
                    <div>
                        <h3>By counting back</h3>
                        {counted ? (
                            <DerivationTable lines={counted.derivation} />
                        ) : (
                            <p className="hint">There is no convention to count back by.</p>
                        )}
                    </div>
                </div>
            </div>
            <div>
                <h3>On {inWords(monthDay(day))}</h3>
                <table className="ruled">
                    <tbody>
                        {outcomesOn(route.ribbon, day).map((c) => (
                            <tr key={c.outcome}>
                                <td>{OUTCOMES[c.outcome]}</td>
                                <td className="number nowrap">
                                    {c.years} of {c.of} years
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
                <p className="hint">{today.at(-1) && `${runInWords(today.at(-1) as (typeof today)[number], day)}.`}</p>
                <h3>Schools side by side</h3>
                <table className="ruled">
                    <tbody>
                        <tr>
                            <th scope="row">Replay</th>
                            <td>{route.windows.map(spanInShort).join(', ') || 'no window'}</td>
                        </tr>
                        <tr>
                            <th scope="row">Counting back</th>
                            <td>{counted?.windows.map(spanInShort).join(', ') || 'no window'}</td>
                        </tr>
                        {own && (
                            <tr>
                                <th scope="row">Own dates</th>
                                <td>{own.windows.map(spanInShort).join(', ') || 'none'}</td>
                            </tr>
                        )}
                    </tbody>
                </table>
                {difference && (
                    <p>
                        The replay opens {days(difference.opens)} and closes {days(difference.closes)} than counting
                        back.
                    </p>
                )}
                {route.evidence?.map((evidence, i) => (
                    <p key={i}>
                        {route.windows[i] && spanInWords(route.windows[i])}: best {inShort(evidence.best)}, harvest in{' '}
                        {evidence.harvests} of {evidence.years} years.
                        {evidence.from_first && ` First harvest of the first sowing ${spread(evidence.from_first)}`}
                        {evidence.from_last && `; of the last ${spread(evidence.from_last)}`}.
                        {evidence.slack > 0 && ` ${evidence.slack} days of slack after it.`}
                    </p>
                ))}
                {mayEdit && <OwnDates zone={zone} crop={crop} data={data} />}
                {compared && (
                    <>
                        <Compared title="Other sites" rows={compared.sites} route={route.route} />
                        {compared.varieties.length > 0 && (
                            <Compared title="Varieties" rows={compared.varieties} route={route.route} />
                        )}
                    </>
                )}
            </div>
        </div>
    );
}

function Compared({ title, rows, route }: { title: string; rows: Schema['Compared'][]; route: string }) {
    return (
        <>
            <h3>{title}</h3>
            <table className="ruled dense">
                <tbody>
                    {rows
                        .filter((row) => row.route === route)
                        .map((row) => (
                            <tr key={row.name}>
                                <td>{row.name}</td>
                                <td>
                                    {row.windows.map(spanInShort).join(', ') || 'no window'}
                                    {row.in_words && <small className="hint"> {row.in_words}</small>}
                                </td>
                            </tr>
                        ))}
                </tbody>
            </table>
        </>
    );
}

/** First harvest in half the years, and from one year in ten to nine in ten. */
function spread(dates: string[]): string {
    return `${inShort(dates[1] ?? '')} (${inShort(dates[0] ?? '')} to ${inShort(dates[2] ?? '')})`;
}

function days(by: number): string {
    if (by === 0) return 'on the same day';
    return `${Math.abs(by)} ${Math.abs(by) === 1 ? 'day' : 'days'} ${by < 0 ? 'earlier' : 'later'}`;
}

function legend(outcomes: Record<string, unknown>): string {
    return Object.keys(OUTCOMES)
        .filter((outcome) => outcome in outcomes)
        .map((outcome) => OUTCOMES[outcome])
        .join(', ');
}
