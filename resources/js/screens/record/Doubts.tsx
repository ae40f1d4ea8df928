import { Term } from '../../way/Term';
import { Action } from '../../ui/Action';
import { inCentimetres, ofRain, toUnits } from '../../words/units';
import { say, withMinus, units } from '../../words/words';
import { Button, Group, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { useDecision, useQuality } from './queries';
import { useCan } from '../../access/session';
import { useStations } from '../../api/zones';
import { dateInWords } from '../../time/days';
import { Problem } from '../../ui/Problem';

type Value = Schema['DoubtedValue'];

/**
 * Values that quality control questions, by rule and year, with the days around them; the educator's decisions about them, which can be
 * undone.
 */
export function Doubts({ zone, onComputing }: { zone: string; onComputing: (computation: number) => void }) {
    const { data: stations } = useStations(zone);
    const [station, setStation] = useState<number | undefined>(undefined);
    const { data } = useQuality(zone, station);
    const mayDecide = useCan('edit-zones');
    const decide = useDecision(zone, onComputing);
    if (!data) return null;
    const groups = new Map<string, Value[]>();
    for (const value of data.values) {
        const rule = value.doubts[0] ?? 'person';
        groups.set(rule, [...(groups.get(rule) ?? []), value]);
    }
    return (
        <section aria-label={say('common.doubted-values')}>
            <h2>
                <Term of="questionable-value">{say('common.doubted-values')}</Term>
            </h2>
            {stations && stations.stations.length > 1 && (
                <NativeSelect
                    size="xs"
                    label={say('common.of-station')}
                    mb="xs"
                    w={260}
                    value={String(station ?? stations.stations[0]?.id)}
                    onChange={(event) => setStation(Number(event.currentTarget.value))}
                    data={stations.stations.map((s) => ({ value: String(s.id), label: s.name }))}
                />
            )}
            {data.values.length > 0 && <ByYear values={data.values} />}
            <p>
                {data.values.length === 0
                    ? say('doubts.quality-control-doubts-nothing-in')
                    : say('doubts.kept-in-the-record-and')}
            </p>
            <Problem error={decide.error} />
            {[...groups].map(([rule, values]) => (
                <section key={rule}>
                    <h3>{say('record.doubts', { rule: { key: `quality.${rule}` }, values: values.length })}</h3>
                    <table className="ruled">
                        <colgroup>
                            <col style={{ width: '6%' }} />
                            <col style={{ width: '17%' }} />
                            <col style={{ width: '33%' }} />
                            <col style={{ width: '20%' }} />
                            <col />
                        </colgroup>
                        <thead>
                            <tr>
                                <th scope="col">{say('doubts.year')}</th>
                                <th scope="col">{say('doubts.day')}</th>
                                <th scope="col">{say('doubts.minimum-maximum-with-the')}</th>
                                <th scope="col">{say('doubts.decision')}</th>
                                <th scope="col">
                                    <span className="sr-only">{say('doubts.decide')}</span>
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {values.map((value, i) => (
                                <Doubt
                                    key={value.date + value.element}
                                    {...{ value, mayDecide, decide, station }}
                                    year={
                                        values[i - 1]?.date.slice(0, 4) === value.date.slice(0, 4)
                                            ? ''
                                            : value.date.slice(0, 4)
                                    }
                                />
                            ))}
                        </tbody>
                    </table>
                </section>
            ))}
            {mayDecide && <LeaveOut decide={decide} station={station} values={data?.values ?? []} />}
        </section>
    );
}

/** A questionable value with the days around it and the decision; it asks for the reason before the decision counts. */
function Doubt({
    value,
    year,
    mayDecide,
    decide,
    station,
}: {
    value: Value;
    /** its year, if it is the first in it */
    year: string;
    mayDecide: boolean;
    decide: ReturnType<typeof useDecision>;
    station: number | undefined;
}) {
    const [asking, setAsking] = useState(false);
    const [note, setNote] = useState('');
    const close = () => {
        setAsking(false);
        setNote('');
    };
    return (
        <tr>
            <td>{year}</td>
            <td>
                {dateInWords(value.date)}, {say(`element.${value.element}`)}
            </td>
            <td>
                <Around value={value} />
            </td>
            <td>{value.decision ? decided(value.decision) : say('doubts.left-out-by-the-rule')}</td>
            <td>
                {mayDecide && value.decision && (
                    <Action onClick={() => value.decision && decide.mutate({ undo: value.decision.id })}>
                        {say('doubts.undo')}
                    </Action>
                )}
                {mayDecide && !value.decision && !asking && (
                    <Action onClick={() => setAsking(true)}>{say('doubts.let-it-count')}</Action>
                )}
                {asking && (
                    <form
                        onSubmit={(event) => {
                            event.preventDefault();
                            decide.mutate(
                                {
                                    date: value.date,
                                    element: value.element,
                                    accepted: true,
                                    note,
                                    replaces: null,
                                    station,
                                },
                                { onSuccess: close },
                            );
                        }}
                    >
                        <Group gap="xs" wrap="nowrap">
                            <TextInput
                                size="xs"
                                autoFocus
                                required
                                maxLength={500}
                                aria-label={say('doubts.why-it-counts')}
                                placeholder={say('doubts.why-it-counts-2')}
                                value={note}
                                onChange={(event) => setNote(event.currentTarget.value)}
                            />
                            <Button size="xs" type="submit" loading={decide.isPending}>
                                {say('doubts.use-value')}
                            </Button>
                            <Button size="xs" variant="subtle" color="gray" onClick={close}>
                                {say('common.cancel')}
                            </Button>
                        </Group>
                    </form>
                )}
            </td>
        </tr>
    );
}

const ELEMENTS = (['minimum', 'maximum', 'rain', 'snow'] as const).map((element) => ({
    value: element,
    label: say(`element.${element}`),
}));

function Around({ value }: { value: Value }) {
    const celsius = (read: number | null) =>
        read === null ? '–' : withMinus(toUnits('celsius', read, units()).toFixed(1));
    const water = (read: number | null, of: typeof ofRain) => (read === null ? '–' : say(of(read)));
    const shown = (day: Value['around'][number]) => {
        if (value.element === 'rain') return water(day.rain, ofRain);
        if (value.element === 'snow') return water(day.snow, inCentimetres);
        return `${celsius(day.minimum)} / ${celsius(day.maximum)}`;
    };
    return (
        <span className="mono">
            {value.around.map((day, i) => (
                <span key={day.date}>
                    {i > 0 && ', '}
                    {day.date === value.date ? <strong>{shown(day)}</strong> : shown(day)}
                </span>
            ))}
        </span>
    );
}

/** How many values each rule questions, by year. */
function ByYear({ values }: { values: Value[] }) {
    const years = [...new Set(values.map((value) => value.date.slice(0, 4)))].sort();
    const rules = [...new Set(values.flatMap((value) => value.doubts))];
    const count = (rule: string, year: string) =>
        values.filter((v) => v.date.startsWith(year) && v.doubts.some((doubt) => doubt === rule)).length;
    return (
        <div className="scroll" tabIndex={0}>
            <table className="ruled dense" style={{ width: 'auto' }}>
                <caption className="sr-only">{say('doubts.doubted-values-by-rule-and')}</caption>
                <thead>
                    <tr>
                        <th scope="col">{say('doubts.values-doubted-because')}</th>
                        {years.map((year) => (
                            <th key={year} scope="col" className="number">
                                {year}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {rules.map((rule) => (
                        <tr key={rule}>
                            <td>{say(`quality.${rule}`)}</td>
                            {years.map((year) => (
                                <td key={year} className="number">
                                    {count(rule, year) || ''}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}

/** A value that no rule questions can be left out as well. */
function LeaveOut({
    decide,
    station,
    values,
}: {
    decide: ReturnType<typeof useDecision>;
    station: number | undefined;
    values: Value[];
}) {
    const [open, setOpen] = useState(false);
    const [date, setDate] = useState('');
    const [element, setElement] = useState<Value['element']>('minimum');
    const [note, setNote] = useState('');
    if (!open) {
        return (
            <Button mt="lg" variant="default" onClick={() => setOpen(true)}>
                {say('doubts.leave-out-another-value')}
            </Button>
        );
    }
    return (
        <form
            aria-label={say('doubts.leave-out-another-value')}
            onSubmit={(event) => {
                event.preventDefault();
                decide.mutate(
                    {
                        date,
                        element,
                        accepted: false,
                        note,
                        replaces: values.find((v) => v.date === date && v.element === element)?.decision?.id ?? null,
                        station,
                    },
                    {
                        onSuccess: () => {
                            setOpen(false);
                            setDate('');
                            setNote('');
                        },
                    },
                );
            }}
        >
            <h3>{say('doubts.leave-out-another-value')}</h3>
            <Group align="end" gap="sm">
                <TextInput
                    label={say('doubts.day')}
                    type="date"
                    required
                    value={date}
                    onChange={(event) => setDate(event.currentTarget.value)}
                />
                <NativeSelect
                    label={say('doubts.value')}
                    data={ELEMENTS}
                    value={element}
                    onChange={(event) => setElement(event.currentTarget.value as Value['element'])}
                />
                <TextInput
                    label={say('doubts.why-it-does-not-count')}
                    required
                    maxLength={500}
                    miw={300}
                    value={note}
                    onChange={(event) => setNote(event.currentTarget.value)}
                />
                <Button type="submit" loading={decide.isPending}>
                    {say('doubts.leave-out')}
                </Button>
                <Button variant="subtle" color="gray" onClick={() => setOpen(false)}>
                    {say('common.cancel')}
                </Button>
            </Group>
        </form>
    );
}

function decided({ accepted, note, by, at }: NonNullable<Value['decision']>): string {
    return `${accepted ? 'counts' : say('doubts.left-out')}: ${note} (${by}, ${dateInWords(at.slice(0, 10))})`;
}
