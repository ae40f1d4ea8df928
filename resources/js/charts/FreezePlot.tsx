import { say } from '../words/words';
import { dateInWords, yearDay, type MonthDay } from '../time/days';
import type { YearScale } from '../time/yearScale';

export type SeasonFreezes = {
    season: number;
    first: MonthDay | null;
    last: MonthDay | null;
    first_date: string | null;
    last_date: string | null;
};

export const SEASON_HEIGHT = 7;
const TOP = 46;

export function freezePlotHeight(seasons: SeasonFreezes[]): number {
    return TOP + seasons.length * SEASON_HEIGHT + 6;
}

/**
 * One line per year on record: frost until its last freeze and from its first freeze on, nothing between. The first freeze after a spring
 * belongs to the next cold season, so the two come from neighboring seasons.
 */
export function FreezePlot({
    scale,
    seasons,
    risks,
    others = [],
}: {
    scale: YearScale;
    seasons: SeasonFreezes[];
    risks: { label: string; date: MonthDay | null }[];
    /** dates of another zone or period, drawn beside them */
    others?: (MonthDay | null)[];
}) {
    const height = freezePlotHeight(seasons);
    return (
        <g>
            {seasons.map((season, i) => {
                const next = seasons.find((other) => other.season === season.season + 1);
                const y = TOP + i * SEASON_HEIGHT;
                // A last freeze before midwinter, or a first one after it, belongs to the neighboring line's winter.
                const last = season.last === null ? null : scale.x(yearDay(season.last));
                const first = !next || next.first === null ? null : scale.x(yearDay(next.first));
                const until = last === null || last > scale.width / 2 ? 0 : last + scale.width / 365;
                const from = first === null || first < scale.width / 2 ? scale.width : first;
                return (
                    <g key={season.season}>
                        <title>{inWords(season, next)}</title>
                        <rect x={0} y={y} width={scale.width} height={SEASON_HEIGHT} fill="transparent" />
                        <rect x={0} y={y + 1} width={until} height={SEASON_HEIGHT - 2} fill="url(#hatch-freeze)" />
                        <rect
                            x={from}
                            y={y + 1}
                            width={Math.max(0, scale.width - from)}
                            height={SEASON_HEIGHT - 2}
                            fill="url(#hatch-freeze)"
                        />
                        {season.season % 5 === 0 && (
                            <text className="quiet" x={-10} y={y + 6} textAnchor="end" fontSize="10">
                                {season.season}
                            </text>
                        )}
                    </g>
                );
            })}
            {others.map(
                (date, i) =>
                    date !== null && (
                        <line
                            key={i}
                            x1={scale.x(yearDay(date))}
                            x2={scale.x(yearDay(date))}
                            y1={TOP}
                            y2={height - 4}
                            stroke="var(--plum)"
                            strokeWidth="2"
                            strokeDasharray="3 3"
                        />
                    ),
            )}
            {risks.map(
                ({ label, date }, i) =>
                    date !== null && (
                        <g key={label + i}>
                            <line
                                className="ink"
                                x1={scale.x(yearDay(date))}
                                x2={scale.x(yearDay(date))}
                                y1={20 + 10 * (i % 3)}
                                y2={height - 4}
                                strokeDasharray={['', '5 2', '1.5 2'][i % 3]}
                            />
                            <text x={scale.x(yearDay(date))} y={17 + 10 * (i % 3)} textAnchor="middle" fontSize="10">
                                {label}
                            </text>
                        </g>
                    ),
            )}
        </g>
    );
}

function inWords(season: SeasonFreezes, next: SeasonFreezes | undefined): string {
    const last =
        season.last_date === null
            ? say('freeze-plot.no-freeze-before-summer')
            : say('freeze-plot.last-freeze', { last_date: dateInWords(season.last_date) });
    const first = !next
        ? say('freeze-plot.first-freeze-not-known')
        : next.first_date === null
          ? say('freeze-plot.no-freeze-after-summer')
          : say('freeze-plot.first-freeze', { first_date: dateInWords(next.first_date) });
    return `${last}, ${first}`;
}
