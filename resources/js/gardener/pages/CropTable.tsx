import { LANE_HEIGHT, WindowLane } from '../../charts/WindowLane';
import { daysUntil, joined, spanInShort, yearDay, type MonthDay, type Span } from '../../time/days';
import { yearScale, type YearScale } from '../../time/yearScale';
import { own, say } from '../../words/words';
import type { Chance } from '../../charts/Brackets';
import { Own } from './Own';
import type { CalendarCrop } from './props';

/** Width of the year beside the dates, px. */
const LANE_WIDTH = 280;

/** A first harvest this soon after the first day to act makes a crop quick. */
const QUICK_DAYS = 60;

type Route = CalendarCrop['routes'][number];

/** Crops with their dates in columns and, on wide screens, their windows under a year of months. */
export function CropTable({ crops, base, starts }: { crops: CalendarCrop[]; base: string; starts: MonthDay }) {
    const scale = yearScale(starts, LANE_WIDTH);
    return (
        <table className="ruled calendar">
            <thead>
                <tr>
                    {['crop', 'start-under-cover', 'sow-or-plant', 'set-out', 'harvest'].map((column) => (
                        <th key={column} scope="col">
                            {say(`page.calendar.${column}`)}
                        </th>
                    ))}
                    <th scope="col" className="lane">
                        <span className="sr-only">{say('page.year')}</span>
                        <Months scale={scale} />
                    </th>
                </tr>
            </thead>
            <tbody>
                {crops.map((crop) => (
                    <Row key={crop.slug} crop={crop} base={base} scale={scale} starts={starts} />
                ))}
            </tbody>
        </table>
    );
}

function Row({ crop, base, scale, starts }: { crop: CalendarCrop; base: string; scale: YearScale; starts: MonthDay }) {
    const direct = crop.routes.find((route) => route.route === 'direct');
    const transplant = crop.routes.find((route) => route.route === 'transplant');
    const none = say('page.calendar.no-window');
    return (
        <tr
            data-name={[own(crop.name), crop.name, own(crop.also_called ?? ''), crop.also_called]
                .join(' ')
                .toLowerCase()}
            data-months={months(crop.routes).join(' ')}
            data-family={crop.family}
            data-cover={crop.routes.some((route) => route.under_cover.length > 0) ? '' : undefined}
            data-quick={isQuick(crop.routes) ? '' : undefined}
        >
            <th scope="row">
                <a href={`${base}/crops/${crop.slug}`}>
                    <Own text={crop.name} />
                </a>
            </th>
            <Spans title={say('act.start-under-cover.lead')} spans={transplant?.under_cover} />
            <Spans
                title={say(`act.${direct?.act ?? 'sow-outdoors'}.lead`)}
                spans={direct?.windows}
                chances={direct?.chances}
                none={direct && none}
            />
            <Spans
                title={say('act.set-out.lead')}
                spans={transplant?.windows}
                chances={transplant?.chances}
                none={transplant && none}
            />
            <Spans
                title={say('page.calendar.harvest')}
                spans={joined(
                    crop.routes.flatMap((route) => route.harvests),
                    starts,
                )}
            />
            <td className="lane" aria-hidden="true">
                <Lanes crop={crop} scale={scale} />
            </td>
        </tr>
    );
}

/** A column's dates: windows, or else fair chances, or else that there are none. */
function Spans(props: { title: string; spans?: Span[]; chances?: Chance[]; none?: string }) {
    const { title, spans = [], chances = [], none } = props;
    const windows = spans.map(spanInShort);
    const fair = windows.length > 0 ? [] : chances;
    const words = windows.length > 0 || fair.length > 0 || !none ? windows : [none];
    return (
        <td data-title={title} className={words.length + fair.length === 0 ? 'blank' : undefined}>
            {words.map((text) => (
                <span key={text}>{text}</span>
            ))}
            {fair.map((chance) => (
                <span key={chance.first} className="fair">
                    {spanInShort(chance)} <small>{say('chance', { of_ten: chance.of_ten })}</small>
                </span>
            ))}
        </td>
    );
}

/** A crop's windows as brackets, one line per way of growing; the dates beside them say the same. */
export function Lanes({ crop, scale }: { crop: Pick<CalendarCrop, 'routes'>; scale: YearScale }) {
    const height = LANE_HEIGHT - 2;
    return (
        <svg
            className="chart"
            width={scale.width}
            height={crop.routes.length * height}
            viewBox={`0 0 ${scale.width} ${crop.routes.length * height}`}
        >
            <path
                className="rule"
                fill="none"
                d={scale.months
                    .slice(1)
                    .map((month) => `M${month.x} 0V${crop.routes.length * height}`)
                    .join('')}
            />
            {crop.routes.map((route, i) => (
                <g key={route.route} transform={`translate(0 ${i * height})`}>
                    <WindowLane scale={scale} lane={route} />
                </g>
            ))}
        </svg>
    );
}

export function Months({ scale }: { scale: YearScale }) {
    return (
        <svg className="chart" width={scale.width} height={14} viewBox={`0 0 ${scale.width} 14`} aria-hidden="true">
            {scale.months.map((month) => (
                <g key={month.name}>
                    <line className="rule" x1={month.x} x2={month.x} y1={0} y2={14} />
                    <text x={month.x + 3} y={11} fontSize="11">
                        {month.width < 30 ? month.short.slice(0, 1).toUpperCase() : month.short}
                    </text>
                </g>
            ))}
        </svg>
    );
}

/** Months in which there is something to do for a crop. */
function months(routes: Route[]): number[] {
    const spans = routes.flatMap((route) => [...dates(route), ...route.under_cover]);
    return Array.from({ length: 12 }, (_, i) => i + 1).filter((month) => {
        const name = String(month).padStart(2, '0');
        return spans.some(
            (span) => span.first.startsWith(name) || daysUntil(yearDay(span.first), yearDay(`${name}-01`)) < span.days,
        );
    });
}

function dates(route: Route): Span[] {
    return route.windows.length > 0 ? route.windows : (route.chances ?? []);
}

function isQuick(routes: Route[]): boolean {
    return routes.some((route) =>
        route.windows.some((window, i) => {
            const harvest = route.harvests[i];
            return harvest !== undefined && daysUntil(yearDay(window.first), yearDay(harvest.first)) <= QUICK_DAYS;
        }),
    );
}
