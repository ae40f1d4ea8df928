import { NumberInput, TextInput } from '@mantine/core';
import { ofRow } from '../../words/units';
import { MeasureInput } from '../../ui/MeasureInput';
import { useState } from 'react';
import { useSession } from '../../access/session';
import type { Schema } from '../../api/client';
import { DataTable } from '../../charts/DataTable';
import { inShort, monthDay, monthDayOf, wrap, yearDay } from '../../time/days';
import { Problem } from '../../ui/Problem';
import { listed, say } from '../../words/words';
import { useSuccession } from './queries';

type Plan = Schema['SuccessionPlan'];

const [WIDTH, HEIGHT, BASE] = [900, 118, 92];
const LEFT = 8;

/** A continuous harvest of a crop: plantings timed for an even supply beside plantings at a fixed interval, and what both yield. */
export function Succession({
    zone,
    crop,
    route,
    standard,
    from,
}: {
    zone: string;
    crop: string;
    route: 'direct' | 'transplant';
    standard?: Schema['Standard'];
    /** the first day to sow on, unless another is chosen */
    from: string;
}) {
    const [first, setFirst] = useState<string>();
    const [days, setDays] = useState<number | string>(120);
    const [amount, setAmount] = useState<number | string>('');
    const on = first ?? from;
    // The request is about a day of any year; the field needs one.
    const year = useSession().data?.today.slice(0, 4) ?? '2001';
    const { data, error } = useSuccession(zone, crop, {
        on,
        route,
        standard,
        days: Number(days) || 120,
        ...(Number(amount) > 0 && { amount: Number(amount) }),
    });
    return (
        <section className="succession">
            <h3>{say('succession.heading')}</h3>
            <div className="tools">
                <TextInput
                    size="xs"
                    type="date"
                    label={say('succession.from')}
                    value={`${year}-${on}`}
                    onChange={({ currentTarget: { value } }) => value && setFirst(monthDayOf(value))}
                />
                <NumberInput
                    size="xs"
                    w={110}
                    label={say('succession.days')}
                    min={1}
                    max={364}
                    value={days}
                    onChange={setDays}
                />
                <MeasureInput
                    measure="kg"
                    size="xs"
                    w={180}
                    label={say('harvest-plan.amount')}
                    decimalScale={2}
                    value={amount}
                    onChange={setAmount}
                />
            </div>
            <Problem error={error} />
            {data && (
                <>
                    <PlanLine name={say('succession.even')} plan={data.even} on={on} span={longest(data)} />
                    <PlanLine
                        name={say('succession.fixed', { days: data.interval })}
                        plan={data.fixed}
                        on={on}
                        span={longest(data)}
                    />
                    <p className="hint">{say('succession.key', { years: data.even.years })}</p>
                    {Number(amount) > 0 && data.yield_per_m === null && <p>{say('succession.no-yield')}</p>}
                    <DataTable
                        name={say('succession.sowings')}
                        file={`${zone}-${crop}-succession`}
                        columns={[
                            say('succession.column-plan'),
                            say('succession.column-sow'),
                            say('succession.column-pick-from'),
                            say('succession.column-pick-to'),
                            { name: say('succession.column-metres'), measure: 'm' },
                        ]}
                        rows={() =>
                            (['even', 'fixed'] as const).flatMap((plan) =>
                                data[plan].sowings.map((sowing) => [
                                    say(plan === 'even' ? 'succession.even' : 'succession.fixed', {
                                        days: data.interval,
                                    }),
                                    sowing.on,
                                    dayAfter(on, sowing.first),
                                    dayAfter(on, sowing.last),
                                    sowing.metres,
                                ]),
                            )
                        }
                    />
                </>
            )}
        </section>
    );
}

function longest(data: Schema['Succession']): number {
    return Math.max(data.even.usual.length, data.fixed.usual.length, data.days + 1);
}

function dayAfter(on: string, days: number): string {
    return monthDay(wrap(yearDay(on) + days));
}

/** Plantings as ticks along the bottom, with what is in harvest stacked above them; shortages and gluts in words. */
function PlanLine({ name, plan, on, span }: { name: string; plan: Plan; on: string; span: number }) {
    const x = (day: number) => LEFT + (day / span) * (WIDTH - 2 * LEFT);
    const most = Math.max(2, ...plan.usual, ...plan.high);
    const y = (count: number) => BASE - (count / most) * (BASE - 12);
    const steps = (counts: number[]) =>
        counts.map((count, day) => `L${x(day)} ${y(count)}L${x(day + 1)} ${y(count)}`).join('');
    const area = `M${x(0)} ${BASE}${steps(plan.usual)}L${x(plan.usual.length)} ${BASE}Z`;
    const line = `M${x(0)} ${BASE}${steps(plan.middle)}`;
    const months = Array.from({ length: span }, (_, day) => day).filter((day) => dayAfter(on, day).endsWith('-01'));
    return (
        <figure>
            <figcaption>
                <strong>{name}.</strong> {inWords(plan, on)}
            </figcaption>
            <svg className="chart" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={name}>
                {months.map((day) => (
                    <g key={day}>
                        <line className="rule" x1={x(day)} x2={x(day)} y1={6} y2={HEIGHT - 14} />
                        <text className="quiet" x={x(day) + 3} y={HEIGHT - 3} fontSize="11">
                            {inShort(dayAfter(on, day))}
                        </text>
                    </g>
                ))}
                <path className="supply" d={area} />
                <path className="usual" d={line} />
                <line className="rule" x1={LEFT} x2={WIDTH - LEFT} y1={y(1)} y2={y(1)} />
                <line className="ink" x1={LEFT} x2={WIDTH - LEFT} y1={BASE} y2={BASE} />
                {plan.sowings.map((sowing) => (
                    <line
                        key={sowing.after}
                        className="sown"
                        x1={x(sowing.after)}
                        x2={x(sowing.after)}
                        y1={BASE}
                        y2={BASE + 10}
                    />
                ))}
            </svg>
        </figure>
    );
}

function inWords(plan: Plan, on: string): string {
    if (plan.sowings.length === 0) return say('succession.none');
    const sown = plan.sowings.map((sowing) => {
        const day = inShort(sowing.on);
        return sowing.metres === null ? day : say('succession.metres', { day, length: ofRow(sowing.metres) });
    });
    const spans = (some: number[][]) =>
        listed(
            some.map(([a = 0, b = 0]) =>
                a === b
                    ? say('succession.on', { day: inShort(dayAfter(on, a)) })
                    : say('succession.span', { from: inShort(dayAfter(on, a)), to: inShort(dayAfter(on, b)) }),
            ),
        );
    return [
        say('succession.sow-on', { days: listed(sown) }),
        plan.gaps.length > 0 && say('succession.gaps', { spans: spans(plan.gaps) }),
        plan.gluts.length > 0 && say('succession.gluts', { spans: spans(plan.gluts) }),
    ]
        .filter(Boolean)
        .join(' ');
}
