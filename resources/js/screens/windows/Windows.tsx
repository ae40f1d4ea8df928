import { say } from '../../words/words';
import { Button, Group, NativeSelect, Progress, SegmentedControl, TextInput } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { memo, useCallback, useEffect, useMemo, useRef, useState, type MouseEvent } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Refusal, type Computation, type Windows as WindowsData } from '../../api/client';
import { isOver, useCancel, useComputation, useZone } from '../../api/zones';
import { useChooseMethod, useCompute, useWindows, type View } from './queries';
import { useMay, useSession } from '../../access/session';
import { useSites } from '../../api/sites';
import { useKeys } from '../../ui/keyboard';
import { Behind } from '../../charts/Behind';
import { contains, daysUntil, monthDay, yearDay, yearDayOfDate, spanInWords, wrap } from '../../time/days';
import { HATCH, Hatches, OUTCOMES, REASONS, Swatch } from '../../charts/Hatches';
import { Brackets, OutcomeRibbon } from '../../charts/OutcomeRibbon';
import { WindowLane } from '../../charts/WindowLane';
import { DateCursor, RULER_HEIGHT, YearRuler } from '../../charts/YearRuler';
import { yearScale, type YearScale } from '../../time/yearScale';
import { CropPanel } from './CropPanel';
import { DayPanel } from './DayPanel';
import { isStandard, STANDARDS } from './standards';
import { Problem } from '../../ui/Problem';

const LABELS = 186;
const RIGHT = 6;
const ROW_GAP = 6;
const LANE = 28;
const LONGEST_NAME = 17;

type Crop = WindowsData['crops'][number];

/** Every crop's windows under the year ruler. */
export function Windows() {
    const { zone = '' } = useParams();
    const [params] = useSearchParams();
    const standard = params.get('standard');
    const site = Number(params.get('site')) || undefined;
    const view: View = { site, standard: isStandard(standard) ? standard : undefined };
    const { data, error } = useWindows(zone, view);
    const { data: here } = useZone(zone);
    if (error instanceof Refusal && error.status === 404 && site !== undefined) {
        return <AtSite key={site} zone={zone} site={site} />;
    }
    if (error instanceof Refusal && error.status === 404) {
        return (
            <main className="page">
                <h2>{say('windows.no-windows-yet')}</h2>
                <p role={here?.computation?.state === 'failed' ? 'alert' : undefined}>
                    {whyNone(here?.computation ?? null) ?? error.message}{' '}
                    <Link to={`/desk/zones/${zone}/record`}>{say('common.go-to-the-record')}</Link>
                </p>
            </main>
        );
    }
    return data ? <Sheet key={data.zone} zone={zone} data={data} view={view} /> : null;
}

/** Why there are no windows although somebody has brought a file; null where nobody has. */
function whyNone(computation: Computation | null): string | null {
    if (computation?.state === 'failed') return say('windows.the-computing-failed', { error: computation.error ?? '' });
    if (computation?.state === 'cancelled') return say('windows.the-computing-was-cancelled');
    return computation && !isOver(computation) ? say('windows.they-are-being-worked-out') : null;
}

/** Computes the windows at a site nobody has looked at since the zone was last computed. */
function AtSite({ zone, site }: { zone: string; site: number }) {
    const { data: sites } = useSites();
    const [computation, setComputation] = useState<number | null>(null);
    const { data: progress } = useComputation(zone, computation);
    const compute = useCompute(zone, setComputation);
    const cancel = useCancel();
    const [, setParams] = useSearchParams();
    const started = useRef(false);
    const { mutate } = compute;
    useEffect(() => {
        if (!started.current) mutate(site);
        started.current = true;
    }, [mutate, site]);
    const name = sites?.find((s) => s.id === site)?.name ?? say('windows.this-site');
    return (
        <main className="page">
            <h2>{say('windows.working-out-the-windows', { name })}</h2>
            <Problem error={compute.error ?? cancel.error} />
            <div role="status" aria-live="polite">
                <p>{progress?.state === 'failed' ? progress.error : say(`step.${progress?.step ?? 'waiting'}`)} …</p>
                <Progress
                    w={360}
                    value={!progress || progress.total === 0 ? 5 : (100 * progress.done) / progress.total}
                    aria-label={say('common.progress')}
                />
            </div>
            <Group mt="md">
                {computation !== null && progress && !isOver(progress) && (
                    <Button variant="default" size="xs" onClick={() => cancel.mutate(computation)}>
                        {say('common.cancel')}
                    </Button>
                )}
                <Button variant="subtle" color="gray" size="xs" onClick={() => setParams({})}>
                    {say('windows.back-to-open-ground')}
                </Button>
            </Group>
        </main>
    );
}

/** How the light of a day counts for growth; the zone's calendar follows what is chosen. */
const LIGHTS = [
    { value: 'radiation', label: say('windows.light-radiation') },
    { value: 'ten-hour', label: say('windows.light-ten-hours') },
    { value: 'none', label: say('windows.light-left-out') },
];

const GROUPINGS = [
    { value: 'family', label: say('windows.by-family') },
    { value: 'season', label: say('windows.by-season') },
    { value: 'next', label: say('windows.by-what-is-next') },
];

function Sheet({ zone, data, view }: { zone: string; data: WindowsData; view: View }) {
    const { data: session } = useSession();
    const mayEdit = useMay('edit-zones');
    const [params, setParams] = useSearchParams();
    const [asked, setAsked] = useState('');
    const { data: here } = useZone(zone);
    const { data: sites } = useSites();
    const [computation, setComputation] = useState<number | null>(null);
    const { data: progress } = useComputation(zone, computation);
    const method = useChooseMethod(zone, setComputation);
    const [seen, setSeen] = useState({ top: 0, height: 900 });
    const find = useRef<HTMLInputElement>(null);
    const sheet = useRef<HTMLElement>(null);
    const { ref, width } = useElementSize();
    const scale = useMemo(
        () => yearScale(data.ruler.starts, Math.max(280, (width || 960) - LABELS - RIGHT)),
        [data.ruler.starts, width],
    );
    const today = yearDayOfDate(session?.today ?? '2001-01-01');
    const chosen = params.get('crop');
    const day = /^\d\d-\d\d$/.test(params.get('on') ?? '') ? yearDay(params.get('on') ?? '') : today;
    const crops = useMemo(() => {
        const plain = asked.trim().toLowerCase();
        return data.crops.filter((crop) => `${crop.name} ${crop.family}`.toLowerCase().includes(plain));
    }, [data.crops, asked]);

    const set = (key: 'crop' | 'on' | 'site' | 'standard' | 'by', value: string | null) =>
        setParams(
            (before) => {
                const after = new URLSearchParams(before);
                if (value === null) after.delete(key);
                else after.set(key, value);
                return after;
            },
            { replace: true },
        );
    const choose = useCallback(
        (crop: string) =>
            setParams(
                (before) => {
                    const after = new URLSearchParams(before);
                    if (after.get('crop') === crop) after.delete('crop');
                    else after.set('crop', crop);
                    return after;
                },
                { replace: true },
            ),
        [setParams],
    );
    const open = useCallback(
        (crop: string) =>
            setParams(
                (before) => {
                    const after = new URLSearchParams(before);
                    after.set('crop', crop);
                    return after;
                },
                { replace: true },
            ),
        [setParams],
    );
    const move = (days: number) => set('on', monthDay(wrap(day + days)));
    const by = params.get('by') ?? 'family';
    const rows = useMemo(() => layOut(grouped(crops, by, day)), [crops, by, day]);
    /** The next or the one before, in the order they are seen in. */
    const step = (to: number) => {
        const at = rows.crops.findIndex(({ crop }) => crop.slug === chosen);
        const last = rows.crops.length - 1;
        const next = rows.crops[at === -1 ? (to > 0 ? 0 : last) : Math.min(last, Math.max(0, at + to))];
        if (next) set('crop', next.crop.slug);
    };
    /** The same by the arrows, which take the keyboard along. */
    const latest = useRef(step);
    useEffect(() => {
        latest.current = step;
    });
    const walking = useRef(false);
    const walk = useCallback((to: number) => {
        walking.current = true;
        latest.current(to);
    }, []);
    useEffect(() => {
        if (!walking.current || chosen === null) return;
        walking.current = false;
        requestAnimationFrame(() => document.getElementById(`stop-${chosen}`)?.focus());
    }, [chosen]);
    useKeys({
        '/': () => find.current?.focus(),
        j: () => step(1),
        k: () => step(-1),
        '[': () => move(-7),
        ']': () => move(7),
        '{': () => move(-1),
        '}': () => move(1),
        t: () => set('on', null),
        Escape: () => {
            find.current?.blur();
            set('crop', null);
        },
    });

    const point = (event: MouseEvent<SVGSVGElement>) => {
        const x = event.clientX - event.currentTarget.getBoundingClientRect().left - LABELS;
        if (x >= 0 && x <= scale.width) set('on', monthDay(scale.day(x)));
    };
    const at = chosen === null ? undefined : rows.crops.find(({ crop }) => crop.slug === chosen);
    const [top, bottom] = [at?.y, at && at.y + at.height];
    // A row that is not drawn cannot be scrolled to, so the sheet is scrolled to where it will be.
    useEffect(() => {
        const box = sheet.current;
        if (!box || top === undefined || bottom === undefined) return;
        const above = RULER_HEIGHT + TOOLS;
        if (top + above < box.scrollTop + RULER_HEIGHT) box.scrollTop = top + above - RULER_HEIGHT - 30;
        else if (bottom + above > box.scrollTop + box.clientHeight - LEGEND)
            box.scrollTop = bottom + above - box.clientHeight + LEGEND + 30;
    }, [top, bottom]);
    const shown = rows.crops.filter(
        ({ y, height }) => y + height > seen.top - AHEAD && y < seen.top + seen.height + AHEAD,
    );
    return (
        <div className="windows">
            <Hatches />
            <main
                ref={sheet}
                className="sheet"
                onScroll={(event) =>
                    setSeen({ top: event.currentTarget.scrollTop, height: event.currentTarget.clientHeight })
                }
            >
                <div className="tools">
                    <TextInput
                        ref={find}
                        size="xs"
                        aria-label={say('common.find-a-crop')}
                        placeholder={say('windows.find-a-crop')}
                        value={asked}
                        onChange={(event) => setAsked(event.currentTarget.value)}
                        onKeyDown={(event) => {
                            const first = rows.crops[0]?.crop;
                            if (event.key === 'Enter' && first) {
                                set('crop', first.slug);
                                event.currentTarget.blur();
                            }
                        }}
                        w={176}
                    />
                    <NativeSelect
                        size="xs"
                        aria-label={say('windows.grouped')}
                        value={by}
                        onChange={(event) => set('by', event.currentTarget.value)}
                        data={GROUPINGS}
                    />
                    <NativeSelect
                        size="xs"
                        aria-label={say('common.site')}
                        value={String(view.site ?? sites?.[0]?.id ?? '')}
                        onChange={(event) =>
                            set(
                                'site',
                                event.currentTarget.value === String(sites?.[0]?.id) ? null : event.currentTarget.value,
                            )
                        }
                        data={(sites ?? [])
                            .filter((site) => site.zone === null || site.zone === zone)
                            .map((site) => ({ value: String(site.id), label: site.name }))}
                    />
                    {mayEdit && (
                        <NativeSelect
                            size="xs"
                            aria-label={say('common.light')}
                            disabled={method.isPending}
                            value={here?.light ?? 'radiation'}
                            onChange={(event) =>
                                here &&
                                method.mutate({
                                    standard: here.standard,
                                    light: event.currentTarget.value as typeof here.light,
                                    version: here.version,
                                })
                            }
                            data={LIGHTS}
                        />
                    )}
                    {!mayEdit && <span className="hint">{LIGHTS.find((l) => l.value === here?.light)?.label}</span>}
                    {data.standards.length > 1 && (
                        <>
                            <span className="hint">{say('windows.harvest-in')}</span>
                            <SegmentedControl
                                size="xs"
                                aria-label={say('common.standard-of-proof')}
                                value={data.method.standard ?? 'reliable'}
                                onChange={(standard) => set('standard', standard === here?.standard ? null : standard)}
                                data={STANDARDS.filter((s) => data.standards.some((known) => known === s.value))}
                            />
                        </>
                    )}
                    {mayEdit && here && data.method.standard && data.method.standard !== here.standard && (
                        <Button
                            size="compact-xs"
                            variant="default"
                            loading={method.isPending}
                            onClick={() =>
                                data.method.standard &&
                                method.mutate(
                                    { standard: data.method.standard, light: here.light, version: here.version },
                                    { onSuccess: () => set('standard', null) },
                                )
                            }
                        >
                            {say('windows.use-in-the-calendar')}
                        </Button>
                    )}
                    {progress && !isOver(progress) && <span className="hint">{say(`step.${progress.step}`)} …</span>}
                    <span className="count">
                        {say('windows.of-crops', { crops: crops.length, crops2: data.crops.length })}
                    </span>
                </div>
                {data.ruler.short_record && (
                    <p className="warning">
                        {say('windows.counted-back-from-the-freezes', {
                            clause: say('first-guess.clause', { seasons: data.ruler.seasons }),
                        })}
                    </p>
                )}
                {data.stale && (
                    <p className="warning" role="status">
                        {here?.computation?.state === 'failed'
                            ? say('windows.the-last-computing-failed-these', { error: here.computation.error ?? '' })
                            : say('windows.something-was-changed-since-these')}
                    </p>
                )}
                <Problem error={method.error} />
                <div ref={ref}>
                    <svg
                        className="chart ruler"
                        width="100%"
                        height={RULER_HEIGHT}
                        onClick={point}
                        role="img"
                        aria-label={say('windows.the-year-here-chance-of')}
                    >
                        <rect width="100%" height={RULER_HEIGHT} fill="var(--paper)" />
                        <g transform={`translate(${LABELS} 0)`}>
                            <YearRuler scale={scale} ruler={data.ruler} labels={LABELS} />
                            <DateCursor scale={scale} day={day} height={RULER_HEIGHT} label={monthDay(day)} />
                        </g>
                    </svg>
                    <svg
                        className="chart"
                        width="100%"
                        height={Math.max(rows.height, 40)}
                        onClick={point}
                        aria-label={say('windows.windows-by-crop')}
                    >
                        <g transform={`translate(${LABELS} 0)`}>
                            {scale.months.map((month) => (
                                <line
                                    key={month.name}
                                    className="rule"
                                    x1={month.x}
                                    x2={month.x}
                                    y1={0}
                                    y2={rows.height}
                                />
                            ))}
                        </g>
                        {rows.groups.map(({ group, y }) => (
                            <text key={group} className="group" x={0} y={y + 15}>
                                {group}
                            </text>
                        ))}
                        {shown.map(({ crop, y, height }) => (
                            <CropRow
                                key={crop.slug}
                                crop={crop}
                                y={y}
                                height={height}
                                scale={scale}
                                starts={data.ruler.starts}
                                chosen={crop.slug === chosen}
                                onChoose={choose}
                                onOpen={open}
                                onStep={walk}
                                stop={crop.slug === (at?.crop.slug ?? rows.crops[0]?.crop.slug)}
                            />
                        ))}
                        <g transform={`translate(${LABELS} 0)`} pointerEvents="none">
                            <line
                                className="cursor"
                                x1={scale.x(day) + scale.width / 730}
                                x2={scale.x(day) + scale.width / 730}
                                y1={0}
                                y2={rows.height}
                            />
                        </g>
                    </svg>
                </div>
                {crops.length === 0 && <p role="status">{say('windows.no-crop-or-family-here')}</p>}
                <Behind
                    name={say('windows.all-windows')}
                    file={`${zone}-windows`}
                    columns={['crop', 'act', 'windows', say('windows.start-under-cover'), 'by']}
                    rows={crops.flatMap((crop) =>
                        crop.routes.map((route) => [
                            crop.name,
                            say(`act.${route.act}`),
                            route.windows.map(spanInWords).join(', ') || say('common.no-window-here'),
                            route.under_cover.map(spanInWords).join(', '),
                            crop.school,
                        ]),
                    )}
                />
                <Legend counted={data.crops.some((crop) => crop.school === 'count-back')} />
            </main>
            <aside aria-live="polite" aria-label={chosen ? say('windows.the-crop') : say('windows.the-day')}>
                {chosen ? (
                    <CropPanel
                        zone={zone}
                        crop={chosen}
                        view={view}
                        row={data.crops.find((crop) => crop.slug === chosen)}
                        day={day}
                        onClose={() => set('crop', null)}
                    />
                ) : (
                    <DayPanel data={data} day={day} onChoose={(crop) => set('crop', crop)} />
                )}
            </aside>
        </div>
    );
}

/** Rows within so many pixels of what is seen are drawn, so that all crops scroll smoothly. */
const AHEAD = 700;

/** Heights of the tools over the ruler and of the legend under the rows, px. */
const TOOLS = 44;
const LEGEND = 56;

type Rows = {
    height: number;
    groups: { group: string; y: number }[];
    crops: { crop: Crop; y: number; height: number }[];
};

const SEASONS = { cool: say('windows.cool-season'), warm: say('windows.warm-season') };

/** Crops in groups: by family, by the season they like, or by what can be done next from a day on. */
function grouped(crops: Crop[], by: string, day: number): { group: string; crops: Crop[] }[] {
    if (by === 'next') {
        const wait = (crop: Crop) =>
            Math.min(
                ...crop.routes.flatMap((route) =>
                    [...route.windows, ...route.under_cover].map((span) =>
                        contains(span, day) ? 0 : daysUntil(day, yearDay(span.first)),
                    ),
                ),
                999,
            );
        const sorted = crops.map((crop) => ({ crop, wait: wait(crop) })).sort((a, b) => a.wait - b.wait);
        return [
            { group: say('windows.open-now'), crops: sorted.filter((c) => c.wait === 0).map((c) => c.crop) },
            {
                group: say('windows.opens-within-four-weeks'),
                crops: sorted.filter((c) => c.wait > 0 && c.wait <= 28).map((c) => c.crop),
            },
            {
                group: say('windows.later'),
                crops: sorted.filter((c) => c.wait > 28 && c.wait < 999).map((c) => c.crop),
            },
            { group: say('windows.no-window-here'), crops: sorted.filter((c) => c.wait === 999).map((c) => c.crop) },
        ].filter((group) => group.crops.length > 0);
    }
    const of = (crop: Crop) => (by === 'season' ? SEASONS[crop.kind] : crop.family);
    return [...new Set(crops.map(of))].map((group) => ({ group, crops: crops.filter((crop) => of(crop) === group) }));
}

/** A long name takes two lines, so that it does not run into the act beside it. */
function inLines(name: string): string[] {
    if (name.length <= LONGEST_NAME) return [name];
    const words = name.split(' ');
    return [words[0] ?? '', words.slice(1).join(' ')].filter((line) => line !== '');
}

function layOut(groups: { group: string; crops: Crop[] }[]): Rows {
    const rows: Rows = { height: 0, groups: [], crops: [] };
    for (const { group, crops } of groups) {
        rows.groups.push({ group, y: rows.height });
        rows.height += 22;
        for (const crop of crops) {
            const height = Math.max(crop.routes.length * LANE, 8 + 15 * inLines(crop.name).length) + ROW_GAP;
            rows.crops.push({ crop, y: rows.height, height });
            rows.height += height;
        }
    }
    return rows;
}

const CropRow = memo(function CropRow({
    crop,
    y,
    height,
    scale,
    starts,
    chosen,
    stop,
    onChoose,
    onOpen,
    onStep,
}: {
    crop: Crop;
    y: number;
    height: number;
    scale: YearScale;
    starts: string;
    chosen: boolean;
    /** the one row of all that Tab comes to; arrows go on from it */
    stop: boolean;
    onChoose: (crop: string) => void;
    /** shows it, whether it was shown or not */
    onOpen: (crop: string) => void;
    /** to the next row, or the one before */
    onStep: (to: number) => void;
}) {
    return (
        <g
            id={`row-${crop.slug}`}
            className="row"
            transform={`translate(0 ${y})`}
            onClick={(event) => {
                // Beside the names a click sets the date as well, and opens the crop.
                if (event.nativeEvent.offsetX < LABELS) {
                    event.stopPropagation();
                    onChoose(crop.slug);
                } else onOpen(crop.slug);
            }}
        >
            <rect
                id={`stop-${crop.slug}`}
                className={chosen ? 'chosen' : undefined}
                fill="transparent"
                width="100%"
                height={height - 2}
                tabIndex={stop ? 0 : -1}
                role="button"
                aria-pressed={chosen}
                aria-label={rowInWords(crop)}
                onKeyDown={(event) => {
                    if (event.key === 'Enter' || event.key === ' ') {
                        event.preventDefault();
                        onChoose(crop.slug);
                    } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
                        event.preventDefault();
                        onStep(event.key === 'ArrowDown' ? 1 : -1);
                    }
                }}
            />
            <g aria-hidden="true">
                {crop.routes.map((route, i) => (
                    <g key={route.route} transform={`translate(0 ${i * LANE + 2})`}>
                        {i === 0 &&
                            inLines(crop.name).map((line, n) => (
                                <text key={line} className="name" x={0} y={17 + 15 * n}>
                                    {line}
                                </text>
                            ))}
                        <text className="quiet" x={LABELS - 10} y={17} textAnchor="end" fontSize="10.5">
                            {say(`act.${route.act}`)}
                        </text>
                        <g transform={`translate(${LABELS} 0)`}>
                            {route.ribbon ? (
                                <>
                                    <OutcomeRibbon
                                        scale={scale}
                                        ribbon={route.ribbon}
                                        starts={starts}
                                        top={RIBBON.top}
                                        height={RIBBON.height}
                                        step={5}
                                    />
                                    <Brackets
                                        scale={scale}
                                        spans={route.under_cover}
                                        at={0}
                                        drop={4}
                                        name="cover"
                                        act={say('act.start-under-cover')}
                                    />
                                    <Brackets
                                        scale={scale}
                                        spans={route.windows}
                                        at={4}
                                        drop={6}
                                        name={crop.school === 'own' ? 'own' : 'bracket'}
                                        act={say(`act.${route.act}`)}
                                    />
                                </>
                            ) : (
                                <WindowLane scale={scale} lane={route} />
                            )}
                        </g>
                    </g>
                ))}
            </g>
        </g>
    );
});

/** "Spinach: sow outdoors 31 March to 10 July; set out: no window here." */
function rowInWords(crop: Crop): string {
    const ways = crop.routes.map((route) =>
        route.windows.length === 0
            ? say('windows.no-window', { act: say(`act.${route.act}`) })
            : `${say(`act.${route.act}`)} ${route.windows.map(spanInWords).join(' and ')}`,
    );
    return `${crop.name}: ${ways.join('; ')}.`;
}

/** The ribbon in its lane, px. */
const RIBBON = { top: 8, height: 17 };

function Legend({ counted }: { counted: boolean }) {
    return (
        <ul className="legend" aria-label={say('windows.signs')}>
            <li>
                <Swatch>
                    <path className="bracket" d="M1 9V2H21V9" />
                </Swatch>
                {say('windows.window')}
            </li>
            <li>
                <Swatch>
                    <path className="cover" d="M1 7V3H21V7" />
                </Swatch>
                {say('windows.start-under-cover')}
            </li>
            <li>
                <Swatch>
                    <path className="own" d="M1 9V2H21V9" />
                </Swatch>
                {say('windows.own-dates')}
            </li>
            {signs(counted).map(([reason, words]) => (
                <li key={reason}>
                    <Swatch>
                        <rect width="22" height="9" y="1" fill={HATCH[reason]} />
                    </Swatch>
                    {words}
                </li>
            ))}
        </ul>
    );
}

/** Outcomes, and where windows are counted back its reasons: each hatch and each word once. */
function signs(counted: boolean): [string, string][] {
    const all = [
        ...OUTCOMES.map((outcome): [string, string] => [outcome, say(`outcome.${outcome}.short`)]),
        ...(counted ? REASONS.map((reason): [string, string] => [reason, say(`reason.${reason}.short`)]) : []),
    ];
    return all.filter(
        ([reason, words], i) =>
            all.findIndex(([other, same]) => same === words || HATCH[other] === HATCH[reason]) === i,
    );
}
