import { useWidth } from '../../charts/useWidth';
import { dateAfter, daysBetween, inShort } from '../../time/days';
import { inCelsius } from '../../words/units';
import { say, temperatureRange, temperatureTicks } from '../../words/words';
import type { SoilData } from './queries';

const HEIGHT = 230;
const LEFT = 44;
const BOTTOM = 24;
const WEEK = 7;

/** A spot's letter in the chart and beside its name. */
export function letter(index: number): string {
    return String.fromCharCode(65 + (index % 26));
}

/** The spots' readings of the last six weeks, each with its letter, over the model for open ground and the normal course. */
export function SpotPlot({ data, days }: { data: SoilData; days: NonNullable<SoilData['days']> }) {
    const { ref, width } = useWidth();
    const wide = Math.max(320, width || 760);
    const marks = data.spots.flatMap((spot, i) =>
        spot.readings
            .filter((reading) => !reading.withdrawn)
            .map((reading) => ({
                id: reading.id,
                mark: letter(i),
                spot: i,
                day: daysBetween(days.first, reading.on) + reading.hour / 24,
                celsius: reading.celsius,
            })),
    );
    const seen = marks.filter((mark) => mark.day >= 0);
    const known = [...days.model.filter((v) => v !== null), ...days.usual, ...seen.map((mark) => mark.celsius)];
    const [least, most] = temperatureRange(known, { metric: 5, us: 10 });
    const x = (day: number) => LEFT + (day / days.usual.length) * (wide - LEFT - 12);
    const y = (celsius: number) => 10 + ((most - celsius) / Math.max(5, most - least)) * (HEIGHT - BOTTOM - 14);
    const path = (values: (number | null)[]) =>
        values
            .map((v, i) => (v === null ? '' : `${i === 0 || values[i - 1] === null ? 'M' : 'L'}${x(i + 0.5)} ${y(v)}`))
            .join('');
    const ticks = temperatureTicks(least, most);
    return (
        <div ref={ref}>
            <svg className="chart" width="100%" height={HEIGHT} role="img" aria-label={say('soil.plot')}>
                {ticks.map((tick) => (
                    <g key={tick}>
                        <line className="rule" x1={LEFT} x2={wide - 12} y1={y(tick)} y2={y(tick)} />
                        <text className="quiet" x={LEFT - 6} y={y(tick) + 4} fontSize="11" textAnchor="end">
                            {say(inCelsius(tick))}
                        </text>
                    </g>
                ))}
                {days.usual.map(
                    (_, i) =>
                        i % WEEK === 0 && (
                            <text key={i} className="quiet" x={x(i)} y={HEIGHT - 6} fontSize="11">
                                {inShort(dateAfter(days.first, i).slice(5))}
                            </text>
                        ),
                )}
                <path className="usual" d={path(days.usual)} />
                <path className="season" d={path(days.model)} />
                {seen.map((mark) => (
                    <text
                        key={mark.id}
                        className="spot-mark"
                        x={x(mark.day) + 10 * (mark.spot - (data.spots.length - 1) / 2)}
                        y={y(mark.celsius) + 5}
                        fontSize="13"
                        textAnchor="middle"
                    >
                        {mark.mark}
                    </text>
                ))}
            </svg>
            <p className="hint">{say('soil.plot-key')}</p>
        </div>
    );
}
