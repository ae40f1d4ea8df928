import { say, temperatureRange, temperatureTicks } from '../words/words';
import { inCelsius } from '../words/units';
import { area, line } from 'd3-shape';
import { inRulerOrder, type YearScale } from '../time/yearScale';

type Values = readonly (number | null)[];

export type CourseData = {
    starts: string;
    minimum: number[];
    maximum: number[];
    soil: number[];
};

const HEIGHT = 190;
const TOP = 8;
export const COURSE_HEIGHT = TOP + HEIGHT + 8;

/** Air and soil through the year: the normal course, with one actual year drawn over it; °C. */
export function CourseChart({
    scale,
    normal,
    year,
    other,
}: {
    scale: YearScale;
    normal: CourseData;
    year?: { minimum: Values; maximum: Values; soil: Values };
    other?: CourseData;
}) {
    const all = [
        ...normal.minimum,
        ...normal.maximum,
        ...normal.soil,
        ...(other ? [...other.minimum, ...other.maximum, ...other.soil] : []),
        ...(year ? [...year.minimum, ...year.maximum, ...year.soil] : []),
    ].filter((value): value is number => value !== null);
    const [low, high] = temperatureRange(all, { metric: 10, us: 20 });
    const y = (celsius: number) => TOP + (HEIGHT * (high - celsius)) / (high - low);
    const x = (i: number) => (i + 0.5) * (scale.width / 365);
    const course = (values: Values) =>
        line<number | null>()
            .defined((v) => v !== null)
            .x((_, i) => x(i))
            .y((v) => y(v ?? 0))(inRulerOrder(values, normal.starts)) ?? '';
    const lows = inRulerOrder(normal.minimum, normal.starts);
    const band =
        area<number>()
            .x((_, i) => x(i))
            .y0((_, i) => y(lows[i] ?? 0))
            .y1((v) => y(v))(inRulerOrder(normal.maximum, normal.starts)) ?? '';
    const yearLows = inRulerOrder(year?.minimum ?? [], normal.starts);
    return (
        <g>
            {temperatureTicks(low, high).map((celsius) => (
                <g key={celsius}>
                    <line
                        className={celsius === 0 ? 'ink' : 'rule'}
                        x1={0}
                        x2={scale.width}
                        y1={y(celsius)}
                        y2={y(celsius)}
                        strokeWidth={celsius === 0 ? 0.8 : 1}
                    />
                    <text className="quiet" x={-10} y={y(celsius) + 4} textAnchor="end" fontSize="10">
                        {say(inCelsius(celsius))}
                    </text>
                </g>
            ))}
            <path d={band} fill="var(--shade)" stroke="var(--stone)" strokeWidth="0.8" />
            {year &&
                inRulerOrder(year.maximum, normal.starts).map((maximum, i) => {
                    const minimum = yearLows[i] ?? null;
                    return minimum === null || maximum === null ? null : (
                        <line
                            key={i}
                            x1={x(i)}
                            x2={x(i)}
                            y1={y(minimum)}
                            y2={y(maximum)}
                            stroke="var(--stone)"
                            strokeWidth="1"
                        />
                    );
                })}
            {other && (
                <>
                    <path d={course(other.minimum)} fill="none" stroke="var(--plum)" strokeDasharray="2 2" />
                    <path d={course(other.maximum)} fill="none" stroke="var(--plum)" strokeDasharray="2 2" />
                    <path d={course(other.soil)} fill="none" stroke="var(--plum)" strokeWidth="1.2" />
                </>
            )}
            {year && <path d={course(year.soil)} fill="none" stroke="var(--clay)" strokeWidth="1.3" />}
            <path className="ink" d={course(normal.soil)} strokeWidth="1.8" />
        </g>
    );
}

const LIGHT_HEIGHT = 70;
export const LIGHT_CHART_HEIGHT = LIGHT_HEIGHT + 16;

/** Hours from sunrise to sunset through the year, and including twilight. */
export function LightChart({
    scale,
    starts,
    hours,
    twilight,
    other,
}: {
    scale: YearScale;
    starts: string;
    hours: number[];
    twilight: number[];
    other?: number[];
}) {
    const low = Math.floor(Math.min(...hours, ...(other ?? [])) / 2) * 2;
    const high = Math.max(low + 2, Math.ceil(Math.max(...twilight, ...(other ?? [])) / 2) * 2);
    const y = (value: number) => 8 + (LIGHT_HEIGHT * (high - value)) / (high - low);
    const path = (values: number[]) =>
        line<number>()
            .x((_, i) => (i + 0.5) * (scale.width / 365))
            .y(y)(inRulerOrder(values, starts)) ?? '';
    return (
        <g>
            {Array.from({ length: (high - low) / 2 + 1 }, (_, i) => low + i * 2).map((value) => (
                <g key={value}>
                    <line className="rule" x1={0} x2={scale.width} y1={y(value)} y2={y(value)} />
                    <text className="quiet" x={-10} y={y(value) + 4} textAnchor="end" fontSize="10">
                        {value} h
                    </text>
                </g>
            ))}
            {other && <path d={path(other)} fill="none" stroke="var(--plum)" strokeWidth="1" />}
            <path className="light" d={path(twilight)} strokeDasharray="3 3" />
            <path className="light" d={path(hours)} />
        </g>
    );
}
