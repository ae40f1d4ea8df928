import { Button, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { useDecision, useQuality, useSession } from '../../app/data';
import { dateInWords } from '../../charts/days';

type Value = Schema['DoubtedValue'];

/** Values quality control doubts, by rule and year, with the days around them; the educator's word on them, undoable. */
export function Doubts({ zone, onComputing }: { zone: string; onComputing: (computation: number) => void }) {
    const { data } = useQuality(zone);
    const { data: session } = useSession();
    const decide = useDecision(zone, onComputing);
    const [asking, setAsking] = useState<string | null>(null);
    const [note, setNote] = useState('');
    if (!data) return null;
    const mayDecide = session?.user?.may_publish ?? false;
    const groups = Map.groupBy(
        data.values,
        (value) => value.doubts[0]?.in_words ?? 'doubted by nothing but the person who left it out',
    );
    const close = () => {
        setAsking(null);
        setNote('');
    };
    return (
        <section aria-label="Doubted values">
            <h2>Doubted values</h2>
            <p>
                {data.values.length === 0
                    ? 'Quality control doubts nothing in this record.'
                    : 'Kept in the record and left out of every sum, unless somebody decides otherwise. A decision counts at once and outlives the next import.'}
            </p>
            {decide.error && (
                <p role="alert" className="warning">
                    {decide.error.message}
                </p>
            )}
            {[...groups].map(([rule, values]) => (
                <section key={rule}>
                    <h3>
                        {rule}: {values.length}
                    </h3>
                    <table className="ruled">
                        <colgroup>
                            <col style={{ width: '19%' }} />
                            <col style={{ width: '33%' }} />
                            <col style={{ width: '20%' }} />
                            <col />
                        </colgroup>
                        <thead>
                            <tr>
                                <th scope="col">Day</th>
                                <th scope="col">Minimum / maximum, °C, with the days around</th>
                                <th scope="col">Decision</th>
                                <th scope="col">
                                    <span className="sr-only">Decide</span>
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {values.map((value) => {
                                const key = value.date + value.element;
                                return (
                                    <tr key={key}>
                                        <td>
                                            {dateInWords(value.date)}, {value.element}
                                        </td>
                                        <td>
                                            <Around value={value} />
                                        </td>
                                        <td>
                                            {value.decision
                                                ? `${value.decision.accepted ? 'counts' : 'left out'}: ${value.decision.note} (${value.decision.by}, ${dateInWords(value.decision.at.slice(0, 10))})`
                                                : 'left out by the rule'}
                                        </td>
                                        <td>
                                            {mayDecide && value.decision && (
                                                <button
                                                    type="button"
                                                    className="plain"
                                                    onClick={() =>
                                                        value.decision && decide.mutate({ undo: value.decision.id })
                                                    }
                                                >
                                                    undo
                                                </button>
                                            )}
                                            {mayDecide && !value.decision && asking !== key && (
                                                <button type="button" className="plain" onClick={() => setAsking(key)}>
                                                    let it count
                                                </button>
                                            )}
                                            {asking === key && (
                                                <form
                                                    onSubmit={(event) => {
                                                        event.preventDefault();
                                                        decide.mutate(
                                                            {
                                                                date: value.date,
                                                                element: value.element,
                                                                accepted: true,
                                                                note,
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
                                                            aria-label="Why it counts"
                                                            placeholder="why it counts"
                                                            value={note}
                                                            onChange={(event) => setNote(event.currentTarget.value)}
                                                        />
                                                        <Button size="xs" type="submit" loading={decide.isPending}>
                                                            Let it count
                                                        </Button>
                                                        <Button size="xs" variant="subtle" color="gray" onClick={close}>
                                                            Leave it
                                                        </Button>
                                                    </Group>
                                                </form>
                                            )}
                                        </td>
                                    </tr>
                                );
                            })}
                        </tbody>
                    </table>
                </section>
            ))}
        </section>
    );
}

function Around({ value }: { value: Value }) {
    const shown = (celsius: number | null) => (celsius === null ? '–' : String(celsius).replace('-', '−'));
    return (
        <span className="mono">
            {value.around.map((day, i) => (
                <span key={day.date}>
                    {i > 0 && ', '}
                    {day.date === value.date ? (
                        <strong>
                            {shown(day.minimum)} / {shown(day.maximum)}
                        </strong>
                    ) : (
                        `${shown(day.minimum)} / ${shown(day.maximum)}`
                    )}
                </span>
            ))}
        </span>
    );
}
