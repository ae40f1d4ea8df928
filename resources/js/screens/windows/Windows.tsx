import { TextInput } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { useEffect, useMemo, useRef, useState, type MouseEvent } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Refusal, type Windows as WindowsData } from '../../api/client';
import { useSession, useWindows } from '../../app/data';
import { useKeys } from '../../app/keyboard';
import { monthDay, sowDay, sowDayOfDate, wrap } from '../../charts/days';
import { HATCH, Hatches, REASONS, Swatch } from '../../charts/Hatches';
import { LANE_HEIGHT, WindowLane } from '../../charts/WindowLane';
import { DateCursor, RULER_HEIGHT, YearRuler } from '../../charts/YearRuler';
import { yearScale, type YearScale } from '../../charts/yearScale';
import { CropPanel } from './CropPanel';
import { DayPanel } from './DayPanel';

const LABELS = 186;
const RIGHT = 6;
const ROW_GAP = 8;
const LONGEST_NAME = 17;

type Crop = WindowsData['crops'][number];

/** Every crop's windows under the year ruler. */
export function Windows() {
    const { zone = '' } = useParams();
    const { data, error } = useWindows(zone);
    if (error instanceof Refusal && error.status === 404) {
        return (
            <main className="page">
                <h2>No windows yet</h2>
                <p>
                    {error.message} <Link to={`/desk/zones/${zone}/record`}>Go to the record</Link>
                </p>
            </main>
        );
    }
    return data ? <Sheet key={data.zone} zone={zone} data={data} /> : null;
}

function Sheet({ zone, data }: { zone: string; data: WindowsData }) {
    const { data: session } = useSession();
    const [params, setParams] = useSearchParams();
    const [asked, setAsked] = useState('');
    const find = useRef<HTMLInputElement>(null);
    const { ref, width } = useElementSize();
    const scale = useMemo(
        () => yearScale(data.ruler.starts, Math.max(280, (width || 960) - LABELS - RIGHT)),
        [data.ruler.starts, width],
    );
    const today = sowDayOfDate(session?.today ?? '2001-01-01');
    const chosen = params.get('crop');
    const day = /^\d\d-\d\d$/.test(params.get('on') ?? '') ? sowDay(params.get('on') ?? '') : today;
    const crops = useMemo(() => {
        const plain = asked.trim().toLowerCase();
        return data.crops.filter((crop) => `${crop.name} ${crop.family}`.toLowerCase().includes(plain));
    }, [data.crops, asked]);

    const set = (key: 'crop' | 'on', value: string | null) =>
        setParams(
            (before) => {
                const after = new URLSearchParams(before);
                if (value === null) after.delete(key);
                else after.set(key, value);
                return after;
            },
            { replace: true },
        );
    const move = (days: number) => set('on', monthDay(wrap(day + days)));
    const step = (by: number) => {
        const at = crops.findIndex((crop) => crop.slug === chosen);
        const next =
            crops[at === -1 ? (by > 0 ? 0 : crops.length - 1) : Math.min(crops.length - 1, Math.max(0, at + by))];
        if (next) set('crop', next.slug);
    };
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
    useEffect(() => {
        if (chosen) document.getElementById(`row-${chosen}`)?.scrollIntoView({ block: 'nearest' });
    }, [chosen]);

    const point = (event: MouseEvent<SVGSVGElement>) => {
        const x = event.clientX - event.currentTarget.getBoundingClientRect().left - LABELS;
        if (x >= 0 && x <= scale.width) set('on', monthDay(scale.day(x)));
    };
    const families = [...new Set(crops.map((crop) => crop.family))];
    const rows = layOut(families.map((family) => ({ family, crops: crops.filter((crop) => crop.family === family) })));
    return (
        <div className="windows">
            <Hatches />
            <div className="sheet">
                <div className="tools">
                    <TextInput
                        ref={find}
                        size="xs"
                        aria-label="Find a crop"
                        placeholder="Find a crop or family  ( / )"
                        value={asked}
                        onChange={(event) => setAsked(event.currentTarget.value)}
                        onKeyDown={(event) => {
                            if (event.key === 'Enter' && crops[0]) {
                                set('crop', crops[0].slug);
                                event.currentTarget.blur();
                            }
                        }}
                        w={230}
                    />
                    <span className="hint">
                        counting back · {data.method.site} · from {data.ruler.seasons} cold seasons
                        {data.ruler.short_record && ': a short record'}
                    </span>
                    <span className="count">
                        {crops.length} of {data.crops.length} crops
                    </span>
                </div>
                <div ref={ref}>
                    <svg
                        className="chart ruler"
                        width="100%"
                        height={RULER_HEIGHT}
                        onClick={point}
                        role="img"
                        aria-label="The year here: chance of freeze, soil temperature, day length. Click to set the date."
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
                        aria-label="Windows by crop"
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
                        {rows.families.map(({ family, y }) => (
                            <text key={family} className="group" x={0} y={y + 15}>
                                {family}
                            </text>
                        ))}
                        {rows.crops.map(({ crop, y, height }) => (
                            <CropRow
                                key={crop.slug}
                                crop={crop}
                                y={y}
                                height={height}
                                scale={scale}
                                chosen={crop.slug === chosen}
                                onChoose={() => set('crop', crop.slug === chosen ? null : crop.slug)}
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
                {crops.length === 0 && <p role="status">No crop or family here is called that.</p>}
                <Legend />
            </div>
            <aside aria-live="polite">
                {chosen ? (
                    <CropPanel zone={zone} crop={chosen} onClose={() => set('crop', null)} />
                ) : (
                    <DayPanel data={data} day={day} onChoose={(crop) => set('crop', crop)} />
                )}
            </aside>
        </div>
    );
}

type Rows = {
    height: number;
    families: { family: string; y: number }[];
    crops: { crop: Crop; y: number; height: number }[];
};

/** A long name takes two lines, so that it does not run into the act beside it. */
function inLines(name: string): string[] {
    if (name.length <= LONGEST_NAME) return [name];
    const words = name.split(' ');
    return [words[0] ?? '', words.slice(1).join(' ')].filter((line) => line !== '');
}

function layOut(groups: { family: string; crops: Crop[] }[]): Rows {
    const rows: Rows = { height: 0, families: [], crops: [] };
    for (const { family, crops } of groups) {
        rows.families.push({ family, y: rows.height });
        rows.height += 22;
        for (const crop of crops) {
            const height = Math.max(crop.routes.length * LANE_HEIGHT, 8 + 15 * inLines(crop.name).length) + ROW_GAP;
            rows.crops.push({ crop, y: rows.height, height });
            rows.height += height;
        }
    }
    return rows;
}

function CropRow({
    crop,
    y,
    height,
    scale,
    chosen,
    onChoose,
}: {
    crop: Crop;
    y: number;
    height: number;
    scale: YearScale;
    chosen: boolean;
    onChoose: () => void;
}) {
    return (
        <g
            id={`row-${crop.slug}`}
            className="row"
            transform={`translate(0 ${y})`}
            tabIndex={0}
            role="button"
            aria-pressed={chosen}
            aria-label={`${crop.name}: why these dates`}
            onClick={(event) => {
                // On the ruler's width a click sets the date as well; the crop is chosen by its name.
                if (event.nativeEvent.offsetX < LABELS) {
                    event.stopPropagation();
                    onChoose();
                }
            }}
            onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                    event.preventDefault();
                    onChoose();
                }
            }}
        >
            <rect className={chosen ? 'chosen' : undefined} fill="transparent" width="100%" height={height - 2} />
            {crop.routes.map((route, i) => (
                <g key={route.route} transform={`translate(0 ${i * LANE_HEIGHT + 2})`}>
                    {i === 0 &&
                        inLines(crop.name).map((line, n) => (
                            <text key={line} className="name" x={0} y={17 + 15 * n}>
                                {line}
                            </text>
                        ))}
                    <text className="quiet" x={LABELS - 10} y={17} textAnchor="end" fontSize="10.5">
                        {route.act}
                    </text>
                    <g transform={`translate(${LABELS} 0)`}>
                        <WindowLane scale={scale} lane={route} />
                    </g>
                </g>
            ))}
        </g>
    );
}

function Legend() {
    return (
        <ul className="legend" aria-label="Signs">
            <li>
                <Swatch>
                    <path className="bracket" d="M1 9V2H21V9" />
                </Swatch>
                window
            </li>
            <li>
                <Swatch>
                    <path className="cover" d="M1 7V3H21V7" />
                </Swatch>
                start under cover
            </li>
            <li>
                <Swatch>
                    <path className="harvest" d="M1 6H21" />
                </Swatch>
                harvest
            </li>
            {Object.entries(REASONS).map(([reason, words]) => (
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
