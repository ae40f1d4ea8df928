import { Action } from '../../ui/Action';
import { say } from '../../words/words';
import { Button, Group, MultiSelect, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { labeled } from '../../ui/measure';
import { asKept, asRead, labelOf } from './columns';
import { Refusal, type Schema } from '../../api/client';
import { useSaveVariety, useTakeOutVariety, varietyDraft } from './queries';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';

type Crop = Schema['Crop'];

const TAGS = ['quick', 'heat-proof', 'storage', 'winter', 'long-day', 'intermediate-day', 'short-day'];

/** A variety in its form; a new one has no id. */
type Edited = {
    id?: number;
    version?: number;
    name: string;
    days: string;
    basis: string;
    heat: string;
    tags: string[];
};

/** Varieties with their own days, and what these count from. */
export function Varieties({ crop, mayEdit }: { crop: Crop; mayEdit: boolean }) {
    const [edited, setEdited] = useState<Edited | null>(null);
    return (
        <section aria-label={say('common.varieties')}>
            <h3>{say('common.varieties')}</h3>
            {crop.varieties.length === 0 && <p className="hint">{say('common.none-yet')}</p>}
            {crop.varieties.length > 0 && <Table crop={crop} mayEdit={mayEdit} onEdit={setEdited} />}
            {mayEdit && edited === null && (
                <Button
                    mt="sm"
                    size="xs"
                    variant="default"
                    onClick={() => setEdited({ name: '', days: '', basis: '', heat: '', tags: [] })}
                >
                    {say('varieties.add-a-variety')}
                </Button>
            )}
            {edited && <Form key={edited.id ?? 'new'} crop={crop} first={edited} onDone={() => setEdited(null)} />}
        </section>
    );
}

function Table({ crop, mayEdit, onEdit }: { crop: Crop; mayEdit: boolean; onEdit: (edited: Edited) => void }) {
    const takeOut = useTakeOutVariety(crop.slug);
    return (
        <table className="ruled">
            <thead>
                <tr>
                    <th scope="col">{say('common.name')}</th>
                    <th scope="col">{say('common.days')}</th>
                    <th scope="col">{say('varieties.other-numbers-of-its-own')}</th>
                    <th scope="col">{say('varieties.tags')}</th>
                    <th scope="col">
                        <span className="sr-only">{say('common.edit')}</span>
                    </th>
                </tr>
            </thead>
            <tbody>
                {crop.varieties.map((v) => (
                    <tr key={v.id}>
                        <td>{v.name}</td>
                        <td>
                            {say('varieties.from', {
                                maturity_days: v.cells.maturity_days ?? crop.cells.maturity_days,
                                maturity_basis: v.cells.maturity_basis ?? crop.cells.maturity_basis,
                            })}
                        </td>
                        <td>
                            {Object.entries(v.cells)
                                .filter(([column]) => !column.startsWith('maturity'))
                                .map(([column, cell]) => `${labelOf(column)} ${asRead(column, cell)}`)
                                .join(', ')}
                        </td>
                        <td>{v.tags.join(', ')}</td>
                        <td className="nowrap">
                            {mayEdit && (
                                <>
                                    <Action
                                        onClick={() =>
                                            onEdit({
                                                id: v.id,
                                                version: v.version,
                                                name: v.name,
                                                days: v.cells.maturity_days ?? '',
                                                basis: v.cells.maturity_basis ?? '',
                                                heat: asRead('heat_c', v.cells.heat_c ?? ''),
                                                tags: v.tags,
                                            })
                                        }
                                    >
                                        {say('common.edit')}
                                    </Action>{' '}
                                    <Action onClick={() => takeOut.mutate(v)}>{say('common.take-out')}</Action>
                                </>
                            )}
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

function Form({ crop, first, onDone }: { crop: Crop; first: Edited; onDone: () => void }) {
    const [edited, setEdited, forget] = useKept(varietyDraft(crop.slug, first.id), first);
    const [stale, setStale] = useState(false);
    const save = useSaveVariety(crop.slug, first.id);
    const close = () => {
        forget();
        onDone();
    };
    return (
        <form
            aria-label={say('varieties.variety')}
            onSubmit={(event) => {
                event.preventDefault();
                const now = crop.varieties.find((v) => v.id === edited.id);
                const before = now?.cells ?? {};
                save.mutate(
                    {
                        id: edited.id,
                        version: stale ? now?.version : edited.version,
                        name: edited.name,
                        cells: {
                            ...before,
                            maturity_days: edited.days,
                            maturity_basis: edited.basis,
                            heat_c: asKept('heat_c', edited.heat),
                        },
                        tags: edited.tags,
                    },
                    {
                        onSuccess: close,
                        // What others changed is shown; saving again puts this version on top of theirs.
                        onError: (refusal) => setStale(refusal instanceof Refusal && refusal.status === 409),
                    },
                );
            }}
        >
            <Group align="end" gap="xs" mt="sm">
                <TextInput
                    size="xs"
                    label={say('varieties.varietys-name')}
                    required
                    value={edited.name}
                    onChange={(event) => setEdited({ ...edited, name: event.currentTarget.value })}
                />
                <TextInput
                    size="xs"
                    label={say('varieties.own-days')}
                    w={80}
                    placeholder={crop.cells.maturity_days}
                    value={edited.days}
                    onChange={(event) => setEdited({ ...edited, days: event.currentTarget.value })}
                />
                <NativeSelect
                    size="xs"
                    label={say('varieties.counted-from')}
                    value={edited.basis}
                    onChange={(event) => setEdited({ ...edited, basis: event.currentTarget.value })}
                    data={[
                        { value: '', label: say('varieties.as-the-crop') },
                        { value: 'sowing', label: say('varieties.sowing') },
                        { value: 'emergence', label: say('varieties.emergence') },
                        { value: 'transplant', label: say('varieties.setting-out') },
                    ]}
                />
                <TextInput
                    size="xs"
                    label={labeled(say('varieties.heat'), 'celsius')}
                    w={80}
                    placeholder={asRead('heat_c', crop.cells.heat_c ?? '')}
                    value={edited.heat}
                    onChange={(event) => setEdited({ ...edited, heat: event.currentTarget.value })}
                />
                <MultiSelect
                    size="xs"
                    label={say('varieties.tags')}
                    miw={220}
                    data={TAGS}
                    value={edited.tags}
                    onChange={(tags) => setEdited({ ...edited, tags })}
                />
                <Button size="xs" type="submit" loading={save.isPending}>
                    {say('varieties.save-the-variety')}
                </Button>
                <Button size="xs" variant="subtle" color="gray" onClick={close}>
                    {say('common.cancel')}
                </Button>
            </Group>
            <Problem error={save.error} />
        </form>
    );
}
