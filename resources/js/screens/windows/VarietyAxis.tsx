import type { Schema } from '../../api/client';
import { say } from '../../words/words';

type Variety = Schema['VarietySheet'];

const WIDTH = 320;
const LINE = 18;
const TICK = 10;
/** Room right of the last mark for a name, px. */
const NAMES = 130;

/** A crop's varieties on one axis of packet days: those with a window here, those with a fair chance, and those that do not fit. */
export function VarietyAxis({
    varieties,
    route,
    longest,
}: {
    varieties: Variety[];
    route: string;
    /** packet days of the longest variety that would fit, if the crop does not */
    longest: number | null;
}) {
    if (varieties.length === 0) return null;
    const days = [...varieties.map((variety) => variety.days), ...(longest === null ? [] : [longest])];
    const from = Math.floor((Math.min(...days) - 3) / TICK) * TICK;
    const to = Math.ceil((Math.max(...days) + 3) / TICK) * TICK;
    const x = (at: number) => 6 + ((at - from) / (to - from)) * (WIDTH - NAMES - 6);
    const height = LINE * varieties.length;
    const ticks = Array.from({ length: (to - from) / TICK + 1 }, (_, i) => from + i * TICK);
    return (
        <figure className="varieties">
            <figcaption>{say('variety-axis.heading')}</figcaption>
            <svg
                className="chart"
                viewBox={`0 0 ${WIDTH} ${height + 20}`}
                role="img"
                aria-label={inWords(varieties, route)}
            >
                {ticks.map((tick) => (
                    <g key={tick}>
                        <line className="rule" x1={x(tick)} x2={x(tick)} y1={0} y2={height + 3} />
                        <text className="quiet" x={x(tick)} y={height + 15} textAnchor="middle" fontSize="10">
                            {tick}
                        </text>
                    </g>
                ))}
                {longest !== null && (
                    <line className="limit" x1={x(longest)} x2={x(longest)} y1={0} y2={height + 3}>
                        <title>{say('no-window.variety', { days: longest })}</title>
                    </line>
                )}
                {[...varieties]
                    .sort((a, b) => a.days - b.days)
                    .map((variety, i) => (
                        <g key={variety.name} transform={`translate(${x(variety.days)} ${LINE * i + 9})`}>
                            <circle className={`fit ${fit(variety, route)}`} r="4.5" />
                            <text x={9} y={4}>
                                {`${variety.name}, ${variety.days}`}
                            </text>
                        </g>
                    ))}
            </svg>
            <p className="hint">{say('variety-axis.key')}</p>
        </figure>
    );
}

function fit(variety: Variety, route: string): 'window' | 'chance' | 'none' {
    const own = variety.routes.find((r) => r.route === route);
    return own?.windows.length ? 'window' : own?.chances.length ? 'chance' : 'none';
}

function inWords(varieties: Variety[], route: string): string {
    return varieties
        .map((variety) =>
            say('variety-axis.variety', {
                name: variety.name,
                days: variety.days,
                fit: say(`variety-axis.${fit(variety, route)}`),
            }),
        )
        .join('; ');
}
