import { degreeDays, say } from '../../words/words';
import { inCelsius } from '../../words/units';
import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { useSession } from '../../access/session';
import { useYearCourse } from './queries';
import { DataTable } from '../../charts/DataTable';
import { COURSE_HEIGHT, CourseChart, LIGHT_CHART_HEIGHT, LightChart, type CourseData } from '../../charts/CourseChart';
import { hoursInWords, inShort, inWords, monthDay, rulerYear, rulerYearInWords, type MonthDay } from '../../time/days';
import { RuledChart } from '../../charts/RuledChart';
import { useCompared } from './Compare';
import { useDateCursor } from '../../time/cursor';

type ClimateData = { ruler: Schema['Ruler']; climate: Schema['Climate'] };

/** Soil, air, and light: the normal course with one year drawn over it, and the dates that follow from them. */
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
    return (
        <div className="climate">
            <div>
                <RuledChart
                    ruler={ruler}
                    day={day}
                    onDay={set}
                    below={COURSE_HEIGHT + LIGHT_CHART_HEIGHT}
                    label={say('course.normal-minimum-maximum-and-soil', { course_year: courseYear })}
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
                    {say('course.shaded-from-the-normal-minimum', {
                        course_year: courseYear,
                        site: site.site,
                        name: compared.name && ' ' + say('common.in-plum', { name: compared.name }),
                    })}
                </p>
                <Numbers {...{ zone, ruler, climate, site, course }} />
                <h3>{say('course.when-soil-first-holds-a')}</h3>
                <SoilDates climate={climate} />
                <DataTable
                    name={say('course.soil-dates-of-every-site')}
                    file={`${zone}-soil-dates`}
                    columns={[
                        'site',
                        { name: say('course.temperature'), measure: 'celsius' },
                        say('common.1-year-in-2'),
                        say('course.4-years-in-5'),
                    ]}
                    rows={() =>
                        climate.sites.flatMap((s) =>
                            s.soil_dates.map((date) => [
                                s.site,
                                date.celsius,
                                date.one_year_in_two,
                                date.four_years_in_five,
                            ]),
                        )
                    }
                />
            </div>
            <div>
                <NativeSelect
                    size="xs"
                    label={say('course.year-laid-over')}
                    value={String(course?.year ?? latest)}
                    onChange={(event) => setYear(Number(event.currentTarget.value))}
                    data={[...years]
                        .reverse()
                        .map((y) => ({ value: String(y), label: rulerYearInWords(y, ruler.starts) }))}
                />
                <NativeSelect
                    mt={6}
                    size="xs"
                    label={say('course.soil-of')}
                    value={site.site}
                    onChange={(event) => setSiteName(event.currentTarget.value)}
                    data={climate.sites.map((s) => s.site)}
                />
                <OnDay {...{ ruler, climate, site, course, day, courseYear }} />
                <LightAndHeat climate={climate} />
            </div>
        </div>
    );
}

type Site = Schema['Climate']['sites'][number];
type Year = ReturnType<typeof useYearCourse>['data'];

/** What a day is normally like, and how it was in the chosen year. */
function OnDay({
    ruler,
    climate,
    site,
    course,
    day,
    courseYear,
}: ClimateData & { site: Site; course: Year; day: number; courseYear: string }) {
    const i = day - 1;
    return (
        <>
            <h3>{say('common.on', { day: inWords(monthDay(day)) })}</h3>
            <p>
                {say('course.usually-at-night-and-by', {
                    minimum: degrees(climate.normals.minimum[i]),
                    maximum: degrees(climate.normals.maximum[i]),
                    soil: degrees(site.soil[i]),
                    site: site.site,
                })}
            </p>
            <p>
                {say('course.the-sun-is-up-for', {
                    day_length: hoursInWords(ruler.day_length[i] ?? 0),
                    twilight: hoursInWords(climate.twilight[i] ?? 0),
                    radiation: climate.radiation[i],
                })}
            </p>
            {course && (
                <p>
                    {course.minimum[i] == null && course.maximum[i] == null
                        ? say('course.nothing-is-on-record-for', { course_year: courseYear })
                        : say('course.in-and-soil-in-open', {
                              course_year: courseYear,
                              minimum: degrees(course.minimum[i]),
                              maximum: degrees(course.maximum[i]),
                              soil: degrees(course.soil[i]),
                          })}
                </p>
            )}
        </>
    );
}

function LightAndHeat({ climate }: { climate: Schema['Climate'] }) {
    return (
        <>
            <h3>{say('common.light')}</h3>
            <table className="ruled">
                <thead>
                    <tr>
                        <th scope="col">{say('course.days-of')}</th>
                        <th scope="col">{say('course.from')}</th>
                        <th scope="col">{say('course.shorter-from')}</th>
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
            <h3>{say('course.warmth-and-heat')}</h3>
            <p>
                {climate.degree_days
                    .filter((sum) => sum.a_year !== null)
                    .map((sum) =>
                        say('course.degree-days-above-c-a', {
                            a_year: Math.round(degreeDays(sum.a_year ?? 0)),
                            base: inCelsius(sum.base),
                        }),
                    )
                    .join(', ')}
                .
            </p>
            <table className="ruled">
                <thead>
                    <tr>
                        <th scope="col">{say('course.days-of')}</th>
                        <th scope="col" className="number">
                            {say('course.a-year')}
                        </th>
                        <th scope="col">{say('course.first')}</th>
                        <th scope="col">{say('course.last')}</th>
                    </tr>
                </thead>
                <tbody>
                    {climate.heat.map((heat) => (
                        <tr key={heat.celsius}>
                            <td>{say(inCelsius(heat.celsius))}</td>
                            <td className="number">{heat.days_a_year ?? ''}</td>
                            <td>{heat.first === null ? say('course.rare') : inShort(heat.first)}</td>
                            <td>{heat.last === null ? '' : inShort(heat.last)}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    );
}

function Numbers({ zone, ruler, climate, site, course }: ClimateData & { zone: string; site: Site; course: Year }) {
    return (
        <DataTable
            name={say('course.soil-air-and-light-by')}
            file={`${zone}-course`}
            columns={[
                'day',
                { name: say('course.minimum-normal'), measure: 'celsius' },
                { name: say('course.maximum-normal'), measure: 'celsius' },
                { name: say('course.soil-of-site', { site: site.site }), measure: 'celsius' },
                say('course.day-length-h'),
                say('course.with-twilight-h'),
                say('course.radiation'),
                { name: say('course.minimum', { year: course?.year ?? '' }), measure: 'celsius' },
                { name: say('course.maximum', { year: course?.year ?? '' }), measure: 'celsius' },
                { name: say('course.soil', { year: course?.year ?? '' }), measure: 'celsius' },
            ]}
            rows={() =>
                ruler.day_length.map((hours, d) => [
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
                ])
            }
        />
    );
}

const SHOWN = [5, 7, 10, 12, 15, 18];

/** One row per site, one column per temperature: the date in half of the years, and in four out of five. */
function SoilDates({ climate }: { climate: Schema['Climate'] }) {
    return (
        <div className="scroll" tabIndex={0}>
            <table className="ruled dense">
                <thead>
                    <tr>
                        <th scope="col">{say('course.1-year-in-2-4')}</th>
                        {SHOWN.map((celsius) => (
                            <th key={celsius} scope="col">
                                {say(inCelsius(celsius))}
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
                                            ? say('common.not-reached')
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
    return celsius == null ? say('course.not-known') : say({ key: 'celsius', with: { celsius: Math.round(celsius) } });
}
