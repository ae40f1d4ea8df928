import { daysUntil, yearDay, YEAR, type Span } from '../time/days';
import { HATCH, OUTCOMES } from './Hatches';
import type { YearScale } from '../time/yearScale';

export type Ribbon = {
    years: number;
    outcomes: Record<string, number[]>;
    reliability: number[];
    expected: number[];
};

/** The parts of a ribbon that are drawn. */
export type Outcomes = Pick<Ribbon, 'years' | 'outcomes'>;

/**
 * The outcomes of every sow day, stacked: from the bottom to the top of the ribbon is all the years on record.
 *
 * @param step days per column; the counts of its days are added
 */
export function stack(
    ribbon: Outcomes,
    starts: string,
    step: number,
): { outcome: string; from: number[]; to: number[] }[] {
    const columns = Math.ceil(YEAR / step);
    const totals = new Array<number>(columns).fill(0);
    const first = yearDay(starts) - 1;
    const sums = Object.entries(ribbon.outcomes).map(([outcome, counts]) => {
        const own = new Array<number>(columns).fill(0);
        for (let i = 0; i < YEAR; i++) {
            const count = counts[(first + i) % YEAR] ?? 0;
            const column = Math.floor(i / step);
            own[column] = (own[column] ?? 0) + count;
            totals[column] = (totals[column] ?? 0) + count;
        }
        return { outcome, own };
    });
    const ground = new Array<number>(columns).fill(0);
    return OUTCOMES.flatMap((outcome) => {
        const found = sums.find((s) => s.outcome === outcome);
        if (!found) return [];
        const from = [...ground];
        const to = found.own.map((count, i) => (ground[i] ?? 0) + count / Math.max(1, totals[i] ?? 1));
        to.forEach((value, i) => (ground[i] = value));
        return [{ outcome, from, to }];
    });
}

/** One stepped shape per outcome. */
export function OutcomeRibbon({
    scale,
    ribbon,
    starts,
    top,
    height,
    step,
}: {
    scale: YearScale;
    ribbon: Outcomes;
    starts: string;
    top: number;
    height: number;
    step: number;
}) {
    const dayWidth = scale.width / YEAR;
    const x = (column: number) => Math.min(YEAR, column * step) * dayWidth;
    const y = (share: number) => (top + height * (1 - share)).toFixed(1);
    return (
        <g>
            {stack(ribbon, starts, step).map(({ outcome, from, to }) => {
                let upper = '';
                let lower = '';
                let open = false;
                let d = '';
                const close = () => {
                    if (open) d += `${upper}${lower}Z`;
                    open = false;
                };
                to.forEach((share, i) => {
                    const base = from[i] ?? 0;
                    if (share - base < 0.001) {
                        close();
                        return;
                    }
                    const [left, right] = [x(i).toFixed(1), x(i + 1).toFixed(1)];
                    upper = open ? `${upper}L${left} ${y(share)}H${right}` : `M${left} ${y(share)}H${right}`;
                    lower = open ? `L${right} ${y(base)}H${left}${lower}` : `L${right} ${y(base)}H${left}`;
                    open = true;
                });
                close();
                return <path key={outcome} d={d} fill={HATCH[outcome]} />;
            })}
            <line className="rule" x1={0} x2={scale.width} y1={top + height} y2={top + height} />
        </g>
    );
}

/** How much of a full harvest each sow day brings, averaged over all years, drawn over the ribbon: its top is a full harvest. */
export function ExpectedCurve({
    scale,
    expected,
    top,
    height,
}: {
    scale: YearScale;
    expected: number[];
    top: number;
    height: number;
}) {
    const points = expected
        .map((share, i): [number, number] => [scale.x(i + 1) + scale.width / 730, top + height * (1 - share)])
        .sort(([a], [b]) => a - b)
        .map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`);
    return <path className="expected" d={`M${points.join('L')}`} />;
}

/** Years of each outcome on a sow day, the most frequent first. */
export function outcomesOn(ribbon: Outcomes, day: number): { outcome: string; years: number; of: number }[] {
    const counts = Object.entries(ribbon.outcomes).map(([outcome, years]) => ({ outcome, years: years[day - 1] ?? 0 }));
    const of = counts.reduce((sum, c) => sum + c.years, 0);
    return counts
        .filter((c) => c.years > 0)
        .sort((a, b) => b.years - a.years)
        .map((c) => ({ ...c, of }));
}

/** The window that opens next after a day, and in how many days; null: there is none. */
export function nextOpening(spans: Span[], day: number): { span: Span; days: number } | null {
    const next = spans
        .map((span) => ({ span, days: daysUntil(day, yearDay(span.first)) }))
        .sort((a, b) => a.days - b.days)[0];
    return next ?? null;
}
