import { wrap, yearDay } from '../../time/days';
import type { YearScale } from '../../time/yearScale';
import { say } from '../../words/words';
import { inShort } from '../../time/days';
import type { Supplied } from './queries';
import { keyOf, weekly, type By } from './weeks';

const TOP = 8;
const HEIGHT = 120;
const ROW = 17;

export function chartHeight(crops: number): number {
    return TOP + HEIGHT + 12 + crops * ROW;
}

/** What is in harvest stacked above the sowings it comes from, in kilograms a week, and what is wanted as a line across. */
export function SupplyChart({
    scale,
    supplied,
    on,
    by,
    missed,
    name,
    onMiss,
}: {
    scale: YearScale;
    supplied: Supplied[];
    on: string;
    by: By;
    missed: Set<string>;
    /** of a crop */
    name: (slug: string) => string;
    onMiss: (key: string) => void;
}) {
    const weeks = supplied.map((one) => weekly(one, by, missed));
    const longest = Math.max(0, ...weeks.map((one) => one.length));
    const totals = Array.from({ length: longest }, (_, i) => weeks.reduce((sum, one) => sum + (one[i] ?? 0), 0));
    const wanted = supplied.reduce((sum, { want }) => sum + want.kg, 0);
    const most = Math.max(wanted * 1.2, ...totals, 0.1);
    const y = (kg: number) => TOP + HEIGHT - (kg / most) * HEIGHT;
    const x = (after: number) => scale.x(wrap(yearDay(on) + after));
    const width = (scale.width / 365) * 7;
    return (
        <g>
            {totals.map((_, week) => {
                let below = 0;
                // The last days of the ruler go on at its start.
                const left = x(week * 7);
                return supplied.map(({ want }, i) => {
                    const kg = weeks[i]?.[week] ?? 0;
                    const from = below;
                    below += kg;
                    return (
                        kg > 0 && (
                            <rect
                                key={`${want.crop} ${week}`}
                                x={left}
                                width={Math.min(width, scale.width - left)}
                                y={y(below)}
                                height={y(from) - y(below)}
                                fill="var(--leaf)"
                                opacity={i % 2 === 0 ? 0.9 : 0.5}
                                stroke="var(--paper)"
                                strokeWidth="0.6"
                            />
                        )
                    );
                });
            })}
            <line className="rule" x1={0} x2={scale.width} y1={TOP + HEIGHT} y2={TOP + HEIGHT} />
            {wanted > 0 && (
                <>
                    <line className="ink" x1={0} x2={scale.width} y1={y(wanted)} y2={y(wanted)} strokeDasharray="5 3" />
                    <text x={-10} y={y(wanted) + 4} textAnchor="end" fontSize="10.5">
                        {say('supply.wanted', { kg: wanted })}
                    </text>
                </>
            )}
            {supplied.map(({ want, data }, i) => {
                const at = TOP + HEIGHT + 12 + i * ROW + ROW / 2;
                return (
                    <g key={want.crop}>
                        <text x={-10} y={at + 4} textAnchor="end" fontSize="10.5">
                            {name(want.crop)}
                        </text>
                        <line className="rule" x1={0} x2={scale.width} y1={at + 5} y2={at + 5} />
                        {data?.[by].sowings.map((sowing) => {
                            const key = keyOf(want.crop, by, sowing);
                            const words = say('supply.sowing', {
                                on: inShort(sowing.on),
                                missed: missed.has(key) ? 'yes' : 'no',
                            });
                            return (
                                <g
                                    key={key}
                                    className="tick"
                                    role="button"
                                    tabIndex={0}
                                    aria-label={words}
                                    aria-pressed={missed.has(key)}
                                    onClick={(event) => {
                                        event.stopPropagation();
                                        onMiss(key);
                                    }}
                                    onKeyDown={(event) => event.key === 'Enter' && onMiss(key)}
                                >
                                    <rect
                                        x={x(sowing.after) - 6}
                                        width={12}
                                        y={at - 9}
                                        height={16}
                                        fill="transparent"
                                    />
                                    <line
                                        x1={x(sowing.after)}
                                        x2={x(sowing.after)}
                                        y1={at - 7}
                                        y2={at + 5}
                                        stroke={missed.has(key) ? 'var(--clay)' : 'var(--ink)'}
                                        strokeWidth="2"
                                        strokeDasharray={missed.has(key) ? '2 2' : undefined}
                                    />
                                </g>
                            );
                        })}
                    </g>
                );
            })}
        </g>
    );
}
