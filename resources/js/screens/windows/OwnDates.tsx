import { Action } from '../../ui/Action';
import { Button, Group, NativeSelect, Textarea, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useState, type ReactNode } from 'react';
import type { Schema } from '../../api/client';
import { inShort, monthDayOf } from '../../time/days';
import { readMonthDay } from '../../time/typed';
import { choiceDraft, useChoice } from './queries';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';

type Route = 'direct' | 'transplant';
type Row = { route: Route; first: string; last: string };
type Draft = { school: Schema['School'] | null; reason: string; rows: Row[] };

const NOTHING: Draft = { school: null, reason: '', rows: [] };

/** The educator's own choice: another method for this crop, or own dates; with a reason, and it can be undone. */
export function OwnDates({ zone, crop, data }: { zone: string; crop: string; data: Schema['Dossier'] }) {
    const [draft, keep, forget] = useKept<Draft>(choiceDraft(zone, crop), NOTHING);
    const { school } = draft;
    const choice = useChoice(zone, crop);
    const routes = data.replay.map((r) => ({ value: r.route, label: say(`act.${r.act}`) }));
    const start = (to: Schema['School']) =>
        keep({
            school: to,
            reason: '',
            rows: data.crop.routes.flatMap((route) =>
                route.windows.map((w) => ({ route: route.route as Route, first: w.first, last: w.last })),
            ),
        });
    if (school === null) {
        return (
            <>
                <h3>{say('own-dates.your-own-word')}</h3>
                <Group gap="xs">
                    {data.choice ? (
                        <Button
                            size="xs"
                            variant="default"
                            loading={choice.isPending}
                            onClick={() => data.choice && choice.mutate({ undo: data.choice.id })}
                        >
                            {say('own-dates.undo-it')}
                        </Button>
                    ) : null}
                    <Button size="xs" variant="default" onClick={() => start('own')}>
                        {say('own-dates.override-dates')}
                    </Button>
                    {['replay', ...data.schools.filter((s) => s.routes.length > 0).map((s) => s.school)]
                        .filter((key) => key !== data.crop.school)
                        .map((key) => (
                            <Button key={key} size="xs" variant="default" onClick={() => start(key)}>
                                {say(`school.${key}.name`)}
                            </Button>
                        ))}
                </Group>
            </>
        );
    }
    return (
        <ChoiceForm
            {...{ draft, keep, routes }}
            school={school}
            onSave={({ reason, rows }) =>
                choice.mutate(
                    {
                        school,
                        reason,
                        replaces: data.choice?.id ?? null,
                        windows: school === 'own' ? rows : undefined,
                    },
                    { onSuccess: forget },
                )
            }
        >
            <Problem error={choice.error} />
            <Group mt="xs" gap="xs">
                <Button size="xs" type="submit" loading={choice.isPending}>
                    {say('common.save')}
                </Button>
                <Button size="xs" variant="subtle" color="gray" onClick={forget}>
                    {say('common.cancel')}
                </Button>
            </Group>
        </ChoiceForm>
    );
}

const isDay = (day: string) => (day === '' ? say('own-dates.no-day') : null);

/** The reason, and the educator's own windows; nothing is sent that is not a day. */
function ChoiceForm({
    draft,
    keep,
    routes,
    school,
    onSave,
    children,
}: {
    draft: Draft;
    keep: (draft: Draft) => void;
    routes: { value: Route; label: string }[];
    school: Schema['School'];
    onSave: (draft: Draft) => void;
    children: ReactNode;
}) {
    const form = useForm<Draft>({
        initialValues: draft,
        onValuesChange: keep,
        validate: { rows: { first: isDay, last: isDay } },
    });
    return (
        <form aria-label={say('own-dates.your-own-word')} onSubmit={form.onSubmit(onSave)}>
            <h3>{say(`school.${school}.follow`)}</h3>
            {school === 'own' && <Windows form={form} routes={routes} />}
            <Textarea
                mt="xs"
                size="xs"
                label={say('own-dates.why')}
                required
                autoFocus={school !== 'own'}
                maxLength={500}
                autosize
                minRows={2}
                {...form.getInputProps('reason')}
            />
            {children}
        </form>
    );
}

/** The educator's own windows, one line each. */
function Windows({
    form,
    routes,
}: {
    form: Pick<
        ReturnType<typeof useForm<Draft>>,
        'values' | 'errors' | 'getInputProps' | 'setFieldValue' | 'insertListItem' | 'removeListItem'
    >;
    routes: { value: Route; label: string }[];
}) {
    return (
        <>
            {form.values.rows.map((row, i) => (
                <Group key={i} gap={6} mb={6} wrap="nowrap">
                    {routes.length > 1 && (
                        <NativeSelect
                            size="xs"
                            aria-label={say('own-dates.way-of-growing', { i: i + 1 })}
                            data={routes}
                            {...form.getInputProps(`rows.${i}.route`)}
                        />
                    )}
                    <DayField
                        label={say('own-dates.from', { i: i + 1 })}
                        value={row.first}
                        error={form.errors[`rows.${i}.first`]}
                        autoFocus={i === 0}
                        onChange={(first) => form.setFieldValue(`rows.${i}.first`, first)}
                    />
                    {say('own-dates.to')}
                    <DayField
                        label={say('own-dates.to-2', { i: i + 1 })}
                        value={row.last}
                        error={form.errors[`rows.${i}.last`]}
                        onChange={(last) => form.setFieldValue(`rows.${i}.last`, last)}
                    />
                    <Action onClick={() => form.removeListItem('rows', i)}>{say('own-dates.out')}</Action>
                </Group>
            ))}
            <Action
                onClick={() =>
                    form.insertListItem('rows', { route: routes[0]?.value ?? 'direct', first: '', last: '' })
                }
            >
                {say('own-dates.another-window')}
            </Action>
        </>
    );
}

/** A day of the year, typed the way you write it or picked from the browser's own calendar; the year does not matter. */
function DayField({
    label,
    value,
    error,
    onChange,
    autoFocus = false,
}: {
    label: string;
    value: string;
    error: ReactNode;
    onChange: (value: string) => void;
    autoFocus?: boolean;
}) {
    const [typed, setTyped] = useState<string | null>(null);
    const isKnown = value !== '';
    return (
        <span className="day-field">
            <TextInput
                size="xs"
                w={110}
                aria-label={label}
                autoFocus={autoFocus}
                placeholder={say('own-dates.such-as')}
                required
                value={typed ?? (isKnown ? inShort(value) : '')}
                error={typed !== null && typed !== '' && !isKnown ? say('own-dates.no-day') : error}
                onChange={(event) => {
                    setTyped(event.currentTarget.value);
                    onChange(readMonthDay(event.currentTarget.value) ?? '');
                }}
                // The field then shows how it was understood.
                onBlur={() => isKnown && setTyped(null)}
            />
            <input
                type="date"
                aria-label={say('own-dates.from-a-calendar', { label })}
                value={/^\d\d-\d\d$/.test(value) ? `2001-${value}` : ''}
                onChange={(event) => {
                    if (event.target.value === '') return;
                    setTyped(null);
                    onChange(monthDayOf(event.target.value));
                }}
            />
        </span>
    );
}
