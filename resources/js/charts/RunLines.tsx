import { say } from '../words/words';
import { inShort, monthDay, YEAR } from '../time/days';
import { HATCH } from './Hatches';
import type { YearScale } from '../time/yearScale';

export type YearRun = {
    year: number;
    outcome: string;
    /** days from sowing; null if there is none */
    up: number | null;
    harvest: number | null;
    end: number;
};

type Runs = {
    outcomes: string[];
    years: { year: number; outcome: number[]; up: number[]; harvest: number[]; end: number[] }[];
};

/** How a planting on one day turned out, in each year. */
export function runsOn(runs: Runs, day: number): YearRun[] {
    const i = day - 1;
    return runs.years.flatMap((year) => {
        const outcome = runs.outcomes[year.outcome[i] ?? -1];
        if (!outcome) return [];
        const known = (days: number | undefined) => (days === undefined || days < 0 ? null : days);
        return [
            {
                year: year.year,
                outcome,
                up: known(year.up[i]),
                harvest: known(year.harvest[i]),
                end: year.end[i] ?? 0,
            },
        ];
    });
}

export const RUN_HEIGHT = 9;
const LOST = 6;

/** One line per year on the ruler: in the ground, growing, in harvest; and how it ended. */
export function RunLines({ scale, runs, day }: { scale: YearScale; runs: YearRun[]; day: number }) {
    const from = scale.x(day);
    const dayWidth = scale.width / YEAR;
    // A season past the end of the ruler continues at its start.
    const pieces = (a: number, b: number): [number, number][] => {
        const [left, right] = [from + a * dayWidth, from + b * dayWidth];
        if (left >= scale.width) return [[left - scale.width, Math.min(scale.width, right - scale.width)]];
        return right <= scale.width
            ? [[left, right]]
            : [
                  [left, scale.width],
                  [0, right - scale.width],
              ];
    };
    const bar = (a: number, b: number, y: number, height: number, fill: string, key: string) =>
        pieces(a, b).map(([left, right], i) => (
            <rect key={key + i} x={left} width={Math.max(0.5, right - left)} y={y} height={height} fill={fill} />
        ));
    return (
        <g>
            {runs.map((run, i) => {
                const y = i * RUN_HEIGHT;
                const grown = run.harvest ?? run.end;
                const lost = pieces(run.end, run.end + LOST / dayWidth)[0] ?? [0, 0];
                return (
                    <g key={run.year}>
                        <title>{runInWords(run, day)}</title>
                        <rect x={0} y={y} width={scale.width} height={RUN_HEIGHT} fill="transparent" />
                        {run.year % 5 === 0 && (
                            <text className="quiet" x={-10} y={y + 8} textAnchor="end" fontSize="10">
                                {run.year}
                            </text>
                        )}
                        {bar(0, run.up ?? run.end, y + 4, 1, 'var(--stone)', 'ground')}
                        {run.up !== null && bar(run.up, grown, y + 3, 3, 'var(--stone)', 'growing')}
                        {run.harvest !== null &&
                            bar(
                                run.harvest,
                                run.end,
                                y + 1,
                                7,
                                run.outcome === 'harvest' ? 'var(--leaf)' : 'url(#hatch-short)',
                                'harvest',
                            )}
                        {run.harvest === null && (
                            <rect
                                x={lost[0]}
                                y={y + 1}
                                width={LOST}
                                height={7}
                                fill={HATCH[run.outcome]}
                                stroke="var(--stone)"
                                strokeWidth="0.6"
                            />
                        )}
                    </g>
                );
            })}
        </g>
    );
}

/** "2004: sown May 12, up May 20, first harvest July 3, over July 19". */
export function runInWords(run: YearRun, day: number): string {
    const on = (days: number) => inShort(monthDay(day + days));
    const parts = [`${run.year}: ${on(0)}`];
    if (run.up !== null && run.up > 0) parts.push(say('run-lines.up', { up: on(run.up) }));
    if (run.harvest !== null)
        parts.push(
            say('run-lines.first-harvest', { harvest: on(run.harvest) }),
            say('run-lines.over', { end: on(run.end) }),
        );
    const ended = say(`outcome.${run.outcome}`);
    if (run.outcome !== 'harvest') parts.push(run.harvest === null ? `${ended}, ${on(run.end)}` : ended);
    return parts.join(', ');
}
