import { useCallback, useEffect, useMemo, useRef, useState, type MouseEvent, type RefObject } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Windows } from './queries';
import { useGround } from '../../api/sites';
import { useRain, useZone } from '../../api/zones';
import { DataTable } from '../../charts/DataTable';
import { Hatches } from '../../charts/Hatches';
import { dayAt } from '../../charts/pointer';
import { YearsWorkable } from '../../charts/RainChart';
import { useInSightFirst } from '../../ui/useInSightFirst';
import { useWidth } from '../../charts/useWidth';
import { CursorLine, DateCursor, RULER_HEIGHT, YearRuler } from '../../charts/YearRuler';
import { useDateCursor } from '../../time/cursor';
import { monthDay, spanInWords } from '../../time/days';
import { yearScale, type YearScale } from '../../time/yearScale';
import { useKeys } from '../../ui/keyboard';
import { Problem } from '../../ui/Problem';
import { listed, say } from '../../words/words';
import { CropPanel } from './CropPanel';
import { CropRow, LABELS } from './CropRow';
import { DayPanel } from './DayPanel';
import { Legend } from './Legend';
import { useChooseMethod, useTurned, type View } from './queries';
import { grouped, layOut, type Crop, type Rows } from './rows';
import { Tools } from './Tools';
import { isCalled } from '../../words/search';
import { useCrops } from '../../api/crops';

/** Room right of the scale, px. */
const RIGHT = 6;

/** Rows within this many pixels of the visible part are drawn, so all crops scroll smoothly; those out of sight come a moment later. */
const AHEAD = 700;

/** Heights of the tools over the ruler and of the legend under the rows, px. */
const TOOLS = 44;
const LEGEND = 56;

/** Height of the line of workable ground under the ruler, px. */
const WORKABLE = 17;

/** All crops under the ruler, and beside them what the date means, or the crop that was opened. */
export function Sheet({ zone, data, view }: { zone: string; data: Windows; view: View }) {
    const { params, set } = useAddress();
    const { day, set: toDay } = useDateCursor();
    const [asked, setAsked] = useState('');
    const [computation, setComputation] = useState<number | null>(null);
    const method = useChooseMethod(zone, setComputation);
    const find = useRef<HTMLInputElement>(null);
    const sheet = useRef<HTMLElement>(null);
    const [seen, setSeen] = useState({ top: 0, height: window.innerHeight - RULER_HEIGHT - TOOLS });
    const chosen = params.get('crop');
    const by = params.get('by') ?? 'family';
    const { data: book } = useCrops();
    const kind = useGround(view.site);
    const { data: rain } = useRain(zone);
    const workable = rain?.grounds.find((ground) => ground.ground === kind)?.share;
    const crops = useMemo(() => {
        const names = new Map(book?.map((crop) => [crop.slug, crop.names]));
        return data.crops.filter((crop) => isCalled([crop.name, crop.family, ...(names.get(crop.slug) ?? [])], asked));
    }, [data.crops, book, asked]);
    const rows = useMemo(() => layOut(grouped(crops, by, day)), [crops, by, day]);
    const open = useCallback((crop: string | null) => set('crop', crop), [set]);
    const walk = useSteps(rows, chosen, open);
    useKeys({
        '/': () => find.current?.focus(),
        j: () => walk(1, false),
        k: () => walk(-1, false),
        Escape: () => {
            find.current?.blur();
            open(null);
        },
    });
    useInSight(sheet, rows, chosen);
    const occurring = useMemo(
        () =>
            new Set(
                data.crops.flatMap((crop) => crop.routes.flatMap((route) => Object.keys(route.ribbon?.outcomes ?? {}))),
            ),
        [data.crops],
    );
    return (
        <div className="windows">
            <Hatches />
            <main
                ref={sheet}
                className="sheet"
                onScroll={({ currentTarget: { scrollTop, clientHeight } }) =>
                    setSeen({ top: scrollTop, height: clientHeight })
                }
            >
                <Tools
                    {...{ zone, data, view, method, set, find, asked, by, computation }}
                    onAsked={setAsked}
                    onFirst={() => open(rows.crops[0]?.crop.slug ?? null)}
                    count={crops.length}
                />
                <Notes zone={zone} data={data} standard={view.standard} />
                <Problem error={method.error} />
                <Rows {...{ data, workable, rows, seen, day, chosen, open, walk }} onDay={toDay} />
                {crops.length === 0 && <p role="status">{say('windows.no-crop-or-family-here')}</p>}
                <AllWindows zone={zone} crops={crops} />
                <Legend
                    counted={data.crops.some((crop) => crop.school === 'count-back')}
                    chances={data.crops.some((crop) => crop.routes.some((route) => route.chances?.length))}
                    occurring={occurring}
                />
            </main>
            <aside aria-live="polite" aria-label={chosen ? say('windows.the-crop') : say('windows.the-day')}>
                {chosen ? (
                    <CropPanel
                        zone={zone}
                        crop={chosen}
                        view={view}
                        row={data.crops.find((crop) => crop.slug === chosen)}
                        day={day}
                        onClose={() => open(null)}
                    />
                ) : (
                    <DayPanel
                        data={data}
                        ground={{ kind, workable: workable?.[day - 1] ?? null }}
                        day={day}
                        onChoose={open}
                    />
                )}
            </aside>
        </div>
    );
}

type Part = 'crop' | 'site' | 'standard' | 'by';

/** What is on screen is in the address, so it can be shared and gone back to. */
function useAddress() {
    const [params, setParams] = useSearchParams();
    const set = useCallback(
        (part: Part, value: string | null) =>
            setParams(
                (before) => {
                    const after = new URLSearchParams(before);
                    if (value === null) after.delete(part);
                    else after.set(part, value);
                    return after;
                },
                { replace: true },
            ),
        [setParams],
    );
    return { params, set };
}

/** Goes to the next crop or the previous one, in the order on screen, with the arrow keys, which move keyboard focus along. */
function useSteps(rows: Rows, chosen: string | null, open: (crop: string) => void) {
    const step = (to: number) => {
        const at = rows.crops.findIndex(({ crop }) => crop.slug === chosen);
        const last = rows.crops.length - 1;
        const next = rows.crops[at === -1 ? (to > 0 ? 0 : last) : Math.min(last, Math.max(0, at + to))];
        if (next) open(next.crop.slug);
    };
    const latest = useRef(step);
    useEffect(() => {
        latest.current = step;
    });
    const walking = useRef(false);
    useEffect(() => {
        if (!walking.current || chosen === null) return;
        walking.current = false;
        requestAnimationFrame(() => document.getElementById(`stop-${chosen}`)?.focus());
    }, [chosen]);
    return useCallback((to: number, withKeyboard = true) => {
        walking.current = withKeyboard;
        latest.current(to);
    }, []);
}

/** A row that is not drawn cannot be scrolled to, so the sheet is scrolled to where it will be. */
function useInSight(sheet: RefObject<HTMLElement | null>, rows: Rows, chosen: string | null) {
    const at = rows.crops.find(({ crop }) => crop.slug === chosen);
    const [top, bottom] = [at?.y, at && at.y + at.height];
    useEffect(() => {
        const box = sheet.current;
        if (!box || top === undefined || bottom === undefined) return;
        const head = RULER_HEIGHT + WORKABLE;
        const above = head + TOOLS;
        if (top + above < box.scrollTop + head) box.scrollTop = top + above - head - 30;
        else if (bottom + above > box.scrollTop + box.clientHeight - LEGEND)
            box.scrollTop = bottom + above - box.clientHeight + LEGEND + 30;
    }, [sheet, top, bottom]);
}

/** What has to be known before reading the dates. */
function Notes({ zone, data, standard }: { zone: string; data: Windows; standard: View['standard'] }) {
    const { data: here } = useZone(zone);
    const { data: turned } = useTurned(zone, standard);
    return (
        <>
            {data.ruler.short_record && (
                <p className="warning">
                    {say('windows.counted-back-from-the-freezes', {
                        clause: { key: 'first-guess.clause', with: { seasons: data.ruler.seasons } },
                    })}
                </p>
            )}
            {data.stale && (
                <p className="warning" role="status">
                    {here?.computation?.state === 'failed'
                        ? say('windows.the-last-computing-failed-these', { error: here.computation.error })
                        : say('windows.something-was-changed-since-these')}
                </p>
            )}
            {turned && turned.length > 0 && (
                <p className="hint">
                    {say('windows.turned', { crops: listed([...new Set(turned.map((crop) => crop.name))]) })}{' '}
                    <Link to={`/desk/zones/${zone}/track-record`}>{say('windows.turned-how')}</Link>
                </p>
            )}
        </>
    );
}

/** The ruler, and under it on the same scale every crop's row. */
function Rows({
    data,
    workable,
    rows,
    seen,
    day,
    onDay,
    chosen,
    open,
    walk,
}: {
    data: Windows;
    /** share of years, by sow day, in which the site's ground can be worked; empty without rain on record */
    workable: (number | null)[] | undefined;
    rows: Rows;
    seen: { top: number; height: number };
    day: number;
    onDay: (day: number) => void;
    chosen: string | null;
    open: (crop: string | null) => void;
    walk: (to: number) => void;
}) {
    const { ref, width } = useWidth();
    const ahead = useInSightFirst() ? AHEAD : 0;
    const height = RULER_HEIGHT + (workable ? WORKABLE : 0);
    const scale = useMemo(
        () => yearScale(data.ruler.starts, Math.max(280, (width || 960) - LABELS - RIGHT)),
        [data.ruler.starts, width],
    );
    const point = (event: MouseEvent<SVGSVGElement>) => {
        const at = dayAt(event, scale, LABELS);
        if (at !== null) onDay(at);
    };
    const latest = useRef(chosen);
    useEffect(() => {
        latest.current = chosen;
    });
    const toggle = useCallback((crop: string) => open(latest.current === crop ? null : crop), [open]);
    const stop = rows.crops.find(({ crop }) => crop.slug === chosen) ?? rows.crops[0];
    const drawn = width === null ? [] : rows.crops;
    return (
        <div ref={ref}>
            <svg
                className="chart ruler"
                width="100%"
                height={height}
                onClick={point}
                role="img"
                aria-label={say('windows.the-year-here-chance-of')}
            >
                <rect width="100%" height={height} fill="var(--paper)" />
                {width !== null && (
                    <g transform={`translate(${LABELS} 0)`}>
                        <YearRuler scale={scale} ruler={data.ruler} labels={LABELS} />
                        {workable && (
                            <g transform={`translate(0 ${RULER_HEIGHT - 2})`}>
                                <text className="quiet" x={-10} y={11} textAnchor="end" fontSize="11">
                                    {say('windows.workable')}
                                </text>
                                <YearsWorkable
                                    scale={scale}
                                    starts={data.ruler.starts}
                                    share={workable}
                                    height={WORKABLE - 3}
                                />
                            </g>
                        )}
                        <DateCursor scale={scale} day={day} height={height} label={monthDay(day)} />
                    </g>
                )}
            </svg>
            <div className="rows" style={{ height: Math.max(rows.height, 40) }}>
                <svg
                    className="chart"
                    width="100%"
                    height={Math.max(rows.height, 40)}
                    onClick={point}
                    aria-label={say('windows.windows-by-crop')}
                >
                    <MonthRules scale={scale} height={rows.height} />
                    {rows.groups.map(({ group, y }) => (
                        <text key={group} className="group" x={0} y={y + 15}>
                            {group}
                        </text>
                    ))}
                    {drawn
                        .filter(({ y, height }) => y + height > seen.top - ahead && y < seen.top + seen.height + ahead)
                        .map(({ crop, y, height }) => (
                            <CropRow
                                key={crop.slug}
                                {...{ crop, y, height, scale }}
                                starts={data.ruler.starts}
                                chosen={crop.slug === chosen}
                                onChoose={toggle}
                                onOpen={open}
                                onStep={walk}
                                stop={crop.slug === stop?.crop.slug}
                            />
                        ))}
                    <g transform={`translate(${LABELS} 0)`}>
                        <CursorLine scale={scale} day={day} height={rows.height} />
                    </g>
                </svg>
            </div>
        </div>
    );
}

function MonthRules({ scale, height }: { scale: YearScale; height: number }) {
    return (
        <g transform={`translate(${LABELS} 0)`}>
            {scale.months.map((month) => (
                <line key={month.name} className="rule" x1={month.x} x2={month.x} y1={0} y2={height} />
            ))}
        </g>
    );
}

function AllWindows({ zone, crops }: { zone: string; crops: Crop[] }) {
    return (
        <DataTable
            name={say('windows.all-windows')}
            file={`${zone}-windows`}
            columns={['crop', 'act', 'windows', 'under-cover', 'by'].map((column) => say(`windows.column.${column}`))}
            rows={() =>
                crops.flatMap((crop) =>
                    crop.routes.map((route) => [
                        crop.name,
                        say(`act.${route.act}`),
                        route.windows.map(spanInWords).join(', ') || say('common.no-window-here'),
                        route.under_cover.map(spanInWords).join(', '),
                        crop.school,
                    ]),
                )
            }
        />
    );
}
