import { line, curveMonotoneX } from 'd3-shape';
import { yearDay } from '../time/days';
import { inRulerOrder, type YearScale } from '../time/yearScale';
import { fromUnits, ofRain } from '../words/units';
import { say, units } from '../words/words';

type Week = { first: string; rain: number; et0: number };

const HEIGHT = 150;
const TOP = 10;
const TITLE = 22;
const LANE = 20;

export function rainChartHeight(grounds: number): number {
    return TOP + HEIGHT + TITLE + grounds * LANE + 8;
}

/** Rain by week as bars, what the air takes as a line; below, for each kind of ground, how often it can be worked. */
export function RainChart({
    scale,
    starts,
    weeks,
    others,
    grounds,
    title,
}: {
    scale: YearScale;
    starts: string;
    weeks: Week[];
    /** for comparison, drawn as steps; none: nothing */
    others: Week[] | undefined;
    /** by ground, the share of years by sow day in which it can be worked */
    grounds: { name: string; share: (number | null)[] }[];
    /** of the grounds */
    title: string;
}) {
    const ticks = ticksTo(Math.max(1, ...[...weeks, ...(others ?? [])].flatMap((week) => [week.rain, week.et0])));
    const high = ticks.at(-1) ?? 1;
    const y = (mm: number) => TOP + HEIGHT * (1 - mm / high);
    const width = (7 * scale.width) / 365;
    const middle = (week: Week) => scale.x(yearDay(week.first)) + width / 2;
    // In the other hemisphere, the last week may run past the end of this year.
    const step = (x: number, top: number) => `M${x} ${top}h${Math.min(width, scale.width - x)}`;
    const taken = line<Week>()
        .x(middle)
        .y((week) => y(week.et0))
        .curve(curveMonotoneX);
    return (
        <g>
            {ticks.map((mm) => (
                <g key={mm}>
                    <line
                        className={mm === 0 ? 'ink' : 'rule'}
                        x1={0}
                        x2={scale.width}
                        y1={y(mm)}
                        y2={y(mm)}
                        strokeWidth={mm === 0 ? 0.8 : 1}
                    />
                    <text className="quiet" x={-10} y={y(mm) + 4} textAnchor="end" fontSize="10">
                        {say(ofRain(mm))}
                    </text>
                </g>
            ))}
            {weeks.map((week) => (
                <rect
                    key={week.first}
                    x={scale.x(yearDay(week.first)) + 1}
                    y={y(week.rain)}
                    width={width - 2}
                    height={y(0) - y(week.rain)}
                    fill="var(--frost)"
                    stroke="var(--frost-ink)"
                    strokeWidth="0.6"
                />
            ))}
            {others && (
                <path
                    d={others.map((week) => step(scale.x(yearDay(week.first)), y(week.rain))).join('')}
                    fill="none"
                    stroke="var(--plum)"
                    strokeWidth="1.8"
                />
            )}
            <path d={taken(weeks) ?? ''} fill="none" stroke="var(--clay)" strokeWidth="1.8" strokeDasharray="5 3" />
            <g transform={`translate(0 ${TOP + HEIGHT + TITLE})`}>
                <text className="quiet" x={0} y={-6} fontSize="11">
                    {title}
                </text>
                {grounds.map((ground, i) => (
                    <g key={ground.name} transform={`translate(0 ${i * LANE})`}>
                        <text x={-10} y={13} textAnchor="end" fontSize="11">
                            {ground.name}
                        </text>
                        <YearsWorkable scale={scale} starts={starts} share={ground.share} />
                    </g>
                ))}
            </g>
        </g>
    );
}

/** A lane for when ground can be worked: as tall as the share of the years. */
export function YearsWorkable({
    scale,
    starts,
    share,
    height = LANE,
}: {
    scale: YearScale;
    starts: string;
    /** by sow day */
    share: (number | null)[];
    height?: number;
}) {
    const step = scale.width / 365;
    const tall = height - 4;
    const top = (of: number | null) => 2 + tall * (1 - (of ?? 0));
    const path = inRulerOrder(share, starts).map(
        (of, i) => `L${(i * step).toFixed(1)} ${top(of).toFixed(1)}H${((i + 1) * step).toFixed(1)}`,
    );
    return (
        <g>
            <rect x={0} y={2} width={scale.width} height={tall} fill="none" stroke="var(--rule)" />
            <path d={`M0 ${2 + tall}${path.join('')}V${2 + tall}Z`} fill="var(--leaf)" fillOpacity="0.55" />
        </g>
    );
}

/** From zero to at least this many mm, at round millimeters or quarters of an inch. */
function ticksTo(most: number): number[] {
    const unit = fromUnits('mm', 1, units());
    const steps = units() === 'us' ? [0.25, 0.5, 1, 2] : [5, 10, 20, 50];
    const step = unit * (steps.find((s) => most / (unit * s) <= 5) ?? steps.at(-1) ?? 1);
    return Array.from({ length: Math.ceil(most / step) + 1 }, (_, i) => i * step);
}

/** The week of the ruler that contains a sow day. */
export function weekOf<W extends { first: string }>(weeks: W[], starts: string, day: number): W | undefined {
    const since = (of: number) => (of - yearDay(starts) + 365) % 365;
    return weeks.findLast((week) => since(yearDay(week.first)) <= since(day));
}
