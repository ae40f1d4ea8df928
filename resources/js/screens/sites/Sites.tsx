import { Action } from '../../ui/Action';
import { MeasureInput } from '../../ui/MeasureInput';
import { type Measure, toUnits } from '../../words/units';
import { GROUNDS, groundName, USUAL_GROUND } from '../../words/grounds';
import { say, withMinus, units } from '../../words/words';
import { Button, Group, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useEffect } from 'react';
import type { Schema } from '../../api/client';
import { useSaveSite, useSites, useTakeOutSite } from '../../api/sites';
import { useCan } from '../../access/session';
import { useZones } from '../../api/zones';
import { merged } from '../../ui/merge';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';

type Site = Schema['Site'];
type Numbers = Schema['SiteNumbers'];

const NUMBERS: { key: keyof Numbers; label: string; unit: string; measure?: Measure }[] = [
    { key: 'air', label: 'sites.air', unit: 'sites.added-to-day-and-night', measure: 'celsius_more' },
    { key: 'sun', label: 'sites.sun', unit: 'sites.soil-warmed-in-full-sun', measure: 'celsius_more' },
    { key: 'rate', label: 'common.rate', unit: 'sites.how-fast-soil-follows-air' },
    { key: 'protection', label: 'sites.protection', unit: 'sites.against-freezing-c', measure: 'celsius_more' },
    { key: 'offset', label: 'sites.offset', unit: 'sites.readings-add-to-soil-c', measure: 'celsius_more' },
];

/** A number of a site as it is shown. */
function told(value: number, measure: Measure | undefined): string {
    return withMinus(String(measure ? toUnits(measure, value, units()) : value));
}

const EMPTY: Numbers & Pick<Site, 'name' | 'note' | 'ground'> = {
    name: '',
    note: '',
    ground: USUAL_GROUND,
    air: 0,
    sun: 2,
    rate: 1,
    protection: 0,
    offset: 0,
};

type Edited = Partial<Site> & typeof EMPTY;

/** What is typed, and the site it is based on; a new one has none. */
type Form = { edited: Edited; base: Site | null };

/** Kinds of growing sites: how each changes air, soil, and frost compared with the station. They are data, for the educator to change. */
export function Sites() {
    const mayEdit = useCan('edit-sites');
    const { data: sites } = useSites();
    const { data: zones } = useZones();
    const [form, keep, close] = useKept<Form | null>('site', null);
    const { edited, base } = form ?? { edited: null, base: null };
    const save = useSaveSite('site');
    const takeOut = useTakeOutSite();
    const now = sites?.find((site) => site.id === edited?.id);
    // Somebody else has saved the site in the meantime: what is typed here stays, everything else is theirs.
    useEffect(() => {
        if (now === undefined || base === null || now.version === base.version) return;
        if (edited) keep({ edited: merged(base as Edited, edited, now), base: now });
    }, [now, base, edited, keep]);
    if (!sites) return null;
    const submit = () =>
        edited && save.mutate({ ...edited, zone: edited.zone ?? null, version: base?.version }, { onSuccess: close });
    return (
        <main className="page">
            <h2>{say('common.sites')}</h2>
            <p>{say('sites.what-a-bed-a-wall')}</p>
            <Problem error={save.error ?? takeOut.error} />
            <table className="ruled">
                <thead>
                    <tr>
                        <th scope="col">{say('common.site')}</th>
                        <th scope="col">{say('common.in')}</th>
                        {NUMBERS.map((number) => (
                            <th key={number.key} scope="col" className="number">
                                {say(number.label)}
                                <br />
                                <small>{say(number.unit)}</small>
                            </th>
                        ))}
                        <th scope="col">{say('common.ground')}</th>
                        <th scope="col">{say('common.note')}</th>
                        <th scope="col">
                            <span className="sr-only">{say('common.edit')}</span>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {sites.map((site) =>
                        edited?.id === site.id ? null : (
                            <tr key={site.id}>
                                <td>{site.name}</td>
                                <td>
                                    {site.zone === null
                                        ? say('sites.every-zone')
                                        : (zones?.find((z) => z.slug === site.zone)?.name ?? site.zone)}
                                </td>
                                {NUMBERS.map((number) => (
                                    <td key={number.key} className="number">
                                        {told(site[number.key], number.measure)}
                                        {site.first_numbers && site.first_numbers[number.key] !== site[number.key] && (
                                            <small className="hint">
                                                {' '}
                                                {say('sites.first', {
                                                    first_numbers: told(site.first_numbers[number.key], number.measure),
                                                })}
                                            </small>
                                        )}
                                    </td>
                                ))}
                                <td>{groundName(site.ground)}</td>
                                <td>{site.note}</td>
                                <td className="nowrap">
                                    {mayEdit && (
                                        <Action onClick={() => keep({ edited: site, base: site })}>
                                            {say('common.edit')}
                                        </Action>
                                    )}
                                    {mayEdit && !site.preset && (
                                        <>
                                            {' '}
                                            <Action onClick={() => takeOut.mutate(site)}>
                                                {say('common.take-out')}
                                            </Action>
                                        </>
                                    )}
                                </td>
                            </tr>
                        ),
                    )}
                </tbody>
            </table>
            {mayEdit && edited === null && (
                <Button mt="lg" onClick={() => keep({ edited: EMPTY, base: null })}>
                    {say('sites.add-a-site')}
                </Button>
            )}
            {edited && (
                <SiteForm
                    {...{ edited }}
                    busy={save.isPending}
                    onChange={(next) => keep({ edited: next, base })}
                    onSave={submit}
                    onCancel={close}
                />
            )}
        </main>
    );
}

function SiteForm({
    edited,
    busy,
    onChange,
    onSave,
    onCancel,
}: {
    edited: Edited;
    busy: boolean;
    onChange: (edited: Edited) => void;
    onSave: () => void;
    onCancel: () => void;
}) {
    return (
        <form
            aria-label={edited.id ? say('sites.edit', { name: edited.name }) : say('sites.add-a-site')}
            onSubmit={(event) => {
                event.preventDefault();
                onSave();
            }}
        >
            <h3>{edited.id ? say('sites.edit-2', { name: edited.name }) : say('sites.a-new-site')}</h3>
            <Group align="end" gap="sm">
                <TextInput
                    label={say('common.name')}
                    required
                    disabled={edited.preset}
                    value={edited.name}
                    onChange={(event) => onChange({ ...edited, name: event.currentTarget.value })}
                />
                {NUMBERS.map((number) => {
                    const props = {
                        description: say(number.unit),
                        required: true,
                        w: 150,
                        step: 0.1,
                        decimalScale: 2,
                        value: edited[number.key],
                        onChange: (value: number | string) =>
                            typeof value === 'number' && onChange({ ...edited, [number.key]: value }),
                    };
                    return number.measure ? (
                        <MeasureInput key={number.key} {...props} measure={number.measure} label={say(number.label)} />
                    ) : (
                        <NumberInput key={number.key} {...props} label={say(number.label)} />
                    );
                })}
                <NativeSelect
                    label={say('common.ground')}
                    description={say('sites.ground-what')}
                    w={150}
                    value={edited.ground}
                    onChange={(event) => onChange({ ...edited, ground: event.currentTarget.value as Site['ground'] })}
                    data={GROUNDS.map((ground) => ({ value: ground, label: groundName(ground) }))}
                />
                <TextInput
                    label={say('common.note')}
                    miw={280}
                    maxLength={500}
                    value={edited.note}
                    onChange={(event) => onChange({ ...edited, note: event.currentTarget.value })}
                />
            </Group>
            <Group mt="md">
                <Button type="submit" loading={busy}>
                    {say('common.save-and-compute')}
                </Button>
                {edited.first_numbers && (
                    <Button
                        variant="default"
                        onClick={() => onChange({ ...edited, ...(edited.first_numbers as Numbers) })}
                    >
                        {say('sites.first-numbers')}
                    </Button>
                )}
                <Button variant="subtle" color="gray" onClick={onCancel}>
                    {say('common.cancel')}
                </Button>
            </Group>
        </form>
    );
}
