import type { ReactNode } from 'react';
import { dateInWords, inWords, joined, spanInShort, spanInWords, type MonthDay, type Span } from '../charts/days';
import { DerivationTable, type Line } from '../charts/DerivationTable';
import { HATCH, Hatches, OUTCOMES, REASONS, Swatch } from '../charts/Hatches';
import { LANE_HEIGHT, WindowLane, type LaneData } from '../charts/WindowLane';
import { RULER_HEIGHT, YearRuler, type RulerData } from '../charts/YearRuler';
import { yearScale } from '../charts/yearScale';

type Route = LaneData & { route: string };
type Common = {
    base: string;
    zone: { slug: string; name: string; district: string; hemisphere: string; height_m: number };
    edition: { number: number; published_on: string; published_by: string; note: string; checksum: string };
    guidance: string;
    /** said where the record is short */
    first_guess: string | null;
};
type Freeze = {
    threshold: string;
    celsius: number;
    in_words: string;
    last: { in_words: string; date: MonthDay | null }[];
    first: { in_words: string; date: MonthDay | null }[];
};
type FullRuler = RulerData & { freezes: Freeze[] };

export type HomeProps = {
    asked: boolean;
    found: boolean;
    zones: {
        slug: string;
        name: string;
        district: string;
        height_m: number;
        settlements: { name: string; postcode: string | null }[];
    }[];
};
export type CalendarProps = Common & {
    ruler: FullRuler;
    record: { station: string; first: string; last: string };
    crops: { slug: string; name: string; kind: string; routes: Route[] }[];
};
export type WeekProps = Common & {
    week: {
        week: number;
        first: MonthDay;
        last: MonthDay;
        tasks: {
            crop: string;
            name: string;
            act: string;
            opens: MonthDay;
            closes: MonthDay | null;
            last_chance: boolean;
            opening: boolean;
        }[];
    };
    cautions: Record<string, string[]>;
    /** what opens in the next week in which something does, where this one has nothing to do */
    opens_next: { crop: string; name: string; act: string; opens: MonthDay; week: number }[];
    previous: number;
    next: number;
    frost: string;
};
export type CropProps = Common & {
    ruler: FullRuler;
    crop: {
        slug: string;
        name: string;
        latin: string;
        family: string;
        start: string;
        depth_cm: number;
        spacing_cm: number;
        row_cm: number;
        notes: string | null;
        cautions: { code: string; in_words: string }[];
        routes: (Route & { derivation: Line[] })[];
    };
};

export type PageData =
    | { page: 'home'; props: HomeProps }
    | { page: 'calendar'; props: CalendarProps }
    | { page: 'week'; props: WeekProps }
    | { page: 'crop'; props: CropProps };

export function GardenerPage({ data }: { data: PageData }) {
    switch (data.page) {
        case 'home':
            return <Home {...data.props} />;
        case 'calendar':
            return <Calendar {...data.props} />;
        case 'week':
            return <Week {...data.props} />;
        case 'crop':
            return <CropPage {...data.props} />;
    }
}

function Home({ asked, found, zones }: HomeProps) {
    const districts = [...new Set(zones.map((zone) => zone.district))];
    return (
        <main className="home">
            <h1>When to sow, where you are</h1>
            <form action="/" method="get" role="search" className="find">
                <label htmlFor="place">Your town, postcode or zone</label>
                <div>
                    <input id="place" name="place" type="search" autoComplete="postal-code" required />
                    <button type="submit">Show its calendar</button>
                </div>
            </form>
            {asked && !found && (
                <p role="status" className="warning">
                    No zone is known by that name. Choose the one you live in, or ask your extension office.
                </p>
            )}
            {asked && found && <p role="status">Several zones fit. Choose the one you live in.</p>}
            {zones.length === 0 && <p>No calendar has been published yet.</p>}
            {districts.map((district) => (
                <section key={district}>
                    <h2>{district}</h2>
                    <ul className="zones">
                        {zones
                            .filter((zone) => zone.district === district)
                            .map((zone) => (
                                <li key={zone.slug}>
                                    <a href={`/zones/${zone.slug}/this-week`}>{zone.name}</a>
                                    <span>
                                        {zone.settlements.map((s) => s.name).join(', ')}
                                        {zone.settlements.length > 0 && ' · '}
                                        {zone.height_m} m
                                    </span>
                                </li>
                            ))}
                    </ul>
                </section>
            ))}
            <footer>
                <a href="/desk">For educators</a>
            </footer>
        </main>
    );
}

function Frame({
    common,
    here,
    children,
}: {
    common: Common;
    here: 'week' | 'calendar' | 'crop';
    children: ReactNode;
}) {
    const { base, zone, edition } = common;
    return (
        <>
            <header className="top">
                <a className="zone" href={`${base}`}>
                    {zone.name}
                </a>
                <nav aria-label="This zone">
                    <a href={`${base}/this-week`} aria-current={here === 'week' ? 'page' : undefined}>
                        This week
                    </a>
                    <a href={base} aria-current={here === 'calendar' ? 'page' : undefined}>
                        The year
                    </a>
                    <a href="/">Other zones</a>
                </nav>
            </header>
            <main>
                {common.first_guess !== null && (
                    <p className="warning" role="note">
                        {common.first_guess} The weather record of this place is short; its dates are counted back from
                        the freezes so far and may move by weeks.
                    </p>
                )}
                {children}
            </main>
            <footer>
                <p>{common.guidance}</p>
                <p className="take">
                    Take it with you: <a href={`${base}/calendar.ics`}>calendar feed (.ics)</a>,{' '}
                    <a href={`${base}/calendar.csv`}>table (.csv)</a>,{' '}
                    <a href={`${base}/calendar.json`}>data (.json)</a>
                </p>
                <p className="edition">
                    {zone.district}, edition {edition.number}, published {dateInWords(edition.published_on)} by{' '}
                    {edition.published_by}. {edition.note}{' '}
                    <a href={`/zones/${zone.slug}/editions/${edition.number}`}>Lasting address of this edition</a>
                    <br />
                    <span className="checksum">Checksum {edition.checksum.slice(0, 16)}</span>
                </p>
            </footer>
        </>
    );
}

const GROUPS: [string, string][] = [
    ['sow outdoors', 'Sow outdoors'],
    ['plant', 'Plant'],
    ['start under cover', 'Start under cover'],
    ['set out', 'Set out'],
];

function Week(props: WeekProps) {
    const { week, base, cautions } = props;
    const closing = week.tasks.filter((task) => task.last_chance);
    const cautioned = [...new Set(week.tasks.map((task) => task.crop))].filter((crop) => cautions[crop]);
    return (
        <Frame common={props} here="week">
            <h1>
                {inWords(week.first)} to {inWords(week.last)}
            </h1>
            <p className="frost">{props.frost}</p>
            <nav className="weeks" aria-label="Weeks">
                <a href={`${base}/weeks/${props.previous}`} rel="prev">
                    Week before
                </a>
                <a href={`${base}/weeks/${props.next}`} rel="next">
                    Week after
                </a>
            </nav>
            {week.tasks.length === 0 && (
                <>
                    <p>Nothing to sow or set out this week.</p>
                    {props.opens_next.length > 0 && (
                        <section>
                            <h2>What opens next</h2>
                            <ul className="tasks">
                                {props.opens_next.map((task) => (
                                    <li key={task.crop + task.act}>
                                        <a href={`${base}/crops/${task.crop}`}>{task.name}</a>
                                        <span>
                                            {task.act}, from {inWords(task.opens)}
                                        </span>
                                    </li>
                                ))}
                            </ul>
                        </section>
                    )}
                    <p>
                        <a href={base}>The whole year</a>
                    </p>
                </>
            )}
            {closing.length > 0 && (
                <section className="closing">
                    <h2>Last chance</h2>
                    <ul className="tasks">
                        {closing.map((task) => (
                            <li key={task.crop + task.act + task.opens}>
                                <a href={`${base}/crops/${task.crop}`}>{task.name}</a>
                                <span className="soon">
                                    {task.act} to {inWords(task.closes ?? week.last)}
                                </span>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            <div className="groups">
                {GROUPS.map(([act, title]) => {
                    const tasks = week.tasks.filter((task) => task.act === act);
                    return (
                        tasks.length > 0 && (
                            <section key={act}>
                                <h2>{title}</h2>
                                <ul className="tasks">
                                    {tasks.map((task) => (
                                        <li key={task.crop + task.opens}>
                                            <a href={`${base}/crops/${task.crop}`}>{task.name}</a>
                                            <span className={task.last_chance ? 'soon' : undefined}>
                                                {task.closes === null
                                                    ? 'all year'
                                                    : task.opening
                                                      ? `opens ${inWords(task.opens)}`
                                                      : `to ${inWords(task.closes)}`}
                                            </span>
                                        </li>
                                    ))}
                                </ul>
                            </section>
                        )
                    );
                })}
            </div>
            {cautioned.length > 0 && (
                <section className="cautions">
                    <h2>Take care</h2>
                    <ul>
                        {[...new Set(cautioned.flatMap((crop) => cautions[crop] ?? []))].map((words) => (
                            <li key={words}>
                                <strong>
                                    {cautioned
                                        .filter((crop) => cautions[crop]?.includes(words))
                                        .map((crop) => week.tasks.find((task) => task.crop === crop)?.name)
                                        .join(', ')}
                                </strong>{' '}
                                {words}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
        </Frame>
    );
}

const CHARTS = [
    { name: 'narrow', width: 352 },
    { name: 'wide', width: 820 },
];

/** The year ruler, with the lanes of a crop under it, drawn for a phone and for a screen: the page shows the one that fits. */
function ZoneChart({ ruler, routes, label }: { ruler: RulerData; routes: Route[]; label: string }) {
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
                            {route.act}
                        </text>
                        <g transform="translate(0 13)">
                            <WindowLane scale={scale} lane={route} />
                        </g>
                    </g>
                ))}
            </svg>
        );
    });
}

function Calendar(props: CalendarProps) {
    const light = props.ruler.freezes.find((freeze) => freeze.threshold === 'light-freeze');
    return (
        <Frame common={props} here="calendar">
            <Hatches />
            <h1>The sowing year in {props.zone.name}</h1>
            {light && (
                <p className="frost">
                    Last freeze:{' '}
                    {light.last
                        .map((risk) => (risk.date === null ? 'none' : `${inWords(risk.date)} (${risk.in_words} later)`))
                        .join(', ')}
                    . First freeze:{' '}
                    {light.first
                        .map((risk) =>
                            risk.date === null ? 'none' : `${inWords(risk.date)} (${risk.in_words} earlier)`,
                        )
                        .join(', ')}
                    . From {props.ruler.seasons} cold seasons on record.
                </p>
            )}
            <div className="year-ruler">
                <ZoneChart
                    ruler={props.ruler}
                    routes={[]}
                    label="Chance of freeze, soil temperature and day length through the year"
                />
                <p className="key">
                    Blue: chance of freeze. Red: days of 30 °C. Line: soil at 5 cm. Ticks: hours of daylight.
                </p>
            </div>
            <p className="find filter" hidden>
                <label htmlFor="crop">Find a crop</label>
                <input id="crop" type="search" />
            </p>
            <table className="ruled calendar">
                <thead>
                    <tr>
                        <th scope="col">Crop</th>
                        <th scope="col">Start under cover</th>
                        <th scope="col">Sow or plant outdoors</th>
                        <th scope="col">Set out</th>
                        <th scope="col">Harvest</th>
                    </tr>
                </thead>
                <tbody>
                    {props.crops.map((crop) => {
                        const direct = crop.routes.find((route) => route.route === 'direct');
                        const transplant = crop.routes.find((route) => route.route === 'transplant');
                        return (
                            <tr key={crop.slug} data-name={crop.name.toLowerCase()}>
                                <th scope="row">
                                    <a href={`${props.base}/crops/${crop.slug}`}>{crop.name}</a>
                                </th>
                                <Spans title="Start under cover" spans={transplant?.under_cover} />
                                <Spans
                                    title={direct?.act === 'plant' ? 'Plant' : 'Sow outdoors'}
                                    spans={direct?.windows}
                                    none={direct && 'no window here'}
                                />
                                <Spans
                                    title="Set out"
                                    spans={transplant?.windows}
                                    none={transplant && 'no window here'}
                                />
                                <Spans
                                    title="Harvest"
                                    spans={joined(
                                        crop.routes.flatMap((route) => route.harvests),
                                        props.ruler.starts,
                                    )}
                                />
                            </tr>
                        );
                    })}
                </tbody>
            </table>
            <p role="status" className="no-crop" hidden>
                No crop here is called that.
            </p>
        </Frame>
    );
}

function Spans({ title, spans, none }: { title: string; spans?: Span[]; none?: string }) {
    const words = spans && spans.length > 0 ? spans.map(spanInShort) : none ? [none] : [];
    return (
        <td data-title={title} className={words.length === 0 ? 'blank' : undefined}>
            {words.map((text) => (
                <span key={text}>{text}</span>
            ))}
        </td>
    );
}

function CropPage(props: CropProps) {
    const { crop, ruler, base } = props;
    const reasons = [...new Set(crop.routes.flatMap((route) => (route.reasons ?? []).map((span) => span.reason)))];
    return (
        <Frame common={props} here="crop">
            <Hatches />
            <h1>{crop.name}</h1>
            <p className="latin">
                <em>{crop.latin}</em>, {crop.family}
            </p>
            {crop.routes.map((route) => (
                <p className="answer" key={route.route}>
                    {route.windows.length === 0 ? (
                        <>There is no window to {route.act} here.</>
                    ) : (
                        <>
                            <strong>{capital(route.act)}</strong> {route.windows.map(spanInWords).join(', and ')}
                            {route.under_cover.length > 0 && (
                                <>; start under cover {route.under_cover.map(spanInWords).join(', and ')}</>
                            )}
                            {route.harvests.length > 0 && (
                                <>; harvest {joined(route.harvests, ruler.starts).map(spanInWords).join(', and ')}</>
                            )}
                            .
                        </>
                    )}
                </p>
            ))}
            {crop.cautions.length > 0 && (
                <section className="cautions">
                    <h2>Take care</h2>
                    <ul>
                        {crop.cautions.map((caution) => (
                            <li key={caution.code}>{caution.in_words}</li>
                        ))}
                    </ul>
                </section>
            )}
            <div className="year-ruler">
                <ZoneChart
                    ruler={ruler}
                    routes={crop.routes}
                    label={`Windows of ${crop.name} through the year; the same as in words above`}
                />
                <ul className="key legend">
                    <li>
                        <Swatch>
                            <path className="bracket" d="M1 9V2H21V9" />
                        </Swatch>
                        window
                    </li>
                    {crop.routes.some((route) => route.under_cover.length > 0) && (
                        <li>
                            <Swatch>
                                <path className="cover" d="M1 7V3H21V7" />
                            </Swatch>
                            start under cover
                        </li>
                    )}
                    {crop.routes.some((route) => route.harvests.length > 0) && (
                        <li>
                            <Swatch>
                                <path className="harvest" d="M1 6H21" />
                            </Swatch>
                            harvest
                        </li>
                    )}
                    {reasons.map((reason) => (
                        <li key={reason}>
                            <Swatch>
                                <rect width="22" height="9" y="1" fill={HATCH[reason]} />
                            </Swatch>
                            {REASONS[reason] ?? OUTCOMES[reason]}
                        </li>
                    ))}
                </ul>
            </div>
            <section>
                <h2>How to sow it</h2>
                <p>
                    {crop.depth_cm} cm deep, {crop.spacing_cm} cm apart, rows {crop.row_cm} cm apart. {crop.notes}
                </p>
            </section>
            {crop.routes.map((route) => (
                <section key={route.route}>
                    <h2>Why these dates: {route.act}</h2>
                    <DerivationTable lines={route.derivation} />
                </section>
            ))}
            <p>
                <a href={base}>All crops of {props.zone.name}</a>
            </p>
        </Frame>
    );
}

function capital(text: string): string {
    return text.charAt(0).toUpperCase() + text.slice(1);
}
