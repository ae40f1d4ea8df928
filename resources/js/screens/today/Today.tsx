import { Term } from '../../way/Term';
import { Checkbox, NativeSelect, SegmentedControl, TextInput } from '@mantine/core';
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { DataTable } from '../../charts/DataTable';
import { Hatches } from '../../charts/Hatches';
import {
    dateInWords,
    daysBetween,
    daysUntil,
    inShort,
    inWords,
    monthDayOf,
    spanInWords,
    yearDay,
} from '../../time/days';
import { useZone } from '../../api/zones';
import { Action } from '../../ui/Action';
import { useKeys } from '../../ui/keyboard';
import { Problem } from '../../ui/Problem';
import { useInSightFirst } from '../../ui/useInSightFirst';
import { SiteChoice } from '../../ui/SiteChoice';
import { readiness } from '../../time/season';
import { isStandard, STANDARDS } from '../../words/standards';
import { inCelsius } from '../../words/units';
import { listed, say } from '../../words/words';
import { GroundNow } from './GroundNow';
import { ActRow, keyOf } from './ActRow';
import { Advisories } from './Advisories';
import { BedTasks } from './BedTasks';
import { CuesToCome } from './CuesToCome';
import { NightWork } from './NightWork';
import { usePackets, useToday, type SeasonAct, type TodayData } from './queries';
import { Reading } from './Reading';
import { SeasonChart } from './SeasonChart';
import { position } from './sentences';
import { StillFits } from './StillFits';
import { StandsAlready, UnderWay } from './UnderWay';
import { WaterToday } from './WaterToday';
import { isCalled } from '../../words/search';
import { useCrops } from '../../api/crops';

const PILES = ['last-chance', 'go', 'hold-a-week', 'hold', 'fair-chance'] as const;
/** At most so many rows fit on a screen before anybody scrolls. */
const IN_SIGHT = 30;
const ACTS = ['', 'sow-outdoors', 'plant', 'set-out', 'start-under-cover'];

const siteOf = (params: URLSearchParams) => Number(params.get('site')) || undefined;

/** Every seed packet in its group, in this season as it is; for another date by the record alone. */
export function Today() {
    const { zone = '' } = useParams();
    const [params, setParams] = useSearchParams();
    const standard = params.get('standard');
    const on = params.get('on') ?? '';
    const view = {
        site: siteOf(params),
        standard: isStandard(standard) ? standard : undefined,
        on: /^\d\d-\d\d$/.test(on) ? on : undefined,
    };
    const { data, error } = useToday(zone, view);
    const [asked, setAsked] = useState('');
    const find = useRef<HTMLInputElement>(null);
    const set = (key: string, value: string | null) => {
        const next = new URLSearchParams(params);
        if (value === null || value === '') next.delete(key);
        else next.set(key, value);
        setParams(next, { replace: true });
    };
    const latest = useRef(set);
    useEffect(() => {
        latest.current = set;
    });
    const choose = useCallback((act: SeasonAct) => latest.current('of', keyOf(act)), []);
    const all = useInSightFirst();
    const { data: book } = useCrops();
    const names = useMemo(() => new Map(book?.map((crop) => [crop.slug, crop.names])), [book]);
    const { data: packets } = usePackets();
    const mine = params.get('mine') === '1';
    const acts = useMemo(
        () =>
            seen(data?.acts ?? [], names, asked, params.get('act') ?? '').filter(
                (act) => !mine || packets?.includes(act.crop),
            ),
        [data, names, asked, params, mine, packets],
    );
    const piled = PILES.flatMap((pile) => acts.filter((act) => act.pile === pile));
    const chosen = piled.find((act) => keyOf(act) === params.get('of'));
    const step = (by: number) => {
        const at = chosen ? piled.indexOf(chosen) : -1;
        const next = piled[Math.max(0, Math.min(piled.length - 1, at + by))];
        if (!next) return;
        set('of', keyOf(next));
        document.getElementById(`act-${keyOf(next)}`)?.scrollIntoView({ block: 'nearest' });
    };
    useKeys({
        '/': () => find.current?.focus(),
        j: () => step(1),
        k: () => step(-1),
        t: () => set('on', null),
        Escape: () => {
            find.current?.blur();
            set('of', null);
        },
    });
    if (error) {
        return <Refused error={error} onDate={(date) => set('on', date)} />;
    }
    if (!data) return <p className="page">{say('today.looking')}</p>;
    return (
        <div className="windows today">
            <Hatches />
            <main className="sheet">
                <Tools zone={zone} data={data} params={params} set={set}>
                    <TextInput
                        ref={find}
                        size="xs"
                        w={150}
                        aria-label={say('common.find-a-crop')}
                        placeholder={say('windows.find-a-crop')}
                        value={asked}
                        onChange={(event) => setAsked(event.currentTarget.value)}
                    />
                </Tools>
                <h2>
                    {inWords(data.on.slice(5))} <small>{position(data)}</small>
                </h2>
                <Doubts data={data} />
                {data.by === 'season' && <GroundNow zone={zone} />}
                {data.by === 'season' && <StandsAlready zone={zone} />}
                {mine && packets?.length === 0 && <p>{say('today.you-have-nothing-yet')}</p>}
                <Piles data={data} piled={all ? piled : piled.slice(0, IN_SIGHT)} chosen={chosen} onChoose={choose} />
                {all && (
                    <>
                        {data.by === 'season' && <UnderWay zone={zone} today={data.today} />}
                        {data.by === 'season' && <WaterToday zone={zone} today={data.today} />}
                        <StillFits zone={zone} on={data.on} />
                        <Over acts={acts.filter((act) => act.pile === 'over')} on={data.on} zone={zone} />
                        <Table zone={zone} data={data} />
                    </>
                )}
            </main>
            <aside aria-live="polite" aria-label={say('today.reading')}>
                {chosen ? (
                    <Reading zone={zone} view={view} data={data} act={chosen} onClose={() => set('of', null)} />
                ) : (
                    <Season zone={zone} data={data} />
                )}
            </aside>
        </div>
    );
}

/** What is shown: which tasks, at which site, how sure, and on which day. */
function Tools({
    zone,
    data,
    params,
    set,
    children,
}: {
    zone: string;
    data: TodayData;
    params: URLSearchParams;
    set: (key: string, value: string | null) => void;
    children: ReactNode;
}) {
    return (
        <div className="tools">
            {children}
            <NativeSelect
                size="xs"
                aria-label={say('today.which-acts')}
                value={params.get('act') ?? ''}
                onChange={(event) => set('act', event.currentTarget.value)}
                data={ACTS.map((act) => ({
                    value: act,
                    label: say(act === '' ? 'today.all-acts' : `act.${act}`),
                }))}
            />
            <SiteChoice zone={zone} site={siteOf(params)} onSite={(site) => set('site', site)} />
            <span className="hint">
                <Term of="confidence" />
            </span>
            <SegmentedControl
                size="xs"
                aria-label={say('common.standard-of-proof')}
                value={data.standard}
                onChange={(value) => set('standard', value)}
                data={STANDARDS}
            />
            <Checkbox
                size="xs"
                label={say('today.only-what-i-have')}
                checked={params.get('mine') === '1'}
                onChange={(event) => set('mine', event.currentTarget.checked ? '1' : null)}
            />
            <OtherDate data={data} onDate={(date) => set('on', date)} />
        </div>
    );
}

/** With fewer past years than this, the results are preliminary. */
const FEW_MEMBERS = 5;

/** What is missing from this season: days not reported, an outlook, enough years. */
function Doubts({ data }: { data: TodayData }) {
    if (data.by !== 'season') return null;
    const silent = daysBetween(data.record_ends, data.today) - 1;
    const doubts = [
        ...(silent > 0 ? [say('today.silent', { days: silent, ends: dateInWords(data.record_ends) })] : []),
        ...(data.outlook === null ? [say('today.no-outlook')] : []),
        ...(data.members.length < FEW_MEMBERS ? [say('today.few-years', { members: data.members.length })] : []),
    ];
    if (doubts.length === 0) return null;
    return (
        <p role="note" className="warning">
            {doubts.join(' ')}
        </p>
    );
}

/** Why nothing can be said about this season, and how to use the record alone. */
function Refused({ error, onDate }: { error: Error; onDate: (monthDay: string) => void }) {
    return (
        <main className="page">
            <Problem error={error} />
            <p>
                {say('today.record-alone-on')}{' '}
                <input
                    type="date"
                    aria-label={say('today.date')}
                    onChange={({ currentTarget: { value } }) => value && onDate(monthDayOf(value))}
                />
            </p>
        </main>
    );
}

function seen(acts: SeasonAct[], names: Map<string, string[]>, asked: string, which: string): SeasonAct[] {
    return acts.filter(
        (act) => isCalled([act.name, ...(names.get(act.crop) ?? [])], asked) && (which === '' || act.act === which),
    );
}

/** A date other than today, which is figured from the record alone. */
function OtherDate({ data, onDate }: { data: TodayData; onDate: (monthDay: string | null) => void }) {
    return (
        <span className="other-date">
            <input
                type="date"
                aria-label={say('today.date')}
                value={data.on}
                onChange={({ currentTarget: { value } }) => value && onDate(monthDayOf(value))}
            />
            {data.on !== data.today && <Action onClick={() => onDate(null)}>{say('today.back-to-today')}</Action>}
        </span>
    );
}

function Piles({
    data,
    piled,
    chosen,
    onChoose,
}: {
    data: TodayData;
    /** in the order of the piles */
    piled: SeasonAct[];
    chosen: SeasonAct | undefined;
    onChoose: (act: SeasonAct) => void;
}) {
    return (
        <div className="scroll" tabIndex={0}>
            <table className="acts">
                <thead>
                    <tr>
                        <th scope="col" className="sr-only">
                            {say('today.crop')}
                        </th>
                        <td className="labels">
                            {data.soil && (
                                <>
                                    <span>{say('today.soil-label')}</span>
                                    <span>{say(`today.freeze-label-${data.freezes?.side ?? 'to-come'}`)}</span>
                                </>
                            )}
                        </td>
                        <td>
                            <SeasonChart data={data} />
                        </td>
                        <td />
                    </tr>
                </thead>
                {PILES.map((pile) => {
                    const own = piled.filter((act) => act.pile === pile);
                    if (own.length === 0) return null;
                    return (
                        <tbody key={pile}>
                            <tr>
                                <th scope="rowgroup" colSpan={4} className="pile">
                                    {say(`pile.${pile}`)}
                                </th>
                            </tr>
                            {own.map((act) => (
                                <ActRow key={keyOf(act)} act={act} chosen={act === chosen} onChoose={onChoose} />
                            ))}
                        </tbody>
                    );
                })}
            </table>
        </div>
    );
}

/** When a task comes again: later in the ruler's year, in the next one, or never here. */
const AGAIN = ['later', 'next-year', 'not-here'] as const;

export function again(act: Pick<SeasonAct, 'next'>, on: string, starts: string): (typeof AGAIN)[number] {
    if (!act.next) return 'not-here';
    const since = (day: string) => daysUntil(yearDay(starts), yearDay(day));
    return since(act.next.first) > since(monthDayOf(on)) ? 'later' : 'next-year';
}

/** What is over for now, by when it comes again. */
function Over({ acts, on, zone }: { acts: SeasonAct[]; on: string; zone: string }) {
    const { data } = useZone(zone);
    // The year of the ruler starts in winter.
    const starts = data?.hemisphere === 'south' ? '07-01' : '01-01';
    const words = (act: SeasonAct) =>
        act.next
            ? say('today.over-of', { crop: act.name, act: say(`act.${act.act}`), next: spanInWords(act.next) })
            : say('today.never-of', { crop: act.name, act: say(`act.${act.act}`) });
    return AGAIN.map((when) => {
        const some = acts.filter((act) => again(act, on, starts) === when);
        return (
            some.length > 0 && (
                <section key={when}>
                    <h3>{say(`today.${when}`)}</h3>
                    <p className="over">{listed(some.map(words))}.</p>
                </section>
            )
        );
    });
}

/** What this season's answers are based on. */
function Season({ zone, data }: { zone: string; data: TodayData }) {
    if (data.by === 'record') {
        return (
            <>
                <h2>{dateInWords(data.on)}</h2>
                <p>{say('today.record-alone', { years: data.members.length })}</p>
            </>
        );
    }
    return (
        <>
            <h2>{say('today.reading')}</h2>
            <p>{say('today.how-it-is-made', { members: data.members.length, ends: dateInWords(data.record_ends) })}</p>
            {data.nights && <NightWork nights={data.nights} />}
            <Advisories zone={zone} data={data} />
            <CuesToCome zone={zone} />
            <BedTasks zone={zone} today={data.today} />
            <h3>{say('today.soil-ready')}</h3>
            {data.soil?.ready.map((ready) => (
                <p key={ready.celsius}>{readiness(ready)}</p>
            ))}
            {data.outlook && (
                <>
                    <h3>{say('today.outlook')}</h3>
                    <table className="ruled dense">
                        <tbody>
                            {data.outlook.days
                                .filter((one) => one.minimum !== null && one.maximum !== null)
                                .map((one) => (
                                    <tr key={one.date}>
                                        <td>{inShort(one.date.slice(5))}</td>
                                        <td className="number nowrap">
                                            {say('today.outlook-day', {
                                                minimum: inCelsius(one.minimum ?? 0),
                                                maximum: inCelsius(one.maximum ?? 0),
                                            })}
                                        </td>
                                    </tr>
                                ))}
                        </tbody>
                    </table>
                    <p className="hint">{say('today.outlook-simulated')}</p>
                </>
            )}
        </>
    );
}

function Table({ zone, data }: { zone: string; data: TodayData }) {
    const columns = [
        'crop',
        'act',
        'pile',
        'until',
        'harvests',
        'of',
        'first-pick',
        'a-week-on',
        'slack',
        'reason',
        'next',
    ];
    return (
        <DataTable
            name={say('today.all-acts')}
            file={`${zone}-${data.on}`}
            columns={columns.map((column) => say(`today.column-${column}`))}
            rows={() =>
                data.acts.map((act) => [
                    act.name,
                    say(`act.${act.act}`),
                    say(`pile.${act.pile}`),
                    act.until,
                    act.harvests,
                    act.of,
                    act.first?.[1] ?? null,
                    act.first_a_week_on,
                    act.slack,
                    act.reason && say(`outcome.${act.reason}.short`),
                    act.next && spanInWords(act.next),
                ])
            }
        />
    );
}
