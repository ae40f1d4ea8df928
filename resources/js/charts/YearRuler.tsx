import { levels, say, units } from '../words/words';
import { line } from 'd3-shape';
import { inShort, yearDay, type MonthDay } from '../time/days';
import { straightened } from './straightened';
import { crossings, inRulerOrder, type YearScale } from '../time/yearScale';

export type RulerData = {
    starts: MonthDay;
    seasons: number;
    freeze_chance: number[];
    hot_chance: number[];
    soil: number[];
    day_length: number[];
};

const HOURS = [8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18];

/** Heights of the ruler's parts, px. */
const MONTHS_AT = 20;
const FREEZE = { top: 26, height: 26 };
const FOOT = FREEZE.top + FREEZE.height;
const SOIL = { top: 58, height: 22 };
const LIGHT_AT = 88;
export const RULER_HEIGHT = 106;

/** How far a line may be from its days, px: less than anyone can see. */
const FINE = 0.3;

const round = (px: number) => Math.round(10 * px) / 10;

const up = (top: number, height: number, value: number, most: number) => round(top + height - (height * value) / most);

/** The lines and ticks of a place's year. */
function linesOf(scale: YearScale, ruler: RulerData) {
    const dayWidth = scale.width / 365;
    const days = (values: number[], y: (value: number) => number) =>
        line().digits(1)(
            straightened(
                inRulerOrder(values, ruler.starts).map((value, i) => [(i + 0.5) * dayWidth, y(value)]),
                FINE,
            ),
        ) ?? '';
    const share = (chances: number[]) =>
        `${days(chances, (v) => up(FREEZE.top, FREEZE.height, v, 1))}V${FOOT}H${round(dayWidth / 2)}Z`;
    const [coldest, warmest] = [Math.min(...ruler.soil), Math.max(...ruler.soil)];
    const soilAt = (celsius: number) => up(SOIL.top, SOIL.height, celsius - coldest, Math.max(1, warmest - coldest));
    const narrow = scale.width < 560;
    return {
        freeze: share(ruler.freeze_chance),
        heat: share(ruler.hot_chance),
        soil: days(ruler.soil, soilAt),
        soilTicks: crossings(ruler.soil, levels(narrow)).map((tick) => ({ ...tick, y: soilAt(tick.level) })),
        lightTicks: spaced(crossings(ruler.day_length, HOURS), scale, narrow ? 30 : 34),
    };
}

/** Those of the year drawn last in a width and in units: the pages of an edition all show the same year. */
const drawn = new Map<string, { ruler: RulerData; lines: ReturnType<typeof linesOf> }>();

/** A page shows two. */
const MOST_DRAWN = 8;

function linesAgain(scale: YearScale, ruler: RulerData) {
    const key = `${scale.width} ${units()}`;
    const before = drawn.get(key);
    if (before && isSameYear(before.ruler, ruler)) return before.lines;
    if (drawn.size >= MOST_DRAWN) drawn.clear();
    const lines = linesOf(scale, ruler);
    drawn.set(key, { ruler, lines });
    return lines;
}

function isSameYear(one: RulerData, other: RulerData): boolean {
    const same = (values: number[], others: number[]) =>
        values.length === others.length && values.every((value, i) => value === others[i]);
    return (
        one === other ||
        (one.starts === other.starts &&
            same(one.freeze_chance, other.freeze_chance) &&
            same(one.hot_chance, other.hot_chance) &&
            same(one.soil, other.soil) &&
            same(one.day_length, other.day_length))
    );
}

/** The place's year: chance of freeze, days of heat, soil, and day length, over months and weeks. */
export function YearRuler({ scale, ruler, labels }: { scale: YearScale; ruler: RulerData; labels: number }) {
    const dayWidth = scale.width / 365;
    const lines = linesAgain(scale, ruler);
    return (
        <g>
            <g aria-hidden="true">
                {scale.months.map((month) => (
                    <g key={month.name}>
                        <line className="rule" x1={month.x} x2={month.x} y1={4} y2={MONTHS_AT} />
                        <text x={month.x + 4} y={14} fontSize="12">
                            {month.width < 34 ? month.short.slice(0, 1) : month.short}
                        </text>
                    </g>
                ))}
                <line className="ink" x1={0} x2={scale.width} y1={MONTHS_AT} y2={MONTHS_AT} strokeWidth="1.2" />
                <path className="ink" d={scale.weeks.map((x) => `M${x} ${MONTHS_AT}v4`).join('')} strokeWidth="0.8" />
            </g>
            <path className="freeze-area" d={lines.freeze} />
            <path className="heat-area" d={lines.heat} />
            <line className="rule" x1={0} x2={scale.width} y1={FOOT} y2={FOOT} />
            <path className="ink" d={lines.soil} strokeWidth="1.3" />
            {lines.soilTicks.map(({ day, level, y }) => (
                <g key={day + level}>
                    <circle
                        cx={round(scale.x(yearDay(day)) + dayWidth / 2)}
                        cy={y}
                        r="2.2"
                        fill="var(--paper)"
                        stroke="var(--ink)"
                    />
                    <text className="quiet" x={scale.x(yearDay(day)) + 5} y={y + 11} fontSize="10">
                        {say('degrees', { celsius: level })}
                    </text>
                </g>
            ))}
            {lines.lightTicks.map(({ day, level }) => (
                <g key={day + level}>
                    <line
                        className="light"
                        x1={scale.x(yearDay(day))}
                        x2={scale.x(yearDay(day))}
                        y1={LIGHT_AT}
                        y2={LIGHT_AT + 6}
                    />
                    <text
                        className="quiet"
                        x={scale.x(yearDay(day))}
                        y={LIGHT_AT + 16}
                        textAnchor="middle"
                        fontSize="10"
                    >
                        {level} h
                    </text>
                </g>
            ))}
            {labels > 0 && (
                <g className="quiet" textAnchor="end">
                    <text className="quiet" x={-10} y={FREEZE.top + 11}>
                        {say('year-ruler.chance-of-freeze')}
                    </text>
                    <text className="quiet" x={-10} y={FREEZE.top + 24}>
                        {say('year-ruler.days-of-30-c')}
                    </text>
                    <text className="quiet" x={-10} y={SOIL.top + 15}>
                        {say('year-ruler.soil-at-5-cm-c')}
                    </text>
                    <text className="quiet" x={-10} y={LIGHT_AT + 10}>
                        {say('year-ruler.day-length')}
                    </text>
                </g>
            )}
        </g>
    );
}

/** A date through everything under the ruler, without its flag. */
export function CursorLine({ scale, day, height }: { scale: YearScale; day: number; height: number }) {
    const x = scale.x(day) + scale.width / 730;
    return <line className="cursor" x1={x} x2={x} y1={0} y2={height} pointerEvents="none" />;
}

/** The same with the date on a flag. */
export function DateCursor({
    scale,
    day,
    height,
    label,
}: {
    scale: YearScale;
    day: number;
    height: number;
    label: MonthDay;
}) {
    const x = scale.x(day) + scale.width / 730;
    const flag = flagAt(scale, x);
    return (
        <g pointerEvents="none">
            <CursorLine scale={scale} day={day} height={height} />
            <rect className="flag" x={flag} y={-1} width={FLAG} height="18" />
            <text className="flag-text" x={flag + FLAG / 2} y={12} textAnchor="middle">
                {inShort(label)}
            </text>
        </g>
    );
}

/** Width of the date's flag, and of a month's name, px. */
const FLAG = 46;
const MONTH_NAME = 28;

/**
 * Where the flag of a date goes: at its line, moved aside as far as needed to hide one whole month's name rather than the ends of two; the
 * date itself names the month.
 */
export function flagAt(scale: YearScale, x: number): number {
    const inside = (at: number) => Math.min(scale.width - FLAG, Math.max(0, at));
    const middle = inside(x - FLAG / 2);
    /** Names that stay readable cost nothing, one that is hidden completely a little, one that is cut off the most. */
    const cost = (at: number) =>
        scale.months.reduce((sum, { x: from }) => {
            const [begins, ends] = [from + 3, from + MONTH_NAME];
            if (at >= ends || at + FLAG <= begins) return sum;
            return sum + (at <= begins && at + FLAG >= ends ? 1 : 10);
        }, 0);
    const near = Array.from({ length: FLAG + 1 }, (_, i) => inside(x - i));
    return near.reduce((best, at) => {
        const better = cost(at) - cost(best) || Math.abs(at - middle) - Math.abs(best - middle);
        return better < 0 ? at : best;
    }, middle);
}

/** Leaves out ticks that would overlap the previous one. */
function spaced<T extends { day: MonthDay }>(ticks: T[], scale: YearScale, least: number): T[] {
    const kept: T[] = [];
    let last = -Infinity;
    for (const tick of [...ticks].sort((a, b) => scale.x(yearDay(a.day)) - scale.x(yearDay(b.day)))) {
        const x = scale.x(yearDay(tick.day));
        if (x - last >= least && x > 12 && x < scale.width - 12) {
            kept.push(tick);
            last = x;
        }
    }
    return kept;
}
