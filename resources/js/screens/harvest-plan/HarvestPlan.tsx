import { NumberInput, SegmentedControl, TextInput } from '@mantine/core';
import { inKilograms, ofRow } from '../../words/units';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { useSession } from '../../access/session';
import { useCrops } from '../../api/crops';
import { useClimate } from '../../api/zones';
import { DataTable } from '../../charts/DataTable';
import { RuledChart } from '../../charts/RuledChart';
import { useDateCursor } from '../../time/cursor';
import { inShort, monthDay, monthDayOf, wrap, yearDay } from '../../time/days';
import { Action } from '../../ui/Action';
import { CropAmount } from '../../ui/CropAmount';
import { Problem } from '../../ui/Problem';
import { cutInWords } from '../../words/cut';
import { say } from '../../words/words';
import { unitOf, useHarvestPlan, useSaveHarvestPlan, useSupply, type Supplied, type Want } from './queries';
import { chartHeight, HarvestChart } from './HarvestChart';
import { hungerAndGlut, shortThisSeason, weekly, weeksOf, type By } from './weeks';

const DAYS = 180;

const NONE: Want[] = [];

/** What a household or a market stand needs, week by week: what to sow when to meet it, and what a missed planting would cost. */
export function HarvestPlan() {
    const { zone = '' } = useParams();
    const [params, setParams] = useSearchParams();
    const { data: climate } = useClimate(zone);
    const { data: session } = useSession();
    const { data: crops } = useCrops();
    const name = (slug: string) => crops?.find((crop) => crop.slug === slug)?.name ?? slug;
    const { day, set: setDay } = useDateCursor();
    const [missed, setMissed] = useState(new Set<string>());
    const today = session?.today ?? '2026-01-01';
    const { data: plan, error: unknown } = useHarvestPlan(zone);
    const save = useSaveHarvestPlan(zone);
    const wants = plan?.needs ?? NONE;
    const on = params.get('from') ?? today.slice(5);
    const days = Number(params.get('days')) || DAYS;
    const by: By = params.get('by') === 'fixed' ? 'fixed' : 'even';
    const supplied = useSupply(zone, wants, on, days);
    const set = (name: string, value: string) => {
        const next = new URLSearchParams(params);
        if (value) next.set(name, value);
        else next.delete(name);
        setParams(next, { replace: true });
        setMissed(new Set());
    };
    const miss = (key: string) =>
        setMissed((before) => {
            const next = new Set(before);
            if (!next.delete(key)) next.add(key);
            return next;
        });
    return (
        <div className="windows harvest-plan-screen">
            <main className="sheet">
                <h2 className="sr-only">{say('harvest-plan.heading')}</h2>
                <div className="tools">
                    <TextInput
                        size="xs"
                        type="date"
                        aria-label={say('harvest-plan.from')}
                        value={`${today.slice(0, 4)}-${on}`}
                        onChange={({ currentTarget: { value } }) => value && set('from', monthDayOf(value))}
                    />
                    <NumberInput
                        size="xs"
                        w={110}
                        aria-label={say('harvest-plan.days')}
                        min={1}
                        max={364}
                        suffix={say('harvest-plan.days-suffix')}
                        value={days}
                        onChange={(value) => set('days', String(value))}
                    />
                    <SegmentedControl
                        size="xs"
                        aria-label={say('harvest-plan.by')}
                        value={by}
                        onChange={(value) => set('by', value)}
                        data={[
                            { value: 'even', label: say('harvest-plan.even') },
                            { value: 'fixed', label: say('harvest-plan.fixed') },
                        ]}
                    />
                </div>
                <Problem error={save.error ?? unknown} />
                {plan && wants.length === 0 && <p>{say('harvest-plan.say-what')}</p>}
                {supplied.map(({ want, error }) => (
                    <Problem key={want.crop} error={error} />
                ))}
                {climate && wants.length > 0 && (
                    <RuledChart
                        ruler={climate.ruler}
                        day={day}
                        onDay={setDay}
                        below={chartHeight(supplied)}
                        isPicture={false}
                        label={say('harvest-plan.chart')}
                    >
                        {(scale) => (
                            <HarvestChart
                                scale={scale}
                                supplied={supplied}
                                on={on}
                                by={by}
                                missed={missed}
                                name={name}
                                onMiss={miss}
                            />
                        )}
                    </RuledChart>
                )}
                {wants.length > 0 && (
                    <>
                        <p className="hint">{say('harvest-plan.key', { season: seasons(supplied, by) })}</p>
                        <Verdict supplied={supplied} by={by} missed={missed} />
                        <Sowings zone={zone} supplied={supplied} by={by} on={on} />
                        <Weeks zone={zone} supplied={supplied} by={by} on={on} />
                    </>
                )}
            </main>
            <aside aria-label={say('harvest-plan.need')}>
                <Need supplied={supplied} onWants={(needs) => plan && save.mutate({ needs, version: plan.version })} />
            </aside>
        </div>
    );
}

/** Years with which this season may continue; zero if not known. */
function seasons(supplied: Supplied[], by: By): number {
    return Math.max(0, ...supplied.map(({ data }) => data?.[by].season?.members ?? 0));
}

function Need({ supplied, onWants }: { supplied: Supplied[]; onWants: (wants: Want[]) => void }) {
    const { data: crops } = useCrops();
    const name = (slug: string) => crops?.find((one) => one.slug === slug)?.name ?? slug;
    const wants = supplied.map(({ want }) => want);
    return (
        <>
            <h2>{say('harvest-plan.need')}</h2>
            <p className="hint">{say('harvest-plan.how')}</p>
            <ul className="wishes">
                {supplied.map((one) => (
                    <li key={one.want.crop}>
                        {say('harvest-plan.want', {
                            crop: name(one.want.crop),
                            amount: one.want.amount,
                            weight: inKilograms(one.want.amount),
                            unit: unitOf(one),
                        })}{' '}
                        <Action onClick={() => onWants(wants.filter((want) => want !== one.want))}>
                            {say('common.take-out')}
                        </Action>
                    </li>
                ))}
            </ul>
            <CropAmount
                label={say('harvest-plan.amount')}
                measure="kg"
                first={1}
                onAdd={(crop, amount) => onWants([...wants.filter((want) => want.crop !== crop), { crop, amount }])}
            />
        </>
    );
}

function Verdict({ supplied, by, missed }: { supplied: Supplied[]; by: By; missed: Set<string> }) {
    const { data: crops } = useCrops();
    return supplied.map((one) => {
        const { want, data } = one;
        if (!data) return null;
        const { sowings } = data[by];
        const { weeks, hunger, glut } = hungerAndGlut(weekly(one, by, missed), want.amount);
        return (
            <p key={want.crop}>
                {say(sowings.length === 0 ? 'harvest-plan.never' : 'harvest-plan.verdict', {
                    crop: crops?.find((crop) => crop.slug === want.crop)?.name ?? want.crop,
                    sowings: sowings.length,
                    last: sowings.at(-1) ? inShort(sowings.at(-1)?.on ?? '') : '',
                    length: ofRow(Math.max(0, ...sowings.map((sowing) => sowing.metres ?? 0))),
                    known: data.yield_per_m === null ? 'no' : 'yes',
                    weeks,
                    hunger,
                    glut,
                })}{' '}
                {data[by].season &&
                    say('harvest-plan.this-season', {
                        members: data[by].season.members,
                        hunger: shortThisSeason(data[by], want.amount) ?? 0,
                    })}{' '}
                {data.cut && cutInWords(data.cut)}
            </p>
        );
    });
}

function Sowings({ zone, supplied, by, on }: { zone: string; supplied: Supplied[]; by: By; on: string }) {
    const { data: crops } = useCrops();
    const dayAfter = (days: number) => monthDay(wrap(yearDay(on) + days));
    return (
        <DataTable
            name={say('harvest-plan.sowings')}
            file={`${zone}-harvest-plan`}
            columns={['crop', 'sow', 'from', 'to', 'metres', 'seeds', 'grams'].map((column) =>
                column === 'metres'
                    ? { name: say('harvest-plan.column-metres'), measure: 'm' }
                    : say(`harvest-plan.column-${column}`),
            )}
            rows={() =>
                supplied.flatMap(({ want, data }) =>
                    (data?.[by].sowings ?? []).map((sowing) => [
                        crops?.find((crop) => crop.slug === want.crop)?.name ?? want.crop,
                        sowing.on,
                        dayAfter(sowing.first),
                        dayAfter(sowing.last),
                        sowing.metres,
                        sowing.seeds,
                        sowing.grams,
                    ]),
                )
            }
        />
    );
}

/** Week by week: typically, in the years on record, and this season. */
function Weeks({ zone, supplied, by, on }: { zone: string; supplied: Supplied[]; by: By; on: string }) {
    const { data: crops } = useCrops();
    return (
        <DataTable
            name={say('harvest-plan.weeks')}
            file={`${zone}-harvest-weeks`}
            columns={['crop', 'week', 'usual', 'low', 'middle', 'high', 'season-low', 'season', 'season-high'].map(
                (column) => say(`harvest-plan.column-${column}`),
            )}
            rows={() =>
                supplied.flatMap((one) => {
                    const plan = one.data?.[by];
                    if (!plan) return [];
                    const { season } = plan;
                    const lines = [plan.low, plan.middle, plan.high, season?.low, season?.middle, season?.high].map(
                        (line) => line && weeksOf(line, one.want.amount),
                    );
                    return weekly(one, by, new Set()).map((amount, week) => [
                        crops?.find((crop) => crop.slug === one.want.crop)?.name ?? one.want.crop,
                        monthDay(wrap(yearDay(on) + week * 7)),
                        ...[amount, ...lines.map((line) => line?.[week] ?? null)].map((value) =>
                            value === null ? null : Math.round(100 * value) / 100,
                        ),
                    ]);
                })
            }
        />
    );
}
