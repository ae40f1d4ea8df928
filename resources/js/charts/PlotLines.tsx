import { yearDayOfDate } from '../time/days';
import type { YearScale } from '../time/yearScale';

/** A planting as expected and as seen; dates, null if there was none. */
export type Plot = {
    key: string;
    label: string;
    /** shown where a wave starts; null on its other plots */
    wave: string | null;
    planned: string;
    /** 10, 50 and 90% of first harvests */
    expected: string[] | null;
    sown: string | null;
    up: string | null;
    picked: string | null;
    ended: string | null;
    lost: boolean;
    /** everything in one sentence */
    words: string;
};

export const PLOT_HEIGHT = 15;

/** Plots side by side on the ruler: a thin line for what was expected, with a thick one through it for what was seen. */
export function PlotLines({ scale, plots }: { scale: YearScale; plots: Plot[] }) {
    const x = (date: string) => scale.x(yearDayOfDate(date));
    // A line past the end of the ruler continues at its start.
    const pieces = (from: string, to: string): [number, number][] =>
        x(to) >= x(from)
            ? [[x(from), x(to)]]
            : [
                  [x(from), scale.width],
                  [0, x(to)],
              ];
    const bar = (from: string, to: string, y: number, height: number, fill: string, key: string) =>
        pieces(from, to).map(([left, right], i) => (
            <rect key={key + i} x={left} width={Math.max(1.5, right - left)} y={y} height={height} fill={fill} />
        ));
    return (
        <g>
            {plots.map((plot, i) => {
                const y = i * PLOT_HEIGHT + PLOT_HEIGHT / 2;
                const end = plot.ended ?? plot.picked;
                return (
                    <g key={plot.key}>
                        <title>{plot.words}</title>
                        <rect
                            x={0}
                            y={y - PLOT_HEIGHT / 2}
                            width={scale.width}
                            height={PLOT_HEIGHT}
                            fill="transparent"
                        />
                        <text className="quiet" x={-10} y={y + 4} textAnchor="end" fontSize="10">
                            {plot.label}
                        </text>
                        {plot.wave && (
                            <text x={Math.max(90, x(plot.planned) - 6)} y={y + 3} textAnchor="end" fontSize="10.5">
                                {plot.wave}
                            </text>
                        )}
                        {plot.expected &&
                            bar(plot.planned, plot.expected[1] ?? plot.planned, y - 5, 1, 'var(--ink)', 'expected')}
                        {plot.expected?.map((date) => (
                            <line key={date} className="ink" x1={x(date)} x2={x(date)} y1={y - 7} y2={y - 2} />
                        ))}
                        {plot.sown && bar(plot.sown, plot.up ?? end ?? plot.sown, y, 1.5, 'var(--stone)', 'ground')}
                        {plot.up && bar(plot.up, plot.picked ?? end ?? plot.up, y - 1, 4, 'var(--stone)', 'growing')}
                        {plot.picked && bar(plot.picked, end ?? plot.picked, y - 2, 7, 'var(--leaf)', 'harvest')}
                        {plot.lost && plot.ended && (
                            <path
                                d={`M${x(plot.ended) - 4} ${y - 3}l8 8m0 -8l-8 8`}
                                stroke="var(--clay)"
                                strokeWidth="2"
                                fill="none"
                            />
                        )}
                    </g>
                );
            })}
        </g>
    );
}
