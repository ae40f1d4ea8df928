import { say } from '../../words/words';
import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { useSession } from '../../access/session';
import { useYearCourse } from './queries';
import { Behind } from '../../charts/Behind';
import { COURSE_HEIGHT, CourseChart, LIGHT_CHART_HEIGHT, LightChart, type CourseData } from '../../charts/CourseChart';
import { hoursInWords, inShort, inWords, monthDay, rulerYear, rulerYearInWords, type MonthDay } from '../../time/days';
import { RuledChart } from '../../charts/RuledChart';
import { useCompared } from './Compare';
import { useDateCursor } from '../../time/cursor';

type ClimateData = { ruler: Schema['Ruler']; climate: Schema['Climate'] };

/** Soil, air and light: the normal course with one year laid over it, and the dates read off them. */
export function Course({ zone, data }: { zone: string; data: ClimateData }) {
    const { data: session } = useSession();
    const { day, set } = useDateCursor();
    const compared = useCompared(zone);
    const { ruler, climate } = data;
    const latest = rulerYear(session?.today ?? '2001-01-01', ruler.starts);
    const years = climate.completeness.map((year) => year.year).filter((year) => year <= latest);
    const [year, setYear] = useState<number | null>(null);
    const [siteName, setSiteName] = useState('');
    const { data: course } = useYearCourse(zone, year ?? latest);
    const site = climate.sites.find((s) => s.site === siteName) ?? climate.sites[0];
    if (!site) return null;
    const otherSite = compared.data?.climate.sites.find((s) => s.site === site.site);
    const normal: CourseData = { starts: ruler.starts, ...climate.normals, soil: site.soil };
    const other: CourseData | undefined = compared.data && {
        starts: ruler.starts,
        ...compared.data.climate.normals,
        soil: otherSite?.soil ?? [],
    };
    const courseYear = rulerYearInWords(course?.year ?? latest, ruler.starts);
    const i = day - 1;
    return (
        <div className="climate">
            <div>
                <RuledChart
                    ruler={ruler}
                    day={day}
                    onDay={set}
                    below={COURSE_HEIGHT + LIGHT_CHART_HEIGHT}
                    label={`Normal minimum, maximum and soil temperature through the year, with ${courseYear} laid over; day length below. The table gives the numbers.`}
                >
                    {(scale) => (
                        <>
                            <CourseChart scale={scale} normal={normal} year={course} other={other} />
                            <g transform={`translate(0 ${COURSE_HEIGHT})`}>
                                <LightChart
                                    scale={scale}
                                    starts={ruler.starts}
                                    hours={ruler.day_length}
                                    twilight={climate.twilight}
                                    other={compared.data?.ruler.day_length}
                                />
                            </g>
                        </>
                    )}
                </RuledChart>
                <p className="hint">
                    Shaded: from the normal minimum to the normal maximum. Upright strokes: each day of {courseYear}{' '}
                    from its minimum to its maximum. Dark line: normal soil at 5 cm, {site.site}; clay line: the soil of
                    that year in open ground. Straw: hours from sunrise to sunset; dashed: with twilight.
                    {compared.name && ` In plum: ${compared.name}.`}
                </p>
                <Behind
                    name="Soil, air and light by day"
                    file={`${zone}-course`}
                    columns={[
                        'day',
                        'minimum °C',
                        'maximum °C',
                        `soil °C, ${site.site}`,
                        'day length h',
                        'with twilight h',
                        'radiation MJ/m²',
                        `minimum ${course?.year ?? ''}`,
                        `maximum ${course?.year ?? ''}`,
                        `soil ${course?.year ?? ''}`,
                    ]}
                    rows={ruler.day_length.map((hours, d) => [
                        monthDay(d + 1),
                        climate.normals.minimum[d] ?? null,
                        climate.normals.maximum[d] ?? null,
                        site.soil[d] ?? null,
                        hours,
                        climate.twilight[d] ?? null,
                        climate.radiation[d] ?? null,
                        course?.minimum[d] ?? null,
                        course?.maximum[d] ?? null,
                        course?.soil[d] ?? null,
                    ])}
                />
                <h3>When soil first holds a temperature for five days</h3>
                <SoilDates climate={climate} />
                <Behind
                    name="Soil dates of every site and temperature"
                    file={`${zone}-soil-dates`}
                    columns={['site', '°C', '1 year in 2', '4 years in 5']}
                    rows={climate.sites.flatMap((s) =>
                        s.soil_dates.map((date) => [
                            s.site,
                            date.celsius,
                            date.one_year_in_two,
                            date.four_years_in_five,
                        ]),
                    )}
                />
            </div>
            <div>
                <NativeSelect
                    size="xs"
                    label="Year laid over"
                    value={String(course?.year ?? latest)}
                    onChange={(event) => setYear(Number(event.currentTarget.value))}
                    data={[...years]
                        .reverse()
                        .map((y) => ({ value: String(y), label: rulerYearInWords(y, ruler.starts) }))}
                />
                <NativeSelect
                    mt={6}
                    size="xs"
                    label="Soil of"
                    value={site.site}
                    onChange={(event) => setSiteName(event.currentTarget.value)}
                    data={climate.sites.map((s) => s.site)}
                />
                <h3>On {inWords(monthDay(day))}</h3>
                <p>
                    Usually {degrees(climate.normals.minimum[i])} at night and {degrees(climate.normals.maximum[i])} by
                    day; soil {degrees(site.soil[i])}, {site.site}.
                </p>
                <p>
                    The sun is up for {hoursInWords(ruler.day_length[i] ?? 0)}; with twilight it is light for{' '}
                    {hoursInWords(climate.twilight[i] ?? 0)}. It sends {climate.radiation[i]} MJ/m² to the top of the
                    atmosphere that day.
                </p>
                {course && (
                    <p>
                        {course.minimum[i] == null && course.maximum[i] == null
                            ? `Nothing is on record for this day of ${courseYear}.`
                            : `In ${courseYear}: ${degrees(course.minimum[i])} and ${degrees(course.maximum[i])}; soil ${degrees(course.soil[i])} in open ground.`}
                    </p>
                )}
                <h3>Light</h3>
                <table className="ruled">
                    <thead>
                        <tr>
                            <th scope="col">Days of</th>
                            <th scope="col">from</th>
                            <th scope="col">shorter from</th>
                        </tr>
                    </thead>
                    <tbody>
                        {climate.day_lengths
                            .filter((light) => light.days > 0 && light.days < 365)
                            .map((light) => (
                                <tr key={light.hours}>
                                    <td>{light.hours} h</td>
                                    <td>{shown(light.reached)}</td>
                                    <td>{shown(light.lost)}</td>
                                </tr>
                            ))}
                    </tbody>
                </table>
                <h3>Warmth and heat</h3>
                <p>
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
            </div>
        </div>
    );
}

const SHOWN = [5, 7, 10, 12, 15, 18];

/** A row a site, a column a temperature: the date in half the years, and in four out of five. */
function SoilDates({ climate }: { climate: Schema['Climate'] }) {
    return (
        <div className="scroll" tabIndex={0}>
            <table className="ruled dense">
                <thead>
                    <tr>
                        <th scope="col">1 year in 2; 4 in 5</th>
                        {SHOWN.map((celsius) => (
                            <th key={celsius} scope="col">
                                {celsius} °C
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {climate.sites.map((site) => (
                        <tr key={site.site}>
                            <td>{site.site}</td>
                            {SHOWN.map((celsius) => {
                                const date = site.soil_dates.find((d) => d.celsius === celsius);
                                return (
                                    <td key={celsius} className="nowrap">
                                        {!date || date.one_year_in_two === null
                                            ? 'not reached'
                                            : `${inShort(date.one_year_in_two)}; ${date.four_years_in_five === null ? '–' : inShort(date.four_years_in_five)}`}
                                    </td>
                                );
                            })}
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}

function shown(date: MonthDay | null): string {
    return date === null ? '' : inShort(date);
}

function degrees(celsius: number | null | undefined): string {
    return celsius == null ? 'not known' : say({ key: 'celsius', with: { celsius: Math.round(celsius) } });
}
