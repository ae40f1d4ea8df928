import type { Schema } from '../../api/client';
import { inCelsius } from '../../words/units';
import { say, temperatureRange } from '../../words/words';
import type { Figure } from './queries';

const [WIDTH, HEIGHT] = [262, 150];
const [LEFT, RIGHT, TOP, BOTTOM] = [40, 8, 8, 18];

/** The figures as they moved, and the line on which they settle. */
export function SettlingPlot({ figures, fit }: { figures: Figure[]; fit: Schema['Settling'] | undefined }) {
    const first = figures[0]?.[0] ?? 0;
    const last = Math.max(30, (figures.at(-1)?.[0] ?? 0) - first);
    const values = [...figures.map((figure) => figure[1]), ...(fit ? [fit.celsius] : [])];
    const [least, most] = temperatureRange(
        values.flatMap((value) => [value - 0.5, value + 0.5]),
        { metric: 1, us: 1 },
    );
    const x = (seconds: number) => LEFT + ((seconds - first) / last) * (WIDTH - LEFT - RIGHT);
    const y = (celsius: number) => TOP + ((most - celsius) / (most - least)) * (HEIGHT - TOP - BOTTOM);
    return (
        <svg className="chart settling" width={WIDTH} height={HEIGHT} role="img" aria-label={say('soil.settling-plot')}>
            {[least, most].map((tick) => (
                <g key={tick}>
                    <line className="rule" x1={LEFT} x2={WIDTH - RIGHT} y1={y(tick)} y2={y(tick)} />
                    <text className="quiet" x={LEFT - 5} y={y(tick) + 4} fontSize="11" textAnchor="end">
                        {say(inCelsius(tick))}
                    </text>
                </g>
            ))}
            <text className="quiet" x={WIDTH - RIGHT} y={HEIGHT - 4} fontSize="11" textAnchor="end">
                {say('soil.seconds', { seconds: Math.round(last) })}
            </text>
            {fit && <line className="settles" x1={LEFT} x2={WIDTH - RIGHT} y1={y(fit.celsius)} y2={y(fit.celsius)} />}
            {fit && fit.time_constant > 0 && (
                <path className="season" d={curve(figures, fit, last, (s, c) => `${x(s)} ${y(c)}`)} />
            )}
            {figures.map(([seconds, celsius]) => (
                <circle key={seconds} cx={x(seconds)} cy={y(celsius)} r="2.5" />
            ))}
        </svg>
    );
}

function curve(
    figures: Figure[],
    fit: Schema['Settling'],
    last: number,
    at: (seconds: number, celsius: number) => string,
): string {
    const first = figures[0]?.[0] ?? 0;
    const above = (figures[0]?.[1] ?? 0) >= fit.celsius ? 1 : -1;
    const end = figures.at(-1)?.[0] ?? 0;
    const points = Array.from({ length: 41 }, (_, i) => first + (i / 40) * last);
    return `M${points.map((s) => at(s, fit.celsius + above * fit.to_go * Math.exp((end - s) / fit.time_constant))).join('L')}`;
}
