import { say } from '../../words/words';

type Bin = {
    runs: number;
    cases: number;
    promised: number | null;
    kept: number | null;
    low: number | null;
    high: number | null;
};

const SIDE = 300;
const LEFT = 54;
const BOTTOM = 44;
const RIGHT = 22;
const TOP = 14;
const TICKS = [0, 0.2, 0.4, 0.6, 0.8, 1];

/** Promised compared with kept: a point for each fifth of the promises, with the range a kept promise falls in; on the line, they agree. */
export function CalibrationPlot({ bins, label }: { bins: Bin[]; label: string }) {
    const x = (share: number) => LEFT + SIDE * share;
    const y = (share: number) => TOP + SIDE * (1 - share);
    return (
        <svg
            className="chart"
            width={LEFT + SIDE + RIGHT}
            height={TOP + SIDE + BOTTOM}
            viewBox={`0 0 ${LEFT + SIDE + RIGHT} ${TOP + SIDE + BOTTOM}`}
            role="img"
            aria-label={label}
        >
            {TICKS.map((tick) => (
                <g key={tick}>
                    <path
                        stroke="var(--rule)"
                        d={`M${x(tick)} ${y(0)}V${y(1)}M${x(0)} ${y(tick)}H${x(1)}`}
                        fill="none"
                    />
                    <text className="quiet" x={x(tick)} y={y(0) + 16} textAnchor="middle">
                        {say('track-record.share', { share: tick })}
                    </text>
                    <text className="quiet" x={x(0) - 8} y={y(tick) + 4} textAnchor="end">
                        {say('track-record.share', { share: tick })}
                    </text>
                </g>
            ))}
            <path stroke="var(--ink)" d={`M${x(0)} ${y(0)}L${x(1)} ${y(1)}`} strokeDasharray="4 3" fill="none" />
            {bins.map(
                ({ runs, promised, kept, low, high }, i) =>
                    promised !== null &&
                    kept !== null && (
                        <g key={i}>
                            {low !== null && high !== null && (
                                <path d={bar(x(promised), y(high), y(low))} fill="none" stroke="var(--stone-ink)" />
                            )}
                            <circle cx={x(promised)} cy={y(kept)} r={5} fill="var(--leaf)" stroke="var(--paper)" />
                            <text
                                x={x(promised) + (promised > 0.5 ? -12 : 12)}
                                y={y(kept) + (promised > 0.5 ? -4 : -6)}
                                textAnchor={promised > 0.5 ? 'end' : 'start'}
                            >
                                {say('track-record.plantings', { runs })}
                            </text>
                        </g>
                    ),
            )}
            <text x={x(0.5)} y={y(0) + 36} textAnchor="middle">
                {say('track-record.axis-promised')}
            </text>
            <text x={14} y={y(0.5)} textAnchor="middle" transform={`rotate(-90 14 ${y(0.5)})`}>
                {say('track-record.axis-kept')}
            </text>
        </svg>
    );
}

/** An upright bar with a cap on each end. */
const bar = (x: number, top: number, foot: number) => `M${x - 5} ${top}h10m-5 0V${foot}m-5 0h10`;
