import { say } from '../words/words';
import { inCelsius } from '../words/units';
import { line } from 'd3-shape';
import { inRulerOrder, type YearScale } from '../time/yearScale';

export type RiskCurveData = {
    starts: string;
    seasons: number;
    thresholds: { threshold: string; celsius: number; to_come: number[]; has_come: number[] }[];
};

const HEIGHT = 96;
const TOP = 10;
export const RISK_CURVE_HEIGHT = TOP + HEIGHT + 6;

/** Days from midwinter to the summer solstice: before it, freezes still ahead are drawn; after it, those that have come. */
const MIDSUMMER = 195;

/** Line styles of the thresholds, which can be told apart without color. */
const STYLES: Record<string, string> = {
    'frost-possible': '1.5 2.5',
    'light-freeze': '',
    'killing-freeze': '7 3',
    'severe-freeze': '7 2 1.5 2',
};

/** How often there was another freeze (until the summer solstice), or there had been one (after it), on each day, by threshold. */
export function RiskCurve({
    scale,
    risk,
    other,
}: {
    scale: YearScale;
    risk: RiskCurveData;
    /** the same for another zone or period, drawn thinner */
    other?: RiskCurveData;
}) {
    const y = (share: number) => TOP + HEIGHT * (1 - share);
    return (
        <g>
            {[0, 0.5, 1].map((share) => (
                <g key={share}>
                    <line className="rule" x1={0} x2={scale.width} y1={y(share)} y2={y(share)} />
                    <text className="quiet" x={-10} y={y(share) + 4} textAnchor="end" fontSize="10">
                        {share === 0
                            ? say('risk-curve.never')
                            : share === 1
                              ? say('risk-curve.every-year')
                              : say('common.1-year-in-2')}
                    </text>
                </g>
            ))}
            {other && <Curves scale={scale} risk={other} y={y} thin />}
            <Curves scale={scale} risk={risk} y={y} />
        </g>
    );
}

function Curves({
    scale,
    risk,
    y,
    thin = false,
}: {
    scale: YearScale;
    risk: RiskCurveData;
    y: (share: number) => number;
    thin?: boolean;
}) {
    const dayWidth = scale.width / 365;
    const most = Math.max(1, risk.seasons);
    return risk.thresholds.map((threshold) => {
        const toCome = inRulerOrder(threshold.to_come, risk.starts);
        const hasCome = inRulerOrder(threshold.has_come, risk.starts);
        const path = line<number>()
            .defined((_, day) => day !== MIDSUMMER)
            .x((_, day) => (day + 0.5) * dayWidth)
            .y((count) => y(count / most))(toCome.map((count, day) => (day < MIDSUMMER ? count : (hasCome[day] ?? 0))));
        return (
            <path
                key={threshold.threshold}
                d={path ?? ''}
                fill="none"
                stroke={thin ? 'var(--plum)' : 'var(--frost-ink)'}
                strokeWidth={thin ? 1.4 : 1.7}
                strokeDasharray={STYLES[threshold.threshold]}
            />
        );
    });
}

/** The line styles with their thresholds. */
export function RiskKey({ thresholds }: { thresholds: { threshold: string; celsius: number }[] }) {
    return (
        <p className="hint key">
            {thresholds.map((threshold) => (
                <span key={threshold.celsius}>
                    <svg className="chart swatch" width="30" height="9" aria-hidden="true">
                        <line
                            x1="0"
                            x2="30"
                            y1="5"
                            y2="5"
                            stroke="var(--frost-ink)"
                            strokeWidth="1.7"
                            strokeDasharray={STYLES[threshold.threshold]}
                        />
                    </svg>
                    {say(inCelsius(threshold.celsius))}
                </span>
            ))}
        </p>
    );
}
