import { LANE_HEIGHT, WindowLane } from '../../charts/WindowLane';
import { RULER_HEIGHT, YearRuler } from '../../charts/YearRuler';
import { yearScale } from '../../time/yearScale';
import { say } from '../../words/words';
import type { CalendarProps, Route } from './props';

const CHARTS = [
    { name: 'narrow', width: 352 },
    { name: 'wide', width: 820 },
];

/** The year ruler with the lanes of a crop under it, drawn for a phone and for a large screen; the page shows the one that fits. */
export function ZoneChart({ ruler, routes, label }: { ruler: CalendarProps['ruler']; routes: Route[]; label: string }) {
    const height = RULER_HEIGHT + routes.length * (LANE_HEIGHT + 16) + 4;
    return CHARTS.map(({ name, width }) => {
        const scale = yearScale(ruler.starts, width);
        return (
            <svg
                key={name}
                className={`chart ${name}`}
                viewBox={`-2 0 ${width + 4} ${height}`}
                role="img"
                aria-label={label}
            >
                {scale.months.map((month) => (
                    <line key={month.name} className="rule" x1={month.x} x2={month.x} y1={RULER_HEIGHT} y2={height} />
                ))}
                <YearRuler scale={scale} ruler={ruler} labels={0} />
                {routes.map((route, i) => (
                    <g key={route.route} transform={`translate(0 ${RULER_HEIGHT + i * (LANE_HEIGHT + 16)})`}>
                        <text x={2} y={10} fontWeight="600">
                            {say(`act.${route.act}`)}
                        </text>
                        <g transform="translate(0 13)">
                            <WindowLane
                                scale={scale}
                                lane={{ ...route, best: route.evidence?.flatMap((evidence) => evidence.span ?? []) }}
                            />
                        </g>
                    </g>
                ))}
            </svg>
        );
    });
}
