import type { Schema } from '../../api/client';
import { OUTCOMES } from '../../charts/Hatches';
import { BestSpans, Brackets, Chances } from '../../charts/Brackets';
import { ExpectedCurve, OutcomeRibbon } from '../../charts/OutcomeRibbon';
import { RuledChart } from '../../charts/RuledChart';
import { RUN_HEIGHT, RunLines, type runsOn } from '../../charts/RunLines';
import { say } from '../../words/words';

type Dossier = Schema['Dossier'];

/** Heights of the chart's parts, px. */
const LANE = 12;
const TOP = 4;
const RIBBON_HEIGHT = 96;

/** The educator's own dates for a way of growing, if there are any. */
export function ownRoute(data: Dossier, route: string) {
    return data.crop.school === 'own' ? data.crop.routes.find((r) => r.route === route) : undefined;
}

/** Under the year ruler: the other methods' windows, the ribbon with the current window, and the day's seasons. */
export function DossierChart({
    data,
    route,
    day,
    onDay,
    runs,
}: {
    data: Dossier;
    route: Dossier['replay'][number];
    day: number;
    onDay: (day: number) => void;
    runs: ReturnType<typeof runsOn>;
}) {
    const own = ownRoute(data, route.route);
    const lanes = lanesOf(data, route);
    const windowAt = TOP + LANE * lanes.length;
    const ribbonAt = windowAt + 10;
    const runsAt = ribbonAt + RIBBON_HEIGHT + 16;
    return (
        <>
            <RuledChart
                ruler={data.ruler}
                day={day}
                onDay={onDay}
                below={runsAt + Math.max(30, runs.length * RUN_HEIGHT) + 6}
                label={say('dossier.chart', { act: say(`act.${route.act}`), years: route.ribbon.years })}
            >
                {(scale) => (
                    <>
                        {lanes.map(({ name, spans }, i) => (
                            <g key={name}>
                                <text className="quiet" x={-10} y={TOP + LANE * i + 6} textAnchor="end">
                                    {name}
                                </text>
                                <Brackets
                                    scale={scale}
                                    spans={spans}
                                    at={TOP + LANE * i}
                                    drop={5}
                                    name="other"
                                    act={`${name}: ${say(`act.${route.act}`)}`}
                                />
                            </g>
                        ))}
                        <text className="quiet" x={-10} y={windowAt + 8} textAnchor="end">
                            {own ? say('school.own.lane') : say(`act.${route.act}`)}
                        </text>
                        <OutcomeRibbon
                            scale={scale}
                            ribbon={route.ribbon}
                            starts={data.ruler.starts}
                            top={ribbonAt}
                            height={RIBBON_HEIGHT}
                            step={1}
                        />
                        {[0.5, 1].map((share) => (
                            <text
                                key={share}
                                className="quiet"
                                x={-10}
                                y={ribbonAt + RIBBON_HEIGHT * (1 - share) + 14}
                                textAnchor="end"
                                fontSize="10"
                            >
                                {share === 1
                                    ? say('dossier-chart.years', { years: route.ribbon.years })
                                    : say('dossier-chart.half')}
                            </text>
                        ))}
                        <Brackets
                            scale={scale}
                            spans={own ? own.windows : route.windows}
                            at={windowAt}
                            drop={9}
                            name={own ? 'own' : 'bracket'}
                            act={say(`act.${route.act}`)}
                        />
                        {!own && (
                            <Chances
                                scale={scale}
                                spans={route.chances ?? []}
                                at={windowAt}
                                act={say(`act.${route.act}`)}
                            />
                        )}
                        {!own && (
                            <BestSpans
                                scale={scale}
                                spans={(route.evidence ?? []).flatMap((evidence) => evidence.span ?? [])}
                                at={windowAt + 1}
                            />
                        )}
                        <ExpectedCurve
                            scale={scale}
                            expected={route.ribbon.expected}
                            top={ribbonAt}
                            height={RIBBON_HEIGHT}
                        />
                        <g transform={`translate(0 ${runsAt})`}>
                            <RunLines scale={scale} runs={runs} day={day} />
                        </g>
                    </>
                )}
            </RuledChart>
            <p className="hint">
                {say('dossier-chart.above-every-day-to-stacked', {
                    act: say(`act.${route.act}`),
                    outcomes: legend(route.ribbon.outcomes),
                })}
            </p>
        </>
    );
}

function legend(outcomes: Record<string, unknown>): string {
    return OUTCOMES.filter((outcome) => outcome in outcomes)
        .map((outcome) => say(`outcome.${outcome}.short`))
        .join(', ');
}

/** What is drawn above the windows: those of other methods and, if the calendar's are not the replay's own, the replay's. */
function lanesOf(data: Dossier, route: Dossier['replay'][number]) {
    const raw = route.raw && JSON.stringify(route.raw) !== JSON.stringify(route.windows) ? route.raw : null;
    return [
        ...data.schools.map(({ school, routes }) => ({
            name: say(`school.${school}.lane`),
            spans: routes.find((r) => r.route === route.route)?.windows ?? [],
        })),
        ...(raw ? [{ name: say('dossier-chart.raw'), spans: raw }] : []),
    ];
}
