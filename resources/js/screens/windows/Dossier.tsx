import { Term } from '../../way/Term';
import { NativeSelect, SegmentedControl } from '@mantine/core';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schema } from '../../api/client';
import { useCropComparison, useDossier, useRuns } from './queries';
import { useCrops } from '../../api/crops';
import { useCan } from '../../access/session';
import { useKeys } from '../../ui/keyboard';
import { Problem } from '../../ui/Problem';
import { chanceInWords, inShort, inWords, monthDay, spanInShort, spanInWords } from '../../time/days';
import { DerivationTable } from '../../charts/DerivationTable';
import { Hatches } from '../../charts/Hatches';
import { outcomesOn } from '../../charts/OutcomeRibbon';
import { runInWords, runsOn } from '../../charts/RunLines';
import { useDateCursor } from '../../time/cursor';
import { inCelsius } from '../../words/units';
import { listed, say } from '../../words/words';
import { DossierChart, ownRoute } from './DossierChart';
import { DossierTables } from './DossierTables';
import { LastYears } from './LastYears';
import { Learned } from './Learned';
import { OwnDates } from './OwnDates';
import { Succession } from './Succession';
import { Movers } from './Movers';
import { Spares } from './Spares';
import { WaterNeeded } from './WaterNeeded';
import { VarietyAxis } from './VarietyAxis';
import { isStandard, STANDARDS } from '../../words/standards';

type DossierData = Schema['Dossier'];
type ReplayedRoute = DossierData['replay'][number];
type DayRun = ReturnType<typeof runsOn>[number];
type Route = 'direct' | 'transplant';

/** One crop in one zone: how every planting date turned out in every year, both methods, and the educator's own dates. */
export function Dossier() {
    const { zone = '', crop = '' } = useParams();
    const [params, setParams] = useSearchParams();
    const asked = params.get('standard');
    const standard = isStandard(asked) ? asked : undefined;
    const { data, error } = useDossier(zone, crop, { standard });
    const mayEdit = useCan('edit-zones');
    const { data: crops } = useCrops();
    const navigate = useNavigate();
    /** The next crop of the book, or the previous one; the date stays. */
    const step = (to: number) => {
        const at = crops?.findIndex((c) => c.slug === crop) ?? -1;
        const next = at === -1 ? undefined : crops?.[at + to];
        const on = params.get('on');
        if (next) navigate(`/desk/zones/${zone}/planting-windows/${next.slug}${on ? `?on=${on}` : ''}`);
    };
    useKeys({
        j: () => step(1),
        k: () => step(-1),
        Escape: () => navigate(`/desk/zones/${zone}/planting-windows?crop=${crop}`),
    });
    if (error) {
        return (
            <main className="page">
                <Problem error={error} />
                <Link to={`/desk/zones/${zone}/planting-windows`}>{say('dossier.back-to-the-windows')}</Link>
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
                        aria-label={say('dossier.way-of-growing')}
                        value={route.route}
                        onChange={(value) => set('route', value)}
                        data={data.replay.map((r) => ({ value: r.route, label: say(`act.${r.act}`) }))}
                    />
                )}
                {data.varieties.length > 0 && (
                    <NativeSelect
                        size="xs"
                        label={say('dossier.runs-of')}
                        value={params.get('variety') ?? ''}
                        onChange={(event) => set('variety', event.currentTarget.value || null)}
                        data={[
                            { value: '', label: say('dossier.the-crop') },
                            ...data.varieties.map((v) => ({ value: String(v.id), label: v.name })),
                        ]}
                    />
                )}
                {data.standards.length > 1 && (
                    <>
                        <span className="hint">
                            <Term of="confidence" />
                        </span>
                        <SegmentedControl
                            size="xs"
                            aria-label={say('common.standard-of-proof')}
                            value={data.method.standard ?? 'reliable'}
                            onChange={(value) => set('standard', value)}
                            data={STANDARDS.filter((s) => data.standards.some((known) => known === s.value))}
                        />
                    </>
                )}
                <Link to={`/desk/zones/${zone}/planting-windows?crop=${crop}`}>{say('dossier.all-crops')}</Link>
            </div>
            <p className="hint source">
                {say('dossier.the-calendar-follows', {
                    school: say(`school.${data.crop.school}.sentence`),
                    choice:
                        data.choice &&
                        `${data.choice.by}, ${inWords(data.choice.at.slice(5, 10))} ${data.choice.at.slice(0, 4)}: ${data.choice.reason}`,
                })}{' '}
                <Link to={`/desk/settings/changes?zone=${zone}&crop=${crop}`}>{say('changes.why')}</Link>
            </p>
            {data.crop.cautions.map((caution) => (
                <p key={caution.code} className="caution">
                    {say(caution.phrase)}
                </p>
            ))}
            {data.ruler.short_record && (
                <p className="warning">{say('first-guess', { seasons: data.ruler.seasons })}</p>
            )}
            {data.disagreements.map((sentence) => (
                <p key={say(sentence)} className="warning">
                    {say(sentence)}
                </p>
            ))}
            <Body
                key={`${crop} ${route.route}`}
                zone={zone}
                crop={crop}
                data={data}
                route={route}
                variety={Number(params.get('variety')) || undefined}
                mayEdit={mayEdit}
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
    route: ReplayedRoute;
    variety: number | undefined;
    mayEdit: boolean;
}) {
    const { day, set } = useDateCursor(bestDay(route));
    const { data: runs } = useRuns(zone, crop, route.route as Route, undefined, variety);
    const { data: compared } = useCropComparison(zone, crop, data.method.standard);
    const today = runs ? runsOn(runs, day) : [];
    const opens = route.windows[0]?.first;
    return (
        <div className="climate">
            <div>
                <DossierChart data={data} route={route} day={day} onDay={set} runs={today} />
                <DossierTables name={`${zone}-${crop}`} route={route} day={day} runs={today} />
                <div className="columns">
                    <div>
                        <h3>{say('school.replay.by')}</h3>
                        <DerivationTable lines={route.derivation} />
                    </div>
                    {data.schools.map((beside) => {
                        const own = beside.routes.find((r) => r.route === route.route);
                        return (
                            <div key={beside.school}>
                                <h3>{say(`school.${beside.school}.by`)}</h3>
                                {own ? (
                                    <DerivationTable lines={own.derivation} />
                                ) : (
                                    <p className="hint">{say(`school.${beside.school}.nothing`)}</p>
                                )}
                            </div>
                        );
                    })}
                </div>
                {opens && (
                    <Succession
                        zone={zone}
                        crop={crop}
                        route={route.route as Route}
                        standard={data.method.standard}
                        from={opens}
                    />
                )}
            </div>
            <div>
                <DayOutcomes ribbon={route.ribbon} day={day} last={today.at(-1)} />
                <SideBySide data={data} route={route} />
                <LastYears zone={zone} crop={crop} route={route.route} standard={data.method.standard} />
                <Learned zone={zone} crop={crop} />
                <HeldForSoil route={route} />
                <Evidence route={route} />
                <WithoutWindow route={route} />
                <Spares zone={zone} crop={crop} route={route.route} day={day} />
                <Movers zone={zone} crop={crop} route={route.route as Route} />
                <WaterNeeded zone={zone} crop={crop} route={route.route as Route} day={day} />
                <VarietyAxis
                    varieties={data.crop.varieties ?? []}
                    route={route.route}
                    longest={route.no_window?.longest_days ?? null}
                />
                {mayEdit && <OwnDates zone={zone} crop={crop} data={data} />}
                {compared && (
                    <>
                        <Compared title={say('dossier.other-sites')} rows={compared.sites} route={route.route} />
                        {compared.varieties.length > 0 && (
                            <Compared title={say('common.varieties')} rows={compared.varieties} route={route.route} />
                        )}
                    </>
                )}
            </div>
        </div>
    );
}

/** How the calendar's windows differ from the replay's: days that wait for the soil, and short gaps that are joined. */
function HeldForSoil({ route }: { route: ReplayedRoute }) {
    const { raw, held = [], soil_minimum: soil } = route;
    if (!raw || JSON.stringify(raw) === JSON.stringify(route.windows)) return null;
    return (
        <p>
            {held.length > 0 &&
                typeof soil === 'number' &&
                say('dossier.held', { spans: listed(held.map(spanInWords)), soil: inCelsius(soil) })}{' '}
            {raw.length === 0 ? say('dossier.raw-none') : say('dossier.raw', { spans: listed(raw.map(spanInWords)) })}
        </p>
    );
}

/** A day with something to see: the best of the first window; for a crop without one, the day with the best chance. */
function bestDay(route: ReplayedRoute): string | undefined {
    return route.evidence?.[0]?.best ?? route.chances?.[0]?.first ?? route.no_window?.nearest;
}

/** Outcomes on the day under the cursor. */
function DayOutcomes({ ribbon, day, last }: { ribbon: Schema['Ribbon']; day: number; last: DayRun | undefined }) {
    return (
        <>
            <h3>{say('common.on', { day: inWords(monthDay(day)) })}</h3>
            <table className="ruled">
                <tbody>
                    {outcomesOn(ribbon, day).map((c) => (
                        <tr key={c.outcome}>
                            <td>{say(`outcome.${c.outcome}.short`)}</td>
                            <td className="number nowrap">{say('dossier.of-years', { years: c.years, of: c.of })}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            <p className="hint">{last && `${runInWords(last, day)}.`}</p>
        </>
    );
}

/** Every method's windows, and how the replay differs from each. */
function SideBySide({ data, route }: { data: DossierData; route: ReplayedRoute }) {
    const own = ownRoute(data, route.route);
    const rows = [
        { school: 'replay', windows: route.windows },
        ...data.schools.map(({ school, routes }) => ({
            school,
            windows: routes.find((r) => r.route === route.route)?.windows ?? [],
        })),
        ...(own ? [{ school: 'own', windows: own.windows }] : []),
    ];
    return (
        <>
            <h3>{say('dossier.schools-side-by-side')}</h3>
            <table className="ruled">
                <tbody>
                    {rows.map(({ school, windows }) => (
                        <tr key={school}>
                            <th scope="row">{say(`school.${school}.name`)}</th>
                            <td>{windows.map(spanInShort).join(', ') || say('school.no-window')}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {data.schools.map(({ school, differences }) => {
                const difference = differences.find((d) => d.route === route.route);
                return (
                    difference && (
                        <p key={school}>
                            {say('dossier.the-replay-opens-and-closes', {
                                opens: days(difference.opens),
                                closes: days(difference.closes),
                                school: say(`school.${school}.sentence`),
                            })}
                        </p>
                    )
                );
            })}
        </>
    );
}

/** A window's best day, first harvests, and days to spare. */
function Evidence({ route }: { route: ReplayedRoute }) {
    return route.evidence?.map((evidence, i) => (
        <p key={i}>
            {say('dossier.best-harvest-in-of-years', {
                windows: route.windows[i] && spanInWords(route.windows[i]),
                span: evidence.span ? spanInWords(evidence.span) : '',
                best: inShort(evidence.best),
                harvests: evidence.harvests,
                years: evidence.years,
                from_first:
                    evidence.from_first &&
                    ' ' + say('dossier.first-harvest-of-the-first', { from_first: spread(evidence.from_first) }),
                from_last: evidence.from_last && say('dossier.of-the-last', { from_last: spread(evidence.from_last) }),
                slack: evidence.slack > 0 && ' ' + say('dossier.days-of-slack-after-it', { slack: evidence.slack }),
            })}
        </p>
    ));
}

/** Its fair chances; why it has no window, and what would open one. */
function WithoutWindow({ route }: { route: ReplayedRoute }) {
    const chances = (route.chances ?? []).map(chanceInWords);
    const why = (route.no_window?.phrases ?? []).map((phrase) => say(phrase));
    if (chances.length + why.length === 0) return null;
    return <p>{[...chances.map((chance) => say('dossier.chance', { chance })), ...why].join(' ')}</p>;
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
                                    {row.windows.map(spanInShort).join(', ') || say('common.no-window')}
                                    {row.phrase && <small className="hint"> {say(row.phrase)}</small>}
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
    return say('dossier.to', {
        dates: inShort(dates[1] ?? ''),
        dates2: inShort(dates[0] ?? ''),
        dates3: inShort(dates[2] ?? ''),
    });
}

function days(by: number): string {
    return say(`dossier.opens-${by === 0 ? 'same' : by < 0 ? 'earlier' : 'later'}`, { days: Math.abs(by) });
}
