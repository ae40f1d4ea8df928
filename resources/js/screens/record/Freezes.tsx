import { Term } from '../../way/Term';
import { say } from '../../words/words';
import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { DataTable } from '../../charts/DataTable';
import { beforeSummer, inShort, inWords, monthDay, monthInWords, type MonthDay } from '../../time/days';
import { freezeSentence } from '../../time/freezes';
import { inCelsius } from '../../words/units';
import { FreezePlot, freezePlotHeight } from '../../charts/FreezePlot';
import { Hatches } from '../../charts/Hatches';
import { RISK_CURVE_HEIGHT, RiskCurve, RiskKey, type RiskCurveData } from '../../charts/RiskCurve';
import { LABELS, RIGHT, RuledChart } from '../../charts/RuledChart';
import { useCompared } from './Compare';
import { useDateCursor } from '../../time/cursor';
import { Problem } from '../../ui/Problem';

type ClimateData = { ruler: Schema['Ruler']; climate: Schema['Climate'] };

/** Freezes year by year, the chance of another one, whether they shift, and how complete the record is. */
export function Freezes({ zone, data }: { zone: string; data: ClimateData }) {
    const [threshold, setThreshold] = useState('light-freeze');
    const { day, set } = useDateCursor();
    const compared = useCompared(zone);
    const { ruler, climate } = data;
    const chosen = climate.thresholds.find((t) => t.threshold === threshold);
    const freezes = ruler.freezes.find((f) => f.threshold === threshold);
    if (!chosen || !freezes) return null;
    const others = compared.data?.ruler.freezes.find((f) => f.threshold === threshold);
    const risks = dates(freezes);
    return (
        <div className="climate">
            <Hatches />
            <div>
                <RuledChart
                    ruler={ruler}
                    day={day}
                    onDay={set}
                    below={RISK_CURVE_HEIGHT + freezePlotHeight(chosen.seasons)}
                    label={say('freezes.years-from-to-freezing-until', {
                        season: chosen.seasons[0]?.season,
                        season2: chosen.seasons.at(-1)?.season,
                    })}
                >
                    {(scale) => (
                        <>
                            <RiskCurve
                                scale={scale}
                                risk={riskOf(data)}
                                other={compared.data && riskOf(compared.data, threshold)}
                            />
                            <g transform={`translate(0 ${RISK_CURVE_HEIGHT})`}>
                                <FreezePlot
                                    scale={scale}
                                    seasons={chosen.seasons}
                                    risks={risks}
                                    others={others && [others.last[0]?.date ?? null, others.first[0]?.date ?? null]}
                                />
                            </g>
                        </>
                    )}
                </RuledChart>
                <RiskKey thresholds={climate.thresholds} />
                <p className="hint">
                    {say('freezes.curves-in-how-many-years', {
                        name: compared.name && ' ' + say('common.in-plum', { name: compared.name }),
                    })}
                </p>
                <Numbers {...{ zone, ruler, climate }} />
                <OnRecord zone={zone} climate={climate} />
            </div>
            <div>
                <SegmentedControl
                    size="xs"
                    fullWidth
                    aria-label={say('freezes.threshold')}
                    value={threshold}
                    onChange={setThreshold}
                    data={climate.thresholds.map((t) => ({
                        value: t.threshold,
                        label: `${say(inCelsius(t.celsius))}`,
                    }))}
                />
                <h3>{say('common.on', { day: inWords(monthDay(day)) })}</h3>
                <p>{freezeInWords(ruler.starts, ruler.seasons, chosen, day)}</p>
                <table className="ruled">
                    <thead>
                        <tr>
                            <th scope="col">
                                {beforeSummer(ruler.starts, day)
                                    ? say('freezes.still-to-come')
                                    : say('freezes.had-come')}
                            </th>
                            <th scope="col" className="number">
                                {say('freezes.of', { seasons: ruler.seasons })}
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {climate.thresholds.map((t) => (
                            <tr key={t.threshold}>
                                <td>
                                    {say('record.threshold', {
                                        celsius: inCelsius(t.celsius),
                                        name: t.phrase,
                                    })}
                                </td>
                                <td className="number">
                                    {(beforeSummer(ruler.starts, day) ? t.to_come : t.has_come)[day - 1]}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
                <h3>{say('freezes.dates-and-how-sure-they')}</h3>
                <RiskDates freezes={freezes} others={others} name={compared.name} />
                <Problem error={compared.error} />
                {ruler.short_record && (
                    <p className="warning">
                        {say('freezes.only-cold-seasons-are-complete', { seasons: ruler.seasons })}
                    </p>
                )}
                <h3>{say('freezes.is-it-shifting')}</h3>
                <p>{chosen.trend ? say(chosen.trend.phrase) : say('freezes.there-are-too-few-freezes')}</p>
                {climate.hardiness && (
                    <p>
                        {say('freezes.the-coldest-night-of-a', {
                            words: say(inCelsius(Math.round(climate.hardiness.mean_extreme_minimum))),
                            half_zone: climate.hardiness.half_zone,
                        })}
                    </p>
                )}
            </div>
        </div>
    );
}

function Numbers({ zone, ruler, climate }: ClimateData & { zone: string }) {
    return (
        <>
            <DataTable
                name={say('freezes.freezes-year-by-year')}
                file={`${zone}-freezes`}
                columns={[
                    { name: say('freezes.threshold-of'), measure: 'celsius' },
                    'season',
                    say('freezes.last-freeze'),
                    say('freezes.first-freeze'),
                ]}
                rows={() =>
                    climate.thresholds.flatMap((t) =>
                        t.seasons.map((season) => [t.celsius, season.season, season.last_date, season.first_date]),
                    )
                }
            />
            <DataTable
                name={say('freezes.freezes-to-come-and-freezes')}
                file={`${zone}-freeze-risk`}
                columns={[
                    'day',
                    'seasons',
                    ...climate.thresholds.flatMap((t) => [
                        say('freezes.to-come-at', { limit: inCelsius(t.celsius) }),
                        say('freezes.has-come-at', { limit: inCelsius(t.celsius) }),
                    ]),
                ]}
                rows={() =>
                    Array.from({ length: 365 }, (_, i) => [
                        monthDay(i + 1),
                        ruler.seasons,
                        ...climate.thresholds.flatMap((t) => [t.to_come[i] ?? 0, t.has_come[i] ?? 0]),
                    ])
                }
            />
        </>
    );
}

/** How complete the record is. */
function OnRecord({ zone, climate }: { zone: string; climate: ClimateData['climate'] }) {
    return (
        <>
            <h3>{say('freezes.days-on-record-by-month')}</h3>
            <Completeness years={climate.completeness} />
            <DataTable
                name={say('freezes.days-on-record')}
                file={`${zone}-completeness`}
                columns={['year', ...Array.from({ length: 12 }, (_, i) => monthInWords(i + 1))]}
                rows={() => climate.completeness.map((year) => [year.year, ...year.months])}
            />
        </>
    );
}

function riskOf({ ruler, climate }: ClimateData, only?: string): RiskCurveData {
    return {
        starts: ruler.starts,
        seasons: ruler.seasons,
        thresholds: climate.thresholds.filter((t) => only === undefined || t.threshold === only),
    };
}

function dates(freezes: Schema['Ruler']['freezes'][number]) {
    return [...freezes.last, ...freezes.first].map((risk) => ({
        label: say(`${risk.phrase.key}.short`, risk.phrase.with),
        date: risk.date,
    }));
}

/** Risk dates with their intervals; those of another zone or period beside them. */
function RiskDates({
    freezes,
    others,
    name,
}: {
    freezes: Schema['Ruler']['freezes'][number];
    others: Schema['Ruler']['freezes'][number] | undefined;
    name: string | null;
}) {
    const ends = [
        { title: say('common.last-freeze-later-in'), here: freezes.last, there: others?.last },
        { title: say('common.first-freeze-earlier-in'), here: freezes.first, there: others?.first },
    ];
    return (
        <table className="ruled">
            {ends.map((end) => (
                <tbody key={end.title}>
                    <tr>
                        <th scope="col">
                            <Term of="one-year-in">{end.title}</Term>
                        </th>
                        <th scope="col">{say('freezes.date')}</th>
                        <th scope="col">{name ?? say('freezes.90-sure')}</th>
                    </tr>
                    {end.here.map((risk, i) => (
                        <tr key={risk.risk}>
                            <td>{say(risk.phrase)}</td>
                            <td className="nowrap">{shown(risk.date)}</td>
                            <td className="nowrap">
                                {name === null
                                    ? risk.date === null
                                        ? ''
                                        : between(risk.earliest, risk.latest)
                                    : shown(end.there?.[i]?.date ?? null)}
                            </td>
                        </tr>
                    ))}
                </tbody>
            ))}
        </table>
    );
}

function shown(date: MonthDay | null): string {
    return date === null ? 'none' : inShort(date);
}

function between(earliest: MonthDay | null, latest: MonthDay | null): string {
    if (earliest === null && latest === null) return say('freezes.too-few-years');
    return say('freezes.to', {
        value: earliest === null ? 'open' : inShort(earliest),
        value2: latest === null ? 'open' : inShort(latest),
    });
}

function freezeInWords(
    starts: MonthDay,
    seasons: number,
    threshold: { celsius: number; to_come: number[]; has_come: number[] },
    day: number,
): string {
    if (!threshold.to_come.some(Boolean))
        return say('freeze-sentence.none.of', { limit: inCelsius(threshold.celsius) });
    const freezes = { seasons, to_come: threshold.to_come[day - 1] ?? 0, has_come: threshold.has_come[day - 1] ?? 0 };
    return freezeSentence(starts, monthDay(day), freezes, threshold.celsius);
}

const MONTH_LETTERS = 'JFMAMJJASOND';
const CELL = 9;

/** One column per year, one cell per month: as dark as it is complete. */
function Completeness({ years }: { years: { year: number; months: number[] }[] }) {
    const step = Math.min(22, 640 / Math.max(1, years.length));
    return (
        <svg
            className="chart"
            viewBox={`0 0 ${LABELS + years.length * step + RIGHT} ${12 * CELL + 16}`}
            style={{ width: LABELS + years.length * step + RIGHT, maxWidth: '100%' }}
            role="img"
            aria-label={say('freezes.days-with-minimum-and-maximum')}
        >
            {[...MONTH_LETTERS].map((letter, month) => (
                <text key={month} className="quiet" x={LABELS - 10} y={month * CELL + 8} textAnchor="end" fontSize="9">
                    {letter}
                </text>
            ))}
            {years.map(({ year, months }, i) => (
                <g key={year} transform={`translate(${LABELS + i * step} 0)`}>
                    {months.map((days, month) => (
                        <rect
                            key={month}
                            x={0}
                            y={month * CELL + 1}
                            width={step - 1.5}
                            height={CELL - 1.5}
                            fill="var(--stone)"
                            fillOpacity={Math.min(1, days / 28) ** 3}
                            stroke="var(--rule)"
                            strokeWidth="0.5"
                        >
                            <title>{say('freezes.days', { month: monthInWords(month + 1), year, days })}</title>
                        </rect>
                    ))}
                    {year % 5 === 0 && (
                        <text className="quiet" x={0} y={12 * CELL + 12} fontSize="10">
                            {year}
                        </text>
                    )}
                </g>
            ))}
        </svg>
    );
}
