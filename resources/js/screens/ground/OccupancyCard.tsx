import { Button, Checkbox, Group, NativeSelect, TextInput } from '@mantine/core';
import { ofRow } from '../../words/units';
import { MeasureInput } from '../../ui/MeasureInput';
import { useState } from 'react';
import { dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { say } from '../../words/words';
import { BesideSowing } from './BesideSowing';
import { BetweenRows } from './BetweenRows';
import type { GroundBed, Occupancy, usePlantings } from './queries';

/** One stay: its days and why; if it is planned, its day, bed, and meters can be changed. */
export function OccupancyCard({
    zone,
    bed,
    stay,
    beds,
    plantings,
}: {
    zone: string;
    bed: GroundBed;
    stay: Occupancy;
    beds: GroundBed[];
    plantings: ReturnType<typeof usePlantings>;
}) {
    const [on, setOn] = useState(stay.from);
    const [metres, setMetres] = useState<number | string>(stay.metres);
    const [to, setTo] = useState(bed.id);
    const planting = stay.planting === null ? null : { id: stay.planting, version: stay.version ?? 0 };
    const first = bed.stays.find(({ key }) => key === stay.between);
    const inside = bed.stays.filter(({ between }) => between === stay.key);
    const save = (part: { pinned?: boolean; between?: null } = {}) =>
        planting !== null &&
        plantings.change({
            change: [{ ...planting, bed: to, on, metres: Number(metres), pinned: stay.pinned, ...part }],
        });
    return (
        <>
            <h2>{[stay.name, stay.variety].filter(Boolean).join(' ')}</h2>
            <p>
                {say('ground.stay-in-words', {
                    kind: say(`ground.kind-${stay.kind}`),
                    act: say(`act.${stay.act}`),
                    from: dateInWords(stay.from),
                    first: stay.first ? dateInWords(stay.first) : 'none',
                    to: dateInWords(stay.to),
                    bed: bed.name,
                    family: stay.family,
                })}
            </p>
            {stay.height_cm !== null && stay.height_cm >= 120 && (
                <p className="hint">{say('ground.tall', { height: ofRow(stay.height_cm / 100) })}</p>
            )}
            {stay.cautions.map((code) => (
                <p key={code} className="caution">
                    {say(`caution.${code}`)}
                </p>
            ))}
            {first && (
                <p>
                    {say('between.of', { first: first.name })}{' '}
                    {planting && <Action onClick={() => save({ between: null })}>{say('between.alone')}</Action>}
                </p>
            )}
            {inside.length > 0 && <p>{say('between.has', { crops: inside.map(({ name }) => name).join(', ') })}</p>}
            {planting === null ? (
                <p className="hint">{say('ground.by-the-log')}</p>
            ) : (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        save();
                    }}
                >
                    <TextInput
                        size="xs"
                        type="date"
                        label={say('ground.on-day')}
                        value={on}
                        onChange={(event) => event.currentTarget.value && setOn(event.currentTarget.value)}
                    />
                    <Group gap="sm" grow>
                        <MeasureInput
                            measure="m"
                            size="xs"
                            label={say('ground.metres')}
                            value={metres}
                            onChange={setMetres}
                        />
                        <NativeSelect
                            size="xs"
                            label={say('ground.bed')}
                            value={to}
                            onChange={(event) => setTo(Number(event.currentTarget.value))}
                            data={beds.map((one) => ({ value: String(one.id), label: one.name }))}
                        />
                    </Group>
                    <Group gap="md" mt="xs">
                        <Button size="xs" type="submit" loading={plantings.isPending}>
                            {say('ground.change')}
                        </Button>
                        <Action onClick={() => plantings.change({ remove: [planting] })}>
                            {say('common.take-out')}
                        </Action>
                    </Group>
                    <Checkbox
                        size="xs"
                        mt="sm"
                        label={say('ground.pin')}
                        checked={stay.pinned}
                        onChange={(event) => save({ pinned: event.currentTarget.checked })}
                    />
                </form>
            )}
            {planting !== null && <BesideSowing zone={zone} bed={bed.id} stay={stay} plantings={plantings} />}
            {!first && stay.kind !== 'done' && stay.kind !== 'lost' && (
                <BetweenRows zone={zone} bed={bed} stay={stay} plantings={plantings} />
            )}
        </>
    );
}
