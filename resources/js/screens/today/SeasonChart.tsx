import { besideDots } from '../../charts/labels';
import { inCelsius } from '../../words/units';
import { dateInShort, daysBetween, inShort } from '../../time/days';
import { say, temperatureRange, temperatureTicks } from '../../words/words';
import { AHEAD, BACK, marks, WIDTH, x } from './seasonScale';
import type { TodayData } from './queries';

/** Heights of the parts, px. */
const RULER = 34;
const SOIL = 118;
const FREEZE = 46;

/** The ruler, enlarged, and under it this season's soil with where past years would take it, and the freezes still ahead. */
export function SeasonChart({ data }: { data: TodayData }) {
    const { months, weeks } = marks(data.on);
    const height = RULER + (data.soil ? SOIL + FREEZE : 0);
    return (
        <svg
            className="chart"
            width={WIDTH}
            height={height}
            viewBox={`0 0 ${WIDTH} ${height}`}
            role="img"
            aria-label={inWords(data)}
        >
            <line className="ink" x1={0} x2={WIDTH} y1={RULER} y2={RULER} />
            {weeks.map((at) => (
                <line key={at} className="ink" x1={at} x2={at} y1={RULER} y2={RULER + 4} />
            ))}
            {months.map((month) => (
                <g key={month.name}>
                    <line className="rule" x1={month.x} x2={month.x} y1={RULER - 15} y2={height} />
                    <text x={month.x + 4} y={RULER - 5} fontSize="11">
                        {month.name}
                    </text>
                </g>
            ))}
            {data.soil && <SoilPart soil={data.soil} on={data.on} />}
            {data.freezes && <FreezePart freezes={data.freezes} />}
            <line className="cursor" x1={x(0)} x2={x(0)} y1={16} y2={height} />
            <rect className="flag" x={x(0) - 26} y={0} width={52} height={17} />
            <text className="flag-text" x={x(0)} y={12} textAnchor="middle" fontSize="10.5" fontWeight="700">
                {inShort(data.on.slice(5))}
            </text>
        </svg>
    );
}

function SoilPart({ soil, on }: { soil: NonNullable<TodayData['soil']>; on: string }) {
    const known = [...soil.line.filter((v) => v !== null), ...soil.usual, ...soil.low, ...soil.high];
    const [least, most] = temperatureRange(known, { metric: 5, us: 10 });
    const y = (celsius: number) => RULER + SOIL - 8 - ((celsius - least) / (most - least)) * (SOIL - 22);
    const path = (values: (number | null)[], from: number) =>
        values
            .map((v, i) => (v === null ? '' : `${i === 0 || values[i - 1] === null ? 'M' : 'L'}${x(from + i)} ${y(v)}`))
            .join('');
    const fan = `${path(soil.high, 0)}${[...soil.low]
        .map((v, i) => `L${x(i)} ${y(v)}`)
        .reverse()
        .join('')}Z`;
    const ticks = temperatureTicks(least, most, 5).filter((tick) => tick < most);
    return (
        <g>
            {ticks.map((tick) => (
                <line key={tick} className="rule" x1={0} x2={WIDTH} y1={y(tick)} y2={y(tick)} />
            ))}
            <path className="fan" d={fan} />
            <path className="usual" d={path(soil.usual, -BACK)} />
            <path className="season" d={path(soil.line, -BACK)} />
            <path className="season to-come" d={path([soil.line.at(-1) ?? null, ...soil.middle], -1)} />
            {ticks.map((tick) => (
                <text key={tick} className="quiet over-lines" x={2} y={y(tick) - 3} fontSize="10">
                    {say(inCelsius(tick))}
                </text>
            ))}
            {besideDots(readyDots(soil, on, y), { width: WIDTH, fontSize: 10.5 }).map(({ x, y, text, label }) => (
                <g key={text}>
                    <circle className="ready" cx={x} cy={y} r="3.5" />
                    <text
                        x={x + label.dx}
                        y={y + label.dy}
                        fontSize="10.5"
                        textAnchor={label.anchor}
                        className="ready-text"
                    >
                        {text}
                    </text>
                </g>
            ))}
        </g>
    );
}

/** When the soil is expected to be warm enough, if that is still ahead. */
function readyDots(soil: NonNullable<TodayData['soil']>, on: string, y: (celsius: number) => number) {
    return soil.ready.flatMap(({ celsius, now, dates }) => {
        const date = dates[1];
        const day = date ? daysBetween(on, date) : AHEAD;
        if (now || !date || day >= AHEAD) return [];
        const text = say('today.ready', { soil: inCelsius(celsius), day: inShort(date.slice(5)) });
        return [{ x: x(day), y: y(celsius), text }];
    });
}

function FreezePart({ freezes }: { freezes: NonNullable<TodayData['freezes']> }) {
    const base = RULER + SOIL + FREEZE - 4;
    const y = (members: number) => base - (members / Math.max(1, freezes.of)) * (FREEZE - 10);
    return (
        <g>
            {freezes.thresholds.map((threshold, i) => (
                <path
                    key={threshold.threshold}
                    className={i === 0 ? 'freeze-area' : 'freeze-line'}
                    d={[
                        `M${x(0)} ${base}`,
                        ...threshold.members.map((m, day) => `L${x(day)} ${y(m)}L${x(day + 1)} ${y(m)}`),
                        `L${x(AHEAD)} ${base}`,
                    ].join('')}
                />
            ))}
            <line className="rule" x1={0} x2={WIDTH} y1={base} y2={base} />
        </g>
    );
}

function inWords(data: TodayData): string {
    if (!data.soil) return say('today.chart-ruler', { day: dateInShort(data.on) });
    return say('today.chart', { day: dateInShort(data.on), members: data.members.length });
}
