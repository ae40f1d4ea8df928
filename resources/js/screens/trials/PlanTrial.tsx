import { Button, Checkbox, Group, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useLogBook } from '../../api/log';
import { useSession } from '../../access/session';
import { dateAfter } from '../../time/days';
import { Action } from '../../ui/Action';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { trialDraft, usePlanTrial, type Plan } from './queries';

type Wave = { name: string; on: string };

const WAYS = ['direct', 'transplant'] as const;
const UNITS = ['kilograms', 'stems'] as const;

/** A week early, on the day, a week late. */
function waves(on: string): Wave[] {
    return [
        { name: say('trials.wave-early'), on: dateAfter(on, -7) },
        { name: say('trials.wave-on-the-day'), on },
        { name: say('trials.wave-late'), on: dateAfter(on, 7) },
    ];
}

type Draft = {
    question: string;
    crop: string;
    route: Plan['route'];
    unit: Plan['measured_in'];
    varieties: string[];
    /** null: a week from today */
    on: string | null;
    /** null: the usual three */
    own: Wave[] | null;
    repeats: number | string;
    beds: string[];
};

const NOTHING: Draft = {
    question: '',
    crop: '',
    route: 'direct',
    unit: 'kilograms',
    varieties: [],
    on: null,
    own: null,
    repeats: 3,
    beds: [],
};

/** A trial being planned: the question, the crop and its varieties, the waves, how often, and where. */
export function PlanTrial({ zone, onDone }: { zone: string; onDone: () => void }) {
    const { data: book } = useLogBook(zone);
    const today = useSession().data?.today ?? '2026-01-01';
    const plan = usePlanTrial(zone);
    const [draft, keep, forget] = useKept(trialDraft(zone), NOTHING);
    const { question, crop, route, unit, varieties, own, repeats, beds } = draft;
    const on = draft.on ?? dateAfter(today, 7);
    const set = (part: Partial<Draft>) => keep({ ...draft, ...part });
    const close = () => {
        forget();
        onDone();
    };
    const [key] = useState(() => crypto.randomUUID());
    const chosen = book?.crops.find((one) => one.slug === crop);
    const list = own ?? waves(on);
    const plots = list.length * Math.max(1, varieties.length) * Number(repeats || 0);
    const send = () =>
        plan.mutate(
            {
                key,
                crop,
                route,
                measured_in: unit,
                question: question.trim(),
                waves: list,
                varieties: varieties.length === 0 ? [null] : varieties,
                repeats: Number(repeats),
                beds: (book?.beds ?? [])
                    .filter((bed) => beds.includes(`${bed.garden}\n${bed.name}`))
                    .map(({ garden, name }) => ({ garden, name })),
            },
            { onSuccess: close },
        );
    return (
        <form
            className="plan"
            aria-label={say('trials.plan-one')}
            onSubmit={(event) => {
                event.preventDefault();
                send();
            }}
        >
            <TextInput
                size="xs"
                label={say('trials.question')}
                description={say('trials.question-like')}
                maxLength={300}
                value={question}
                onChange={(event) => set({ question: event.currentTarget.value })}
            />
            <Group gap="md" align="end">
                <NativeSelect
                    size="xs"
                    label={say('trials.crop')}
                    value={crop}
                    onChange={(event) => set({ crop: event.currentTarget.value, varieties: [] })}
                    data={[
                        { value: '', label: say('trials.choose') },
                        ...(book?.crops ?? []).map((one) => ({ value: one.slug, label: one.name })),
                    ]}
                />
                <OneOf
                    label={say('trials.way')}
                    words={(way) => say(`trials.way-${way}`)}
                    value={route}
                    values={WAYS}
                    onValue={(one) => set({ route: one })}
                />
                <OneOf
                    label={say('trials.measured-in')}
                    words={(one) => say(`trials.unit-${one}`)}
                    value={unit}
                    values={UNITS}
                    onValue={(one) => set({ unit: one })}
                />
                <NumberInput
                    size="xs"
                    w={110}
                    label={say('trials.repeats')}
                    min={1}
                    max={20}
                    value={repeats}
                    onChange={(count) => set({ repeats: count })}
                />
            </Group>
            <Ticks
                label={say('common.varieties')}
                options={(chosen?.varieties ?? []).map((name) => ({ value: name, label: name }))}
                chosen={varieties}
                onChosen={(names) => set({ varieties: names })}
            />
            <Ticks
                label={say('trials.beds')}
                options={(book?.beds ?? []).map((bed) => ({
                    value: `${bed.garden}\n${bed.name}`,
                    label: `${bed.name}, ${bed.garden}`,
                }))}
                chosen={beds}
                onChosen={(places) => set({ beds: places })}
            />
            <Waves
                list={list}
                on={on}
                onDay={(day) => set({ on: day })}
                own={own !== null}
                onOwn={(rows) => set({ own: rows ?? null })}
            />
            <Group gap="md" mt="xs">
                <Button size="xs" type="submit" disabled={!question.trim() || !crop || !plots} loading={plan.isPending}>
                    {say('trials.make-plan', { plots })}
                </Button>
                <Action onClick={close}>{say('common.cancel')}</Action>
            </Group>
            {Number(repeats) < 3 && <p className="hint">{say('trials.few-repeats')}</p>}
            <Problem error={plan.error} />
        </form>
    );
}

function OneOf<T extends string>({
    label,
    words,
    value,
    values,
    onValue,
}: {
    label: string;
    words: (value: T) => string;
    value: T;
    values: readonly T[];
    onValue: (value: T) => void;
}) {
    return (
        <NativeSelect
            size="xs"
            label={label}
            value={value}
            onChange={(event) => onValue(event.currentTarget.value as T)}
            data={values.map((one) => ({ value: one, label: words(one) }))}
        />
    );
}

function Waves({
    list,
    on,
    onDay,
    own,
    onOwn,
}: {
    list: Wave[];
    on: string;
    onDay: (on: string) => void;
    own: boolean;
    onOwn: (waves: Wave[] | undefined) => void;
}) {
    const change = (i: number, part: Partial<Wave>) =>
        onOwn(list.map((wave, at) => (at === i ? { ...wave, ...part } : wave)));
    if (!own) {
        return (
            <Group gap="md" align="end">
                <TextInput
                    size="xs"
                    type="date"
                    label={say('trials.the-day')}
                    value={on}
                    onChange={(event) => event.currentTarget.value && onDay(event.currentTarget.value)}
                />
                <Action onClick={() => onOwn(list)}>{say('trials.own-waves')}</Action>
            </Group>
        );
    }
    return (
        <fieldset className="waves">
            <legend>{say('trials.waves')}</legend>
            {list.map((wave, i) => (
                <Group key={i} gap="xs" align="end">
                    <TextInput
                        size="xs"
                        aria-label={say('trials.wave-name')}
                        maxLength={60}
                        value={wave.name}
                        onChange={(event) => change(i, { name: event.currentTarget.value })}
                    />
                    <TextInput
                        size="xs"
                        type="date"
                        aria-label={say('trials.wave-day')}
                        value={wave.on}
                        onChange={(event) => change(i, { on: event.currentTarget.value })}
                    />
                    {list.length > 1 && (
                        <Action onClick={() => onOwn(list.filter((_, at) => at !== i))}>
                            {say('common.take-out')}
                        </Action>
                    )}
                </Group>
            ))}
            <Action
                onClick={() =>
                    onOwn([...list, { name: say('trials.wave-n', { n: list.length + 1 }), on: list.at(-1)?.on ?? on }])
                }
            >
                {say('trials.another-wave')}
            </Action>{' '}
            <Action onClick={() => onOwn(undefined)}>{say('trials.usual-waves')}</Action>
        </fieldset>
    );
}

function Ticks({
    label,
    options,
    chosen,
    onChosen,
}: {
    label: string;
    options: { value: string; label: string }[];
    chosen: string[];
    onChosen: (chosen: string[]) => void;
}) {
    if (options.length === 0) return null;
    return (
        <Checkbox.Group size="xs" label={label} value={chosen} onChange={onChosen}>
            <Group gap="md">
                {options.map((option) => (
                    <Checkbox key={option.value} size="xs" value={option.value} label={option.label} />
                ))}
            </Group>
        </Checkbox.Group>
    );
}
