import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useSession } from '../../access/session';
import { useClimate } from '../../api/zones';
import { DataTable } from '../../charts/DataTable';
import { RuledChart } from '../../charts/RuledChart';
import { useDateCursor } from '../../time/cursor';
import { dateAfter } from '../../time/days';
import { Action } from '../../ui/Action';
import { useKeys } from '../../ui/keyboard';
import { NoRecord } from '../../ui/NoRecord';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { BedForm } from './BedForm';
import { bedHeight, BedLines, type Chosen } from './BedLines';
import { Conflicts } from './Conflicts';
import { Families } from './Families';
import { FillBeds } from './FillBeds';
import { GapFits } from './GapFits';
import { shown } from './lanes';
import { useGround, usePlantings, type GroundBed, type GroundData, type Span } from './queries';
import { SeasonList } from './SeasonList';
import { OccupancyCard } from './OccupancyCard';
import { Tasks } from './Tasks';
import { WorthOfGround } from './BedYield';

/** The beds of a zone, year by year: what is planned, what the log knows, and what would fit in the open spaces. */
export function Ground() {
    const { zone = '' } = useParams();
    const [params, setParams] = useSearchParams();
    const { data: session } = useSession();
    const { data: climate, error: withoutClimate } = useClimate(zone);
    const today = session?.today ?? '2026-01-01';
    const starts = climate?.ruler.starts ?? '01-01';
    const begins = Number(params.get('year')) || Number(today.slice(0, 4)) - (today.slice(5) < starts ? 1 : 0);
    const year: Span = { from: `${begins}-${starts}`, to: dateAfter(`${begins + 1}-${starts}`, -1) };
    const span: Span = { from: `${begins - 2}-${starts}`, to: dateAfter(`${begins + 2}-${starts}`, -1) };
    const { data, error } = useGround(zone, span);
    const garden = params.get('garden') ?? '';
    const set = (name: string, value: string) => {
        const next = new URLSearchParams(params);
        if (value) next.set(name, value);
        else next.delete(name);
        setParams(next, { replace: true });
    };
    if (!data || !climate)
        return (
            <main className="page">
                {error ? (
                    <Problem error={error} />
                ) : withoutClimate ? (
                    <NoRecord zone={zone} error={withoutClimate} />
                ) : (
                    <p role="status">{say('ground.looking')}</p>
                )}
            </main>
        );
    const beds = data.beds.filter((bed) => garden === '' || bed.garden === garden);
    return (
        <Beds
            key={garden}
            zone={zone}
            data={data}
            beds={beds}
            year={year}
            span={span}
            ruler={climate.ruler}
            tools={
                <>
                    <NativeSelect
                        size="xs"
                        aria-label={say('ground.year')}
                        value={begins}
                        onChange={(event) => set('year', event.currentTarget.value)}
                        data={[-3, -2, -1, 0, 1, 2].map((by) => {
                            const one = Number(today.slice(0, 4)) + by;
                            return {
                                value: String(one),
                                label: starts === '01-01' ? String(one) : `${one}/${(one + 1) % 100}`,
                            };
                        })}
                    />
                    <NativeSelect
                        size="xs"
                        aria-label={say('ground.garden')}
                        value={garden}
                        onChange={(event) => set('garden', event.currentTarget.value)}
                        data={[
                            { value: '', label: say('ground.all-gardens') },
                            ...new Set(data.beds.map((bed) => bed.garden)),
                        ]}
                    />
                </>
            }
        />
    );
}

/** Keyboard focus follows the arrow keys, so what is chosen is read out and Enter applies to it. */
function focusChosen() {
    requestAnimationFrame(() =>
        document.querySelector<SVGElement>('.ground [aria-pressed="true"]')?.focus({ preventScroll: true }),
    );
}

function Beds({
    zone,
    data,
    beds,
    year,
    span,
    ruler,
    tools,
}: {
    zone: string;
    data: GroundData;
    beds: GroundBed[];
    year: Span;
    span: Span;
    ruler: Parameters<typeof RuledChart>[0]['ruler'];
    tools: React.ReactNode;
}) {
    const { day, set } = useDateCursor();
    const [chosen, setChosen] = useState<Chosen | null>(null);
    const [side, setSide] = useState<'look' | 'fill' | 'bed'>('look');
    const plantings = usePlantings(zone, span);
    const bed = beds.find((one) => one.id === chosen?.bed);
    const gaps = bed ? shown(bed.gaps, year.from, year.to) : [];
    const choose = (next: Chosen) => {
        setChosen(next);
        focusChosen();
    };
    const step = (by: number) => {
        const next = beds[Math.max(0, Math.min(beds.length - 1, (bed ? beds.indexOf(bed) : -1) + by))];
        if (next) choose({ bed: next.id });
    };
    const stepGap = (by: number) => {
        const at = gaps.findIndex((gap) => gap.from === chosen?.gap?.from);
        const next = gaps[at < 0 ? (by > 0 ? 0 : gaps.length - 1) : Math.max(0, Math.min(gaps.length - 1, at + by))];
        if (bed && next) choose({ bed: bed.id, gap: next });
    };
    useKeys({
        ArrowDown: () => step(1),
        ArrowUp: () => step(-1),
        j: () => step(1),
        k: () => step(-1),
        ArrowRight: () => stepGap(1),
        ArrowLeft: () => stepGap(-1),
        u: plantings.undo,
        Escape: () => {
            setChosen(null);
            setSide('look');
        },
    });
    const stay = bed?.stays.find((one) => one.key === chosen?.stay);
    return (
        <div className="windows ground">
            <main className="sheet">
                <h2 className="sr-only">{say('ground.of-year', { year: year.from.slice(0, 4) })}</h2>
                <BedTools plantings={plantings} onSide={setSide}>
                    {tools}
                </BedTools>
                <Problem error={plantings.error} />
                {beds.length === 0 ? (
                    <p>{say('ground.no-bed-yet')}</p>
                ) : (
                    <RuledChart
                        ruler={ruler}
                        day={day}
                        onDay={set}
                        below={beds.reduce((sum, one) => sum + bedHeight(one, year), 10)}
                        isPicture={false}
                        label={say('ground.chart', { beds: beds.length, year: year.from.slice(0, 4) })}
                    >
                        {(scale) => (
                            <BedLines
                                scale={scale}
                                beds={beds}
                                year={year}
                                chosen={chosen}
                                onChoose={(next) => {
                                    setChosen(next);
                                    setSide('look');
                                }}
                            />
                        )}
                    </RuledChart>
                )}
                <p className="hint">{say('ground.legend')}</p>
                <SeasonList zone={zone} beds={beds} year={year} />
                <Families beds={beds} year={year} />
                <Tasks zone={zone} from={data.today} />
                <Numbers zone={zone} beds={beds} year={year} />
            </main>
            <aside aria-label={say('ground.reading')}>
                {side === 'fill' ? (
                    <FillBeds
                        zone={zone}
                        beds={beds}
                        year={year}
                        plantings={plantings}
                        onDone={() => setSide('look')}
                    />
                ) : side === 'bed' || (side === 'look' && bed && !chosen?.gap && !stay) ? (
                    <BedForm
                        key={side === 'bed' ? 'new' : bed?.id}
                        zone={zone}
                        span={span}
                        bed={side === 'bed' ? undefined : bed}
                        garden={beds[0]?.garden ?? ''}
                        onDone={() => setSide('look')}
                    />
                ) : bed && chosen?.gap ? (
                    <GapFits zone={zone} bed={bed} gap={chosen.gap} year={year} plantings={plantings} />
                ) : bed && stay ? (
                    <OccupancyCard key={stay.key} zone={zone} bed={bed} stay={stay} beds={beds} plantings={plantings} />
                ) : (
                    <Conflicts beds={beds} onChoose={setChosen} />
                )}
            </aside>
        </div>
    );
}

function BedTools({
    plantings,
    onSide,
    children,
}: {
    plantings: ReturnType<typeof usePlantings>;
    onSide: (side: 'fill' | 'bed') => void;
    children: React.ReactNode;
}) {
    return (
        <div className="tools">
            {children}
            <Button size="xs" variant="default" onClick={() => onSide('fill')}>
                {say('ground.fill')}
            </Button>
            <Action onClick={() => onSide('bed')}>{say('ground.add-bed')}</Action>
            <Action onClick={() => window.print()}>{say('ground.print')}</Action>
            {plantings.canUndo() && <Action onClick={plantings.undo}>{say('ground.undo')}</Action>}
        </div>
    );
}

function Numbers({ zone, beds, year }: { zone: string; beds: GroundBed[]; year: Span }) {
    const columns = ['bed', 'crop', 'variety', 'kind', 'from', 'first', 'to', 'metres', 'family', 'pinned'];
    return (
        <>
            <WorthOfGround zone={zone} />
            <DataTable
                name={say('ground.all-stays')}
                file={`${zone}-ground-${year.from.slice(0, 4)}`}
                columns={columns.map((column) =>
                    column === 'metres'
                        ? { name: say('ground.column-metres'), measure: 'm' }
                        : say(`ground.column-${column}`),
                )}
                rows={() =>
                    beds.flatMap((bed) =>
                        shown(bed.stays, year.from, year.to).map((stay) => [
                            `${bed.garden}, ${bed.name}`,
                            stay.name,
                            stay.variety,
                            say(`ground.kind-${stay.kind}`),
                            stay.from,
                            stay.first,
                            stay.to,
                            stay.metres,
                            stay.family,
                            stay.pinned ? say('ground.yes') : '',
                        ]),
                    )
                }
            />
        </>
    );
}
