import { SegmentedControl } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { useState, type MouseEvent } from 'react';
import { useSearchParams } from 'react-router';
import { useClimate, useSession } from '../../app/data';
import { useKeys } from '../../app/keyboard';
import { beforeSummer, inShort, inWords, MONTHS, monthDay, sowDay, sowDayOfDate, wrap } from '../../charts/days';
import { FreezePlot, freezePlotHeight } from '../../charts/FreezePlot';
import { Hatches } from '../../charts/Hatches';
import { DateCursor, RULER_HEIGHT, YearRuler } from '../../charts/YearRuler';
import { yearScale } from '../../charts/yearScale';

const LABELS = 106;
const RIGHT = 6;

/** What the record tells of a place: the year, its freezes season by season, trend, heat, warmth, soil. */
export function Climate({ zone }: { zone: string }) {
    const { data } = useClimate(zone);
    const { data: session } = useSession();
    const { ref, width } = useElementSize();
    const [threshold, setThreshold] = useState('light-freeze');
    const [params, setParams] = useSearchParams();
    const on = params.get('on') ?? '';
    const day = /^\d\d-\d\d$/.test(on) ? sowDay(on) : sowDayOfDate(session?.today ?? '2001-01-01');
    const set = (to: number) => setParams({ on: monthDay(wrap(to)) }, { replace: true });
    useKeys({
        '[': () => set(day - 7),
        ']': () => set(day + 7),
        '{': () => set(day - 1),
        '}': () => set(day + 1),
        t: () => setParams({}, { replace: true }),
    });
    if (!data) return null;
    const { ruler, climate } = data;
    const scale = yearScale(ruler.starts, Math.max(300, (width || 800) - LABELS - RIGHT));
    const chosen = climate.thresholds.find((t) => t.threshold === threshold);
    const freezes = ruler.freezes.find((f) => f.threshold === threshold);
    if (!chosen || !freezes) return null;
    const height = RULER_HEIGHT + freezePlotHeight(chosen.seasons);
    const point = (event: MouseEvent<SVGSVGElement>) => {
        if (event.type === 'mousemove' && event.buttons !== 1) return;
        const x = event.clientX - event.currentTarget.getBoundingClientRect().left - LABELS;
        if (x >= 0 && x <= scale.width) set(scale.day(x));
    };
    const i = day - 1;
    const risks = [...freezes.last, ...freezes.first].map((risk) => ({
        label: risk.in_words.replace(' year', ''),
        date: risk.date,
    }));
    return (
        <section aria-label="Climate">
            <Hatches />
            <h2>Freezes, year by year</h2>
            <div className="climate">
                <div>
                    <SegmentedControl
                        size="xs"
                        aria-label="Threshold"
                        value={threshold}
                        onChange={setThreshold}
                        data={climate.thresholds.map((t) => ({
                            value: t.threshold,
                            label: `${String(t.celsius).replace('-', '−')} °C`,
                        }))}
                    />
                    <div ref={ref}>
                        <svg
                            className="chart"
                            width="100%"
                            height={height}
                            onClick={point}
                            onMouseMove={point}
                            role="img"
                            aria-label={`Years from ${chosen.seasons[0]?.season} to ${chosen.seasons.at(-1)?.season}: freezing until the last freeze and from the first on. The table beside it gives the risk dates.`}
                        >
                            <g transform={`translate(${LABELS} 0)`}>
                                <YearRuler scale={scale} ruler={ruler} labels={LABELS} />
                                <g transform={`translate(0 ${RULER_HEIGHT})`}>
                                    <FreezePlot scale={scale} seasons={chosen.seasons} risks={risks} />
                                </g>
                                <DateCursor scale={scale} day={day} height={height} label={monthDay(day)} />
                            </g>
                        </svg>
                    </div>
                    <p className="hint">
                        Hatched: freezing until the last freeze and again from the first. Lines: dates later than which
                        (spring) or earlier than which (autumn) a freeze comes in so many years.
                    </p>
                    <h3>Days on record, by month and year</h3>
                    <Completeness years={climate.completeness} />
                </div>
                <div>
                    <h3>On {inWords(monthDay(day))}</h3>
                    <p>{freezeInWords(ruler, day)}</p>
                    <p>
                        Usually {degrees(climate.normals.minimum[i])} at night and {degrees(climate.normals.maximum[i])}{' '}
                        by day; soil {degrees(ruler.soil[i])} at 5 cm.
                    </p>
                    <h3>Is it shifting?</h3>
                    <p>{chosen.trend?.in_words ?? 'There are too few freezes on record to tell.'}</p>
                    <h3>Cold and warmth</h3>
                    <p>
                        {climate.hardiness &&
                            `The coldest night of a winter is ${degrees(climate.hardiness.mean_extreme_minimum)} on average: hardiness ${climate.hardiness.half_zone}, which matters for perennials. `}
                        {climate.degree_days
                            .filter((sum) => sum.a_year !== null)
                            .map((sum) => `${sum.a_year} degree-days above ${sum.base} °C a year`)
                            .join(', ')}
                        .
                    </p>
                    <table className="ruled">
                        <thead>
                            <tr>
                                <th scope="col">Days of</th>
                                <th scope="col" className="number">
                                    a year
                                </th>
                                <th scope="col">first</th>
                                <th scope="col">last</th>
                            </tr>
                        </thead>
                        <tbody>
                            {climate.heat.map((heat) => (
                                <tr key={heat.celsius}>
                                    <td>{heat.celsius} °C</td>
                                    <td className="number">{heat.days_a_year ?? ''}</td>
                                    <td>{heat.first === null ? 'rare' : inShort(heat.first)}</td>
                                    <td>{heat.last === null ? '' : inShort(heat.last)}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                    <h3>When soil first holds a temperature</h3>
                    <table className="ruled">
                        <thead>
                            <tr>
                                <th scope="col">At 5 cm</th>
                                <th scope="col">1 year in 2</th>
                                <th scope="col">4 years in 5</th>
                            </tr>
                        </thead>
                        <tbody>
                            {climate.soil_dates
                                .filter((date) => [5, 7, 10, 12, 15, 18, 20].includes(date.celsius))
                                .map((date) => (
                                    <tr key={date.celsius}>
                                        <td>{date.celsius} °C</td>
                                        <td>
                                            {date.one_year_in_two === null
                                                ? 'not reached'
                                                : inShort(date.one_year_in_two)}
                                        </td>
                                        <td>
                                            {date.four_years_in_five === null
                                                ? 'not reached'
                                                : inShort(date.four_years_in_five)}
                                        </td>
                                    </tr>
                                ))}
                        </tbody>
                    </table>
                </div>
            </div>
        </section>
    );
}

/** Before summer: how often a freeze was still to come; after it: how often the first had come. */
function freezeInWords(
    ruler: { starts: string; seasons: number; freeze_to_come: number[]; freeze_has_come: number[] },
    day: number,
): string {
    return beforeSummer(ruler.starts, day)
        ? `A freeze (0 °C) still came on or after this day in ${ruler.freeze_to_come[day - 1]} of ${ruler.seasons} seasons.`
        : `The first freeze (0 °C) had come by this day in ${ruler.freeze_has_come[day - 1]} of ${ruler.seasons} seasons.`;
}

function degrees(celsius: number | undefined): string {
    return `${Math.round(celsius ?? 0)} °C`.replace('-', '−');
}

const MONTH_LETTERS = 'JFMAMJJASOND';
const CELL = 9;

/** A column a year, a cell a month: as dark as it is complete. */
function Completeness({ years }: { years: { year: number; months: number[] }[] }) {
    const step = Math.min(22, 640 / Math.max(1, years.length));
    return (
        <svg
            className="chart"
            viewBox={`0 0 ${LABELS + years.length * step + RIGHT} ${12 * CELL + 16}`}
            style={{ width: LABELS + years.length * step + RIGHT, maxWidth: '100%' }}
            role="img"
            aria-label="Days with minimum and maximum, by month and year"
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
                            <title>{`${MONTHS[month + 1]} ${year}: ${days} days`}</title>
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
