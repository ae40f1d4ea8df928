import { inShort, wrap, yearDay } from '../../time/days';
import { inKilograms } from '../../words/units';
import type { YearScale } from '../../time/yearScale';
import { say } from '../../words/words';
import { unitOf, type Supplied, type Unit } from './queries';
import { keyOf, weekly, weeksOf, type By } from './weeks';

const TOP = 8;
const STACK = 110;
const BELOW_STACK = 16;
const ROW = 46;
/** of a row, for the years' results; the rest is for its ticks */
const LINE = 26;
const WEEK = 7;

type Shown = {
    scale: YearScale;
    supplied: Supplied[];
    on: string;
    by: By;
    missed: Set<string>;
    /** of a crop */
    name: (slug: string) => string;
    onMiss: (key: string) => void;
};

/** Kilograms and stems are not stacked together. */
function units(supplied: Supplied[]): Unit[] {
    return (['kg', 'stems'] as const).filter((unit) => supplied.some((one) => unitOf(one) === unit));
}

export function chartHeight(supplied: Supplied[]): number {
    return TOP + units(supplied).length * (STACK + BELOW_STACK) + supplied.length * ROW;
}

/**
 * What is in harvest, stacked week by week, and what is needed as a line across; below, each crop with the years' results and its
 * plantings.
 */
export function HarvestChart(props: Shown) {
    let at = TOP;
    return units(props.supplied).map((unit) => {
        const own = props.supplied.filter((one) => unitOf(one) === unit);
        const top = at;
        at += STACK + BELOW_STACK + own.length * ROW;
        return (
            <g key={unit} transform={`translate(0 ${top})`}>
                <Stack {...props} supplied={own} unit={unit} />
                {own.map((one, i) => (
                    <CropRow
                        key={one.want.crop}
                        {...props}
                        one={one}
                        top={STACK + BELOW_STACK + i * ROW}
                        shade={shade(i)}
                    />
                ))}
            </g>
        );
    });
}

/** Tells neighbors in a stack apart. */
function shade(i: number): number {
    return i % 2 === 0 ? 0.9 : 0.5;
}

function Stack({ scale, supplied, on, by, missed, unit }: Shown & { unit: Unit }) {
    const weeks = supplied.map((one) => weekly(one, by, missed));
    const longest = Math.max(0, ...weeks.map((one) => one.length));
    const totals = Array.from({ length: longest }, (_, i) => weeks.reduce((sum, one) => sum + (one[i] ?? 0), 0));
    const wanted = supplied.reduce((sum, { want }) => sum + want.amount, 0);
    const most = Math.max(wanted * 1.2, ...totals, 0.1);
    const y = (amount: number) => STACK - (amount / most) * STACK;
    const width = (scale.width / 365) * WEEK;
    return (
        <>
            {totals.map((_, week) => {
                let below = 0;
                // The last days of the ruler continue at its start.
                const left = scale.x(wrap(yearDay(on) + week * WEEK));
                return supplied.map(({ want }, i) => {
                    const amount = weeks[i]?.[week] ?? 0;
                    const from = below;
                    below += amount;
                    return (
                        amount > 0 && (
                            <rect
                                key={`${want.crop} ${week}`}
                                x={left}
                                width={Math.min(width, scale.width - left)}
                                y={y(below)}
                                height={y(from) - y(below)}
                                fill="var(--leaf)"
                                opacity={shade(i)}
                                stroke="var(--paper)"
                                strokeWidth="0.6"
                            />
                        )
                    );
                });
            })}
            <line className="rule" x1={0} x2={scale.width} y1={STACK} y2={STACK} />
            {wanted > 0 && (
                <>
                    <line className="ink" x1={0} x2={scale.width} y1={y(wanted)} y2={y(wanted)} strokeDasharray="5 3" />
                    <text x={-10} y={y(wanted) + 4} textAnchor="end" fontSize="10.5">
                        {say('harvest-plan.wanted', { amount: wanted, weight: inKilograms(wanted), unit })}
                    </text>
                </>
            )}
        </>
    );
}

/** A crop: eight years in ten as a band and half of them as a line, with this season's half beside it; its plantings as ticks. */
function CropRow({
    scale,
    one,
    on,
    by,
    missed,
    name,
    onMiss,
    top,
    shade,
}: Omit<Shown, 'supplied'> & { one: Supplied; top: number; shade: number }) {
    const { want, data } = one;
    const plan = data?.[by];
    const foot = top + LINE;
    const lines = plan && [plan.low, plan.middle, plan.high, plan.season?.middle ?? []].map((l) => weeksOf(l, 1));
    const [low = [], middle = [], high = [], season = []] = lines ?? [];
    const most = Math.max(1.2, ...high, ...season);
    const y = (share: number) => foot - (share / most) * (LINE - 4);
    const x = (week: number) => scale.x(wrap(yearDay(on) + week * WEEK));
    const width = (scale.width / 365) * WEEK;
    const step = (line: number[]) =>
        line
            .map((share, week) => {
                const left = x(week);
                // A line that continues at the ruler's start is started again.
                const begin = week === 0 || left < x(week - 1) ? 'M' : 'L';
                return `${begin}${left} ${y(share)}H${Math.min(left + width, scale.width)}`;
            })
            .join('');
    return (
        <g>
            <text x={-10} y={foot} textAnchor="end" fontSize="10.5">
                {name(want.crop)}
            </text>
            {high.map(
                (share, week) =>
                    share > (low[week] ?? 0) && (
                        <rect
                            key={week}
                            x={x(week)}
                            width={Math.min(width, scale.width - x(week))}
                            y={y(share)}
                            height={y(low[week] ?? 0) - y(share)}
                            fill="var(--leaf)"
                            opacity="0.22"
                        />
                    ),
            )}
            <path d={step(middle)} fill="none" stroke="var(--leaf)" strokeWidth="1.6" strokeOpacity={shade + 0.1} />
            <path d={step(season)} fill="none" stroke="var(--clay)" strokeWidth="1.4" strokeDasharray="3 2" />
            <line className="rule" x1={0} x2={scale.width} y1={foot} y2={foot} />
            {plan?.sowings.map((sowing) => {
                const key = keyOf(want.crop, by, sowing);
                const isMissed = missed.has(key);
                const at = scale.x(wrap(yearDay(on) + sowing.after));
                return (
                    <g
                        key={key}
                        className="tick"
                        role="button"
                        tabIndex={0}
                        aria-label={say('harvest-plan.sowing', {
                            on: inShort(sowing.on),
                            missed: isMissed ? 'yes' : 'no',
                        })}
                        aria-pressed={isMissed}
                        onClick={(event) => {
                            event.stopPropagation();
                            onMiss(key);
                        }}
                        onKeyDown={(event) => event.key === 'Enter' && onMiss(key)}
                    >
                        <rect x={at - 6} width={12} y={foot} height={16} fill="transparent" />
                        <line
                            x1={at}
                            x2={at}
                            y1={foot}
                            y2={foot + 11}
                            stroke={isMissed ? 'var(--clay)' : 'var(--ink)'}
                            strokeWidth="2"
                            strokeDasharray={isMissed ? '2 2' : undefined}
                        />
                    </g>
                );
            })}
        </g>
    );
}
