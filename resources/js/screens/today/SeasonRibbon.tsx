import { HATCH, OUTCOMES } from '../../charts/Hatches';
import type { SeasonAct } from './queries';
import { x } from './seasonScale';

const TOP = 7;
const HEIGHT = 16;

/** How a task done on each of the coming days turns out, stacked; a bracket over the days that reach the confidence level. */
export function SeasonRibbon({ act }: { act: SeasonAct }) {
    const above = act.totals.map(() => 0);
    return (
        <g>
            {OUTCOMES.filter((outcome) => act.ribbon[outcome]).map((outcome) => {
                const d = (act.ribbon[outcome] ?? [])
                    .map((count, day) => {
                        const total = act.totals[day] || 1;
                        const height = (count / total) * HEIGHT;
                        const under = above[day] ?? 0;
                        above[day] = under + height;
                        return count === 0
                            ? ''
                            : `M${x(day)} ${TOP + HEIGHT - under}h${x(1) - x(0)}v${-height}h${x(0) - x(1)}z`;
                    })
                    .join('');
                return <path key={outcome} d={d} fill={HATCH[outcome]} />;
            })}
            {runs(act.open).map(([from, to]) => (
                <path key={from} className="bracket" d={`M${x(from)} ${TOP + 5}V${TOP - 3}H${x(to + 1)}V${TOP + 5}`} />
            ))}
        </g>
    );
}

/** First and last day of each run of open days. */
export function runs(open: boolean[]): [number, number][] {
    const found: [number, number][] = [];
    open.forEach((isOpen, day) => {
        const last = found.at(-1);
        if (!isOpen) return;
        if (last && last[1] === day - 1) last[1] = day;
        else found.push([day, day]);
    });
    return found;
}
