import { withMinus } from '../../words/words';
import { Button, Group, NumberInput, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { Schema } from '../../api/client';
import { useSaveSite, useSites } from '../../api/sites';
import { useMay } from '../../access/session';
import { useTakeOutSite } from './queries';
import { useZones } from '../../api/zones';
import { merged } from '../../ui/merge';
import { Problem } from '../../ui/Problem';

type Site = Schema['Site'];
type Numbers = Schema['SiteNumbers'];

const NUMBERS: { key: keyof Numbers; label: string; unit: string }[] = [
    { key: 'air', label: 'Air', unit: 'added to day and night, °C' },
    { key: 'sun', label: 'Sun', unit: 'soil warmed in full sun, °C' },
    { key: 'rate', label: 'Rate', unit: 'how fast soil follows air' },
    { key: 'protection', label: 'Protection', unit: 'against freezing, °C' },
    { key: 'offset', label: 'Offset', unit: 'readings add to soil, °C' },
];

const EMPTY: Numbers & { name: string; note: string } = {
    name: '',
    note: '',
    air: 0,
    sun: 2,
    rate: 1,
    protection: 0,
    offset: 0,
};

/** Kinds of growing place: how each shifts air, soil and frost against the station. Data, and the educator's to change. */
export function Sites() {
    const mayEdit = useMay('edit-sites');
    const { data: sites } = useSites();
    const { data: zones } = useZones();
    const [edited, setEdited] = useState<(Partial<Site> & typeof EMPTY) | null>(null);
    const [base, setBase] = useState<Site | null>(null);
    const edit = (site: Site) => {
        setBase(site);
        setEdited(site);
    };
    const save = useSaveSite();
    const takeOut = useTakeOutSite();
    const now = sites?.find((site) => site.id === edited?.id);
    // Somebody else has saved the site meanwhile: what is typed here stays, everything else is theirs.
    useEffect(() => {
        if (now === undefined || base === null || now.version === base.version) return;
        setEdited((mine) => mine && merged(base as typeof mine, mine, now));
        setBase(now);
    }, [now, base]);
    if (!sites) return null;
    const submit = () =>
        edited &&
        save.mutate(
            { ...edited, zone: edited.zone ?? null, version: base?.version },
            {
                onSuccess: () => setEdited(null),
            },
        );
    return (
        <main className="page">
            <h2>Sites</h2>
            <p>
                What a bed, a wall or a cover does to the numbers of the station. A changed site is computed anew in
                every zone that has it; its soil stands on the Record screen under “Soil, air and light”.
            </p>
            <Problem error={save.error ?? takeOut.error} />
            <table className="ruled">
                <thead>
                    <tr>
                        <th scope="col">Site</th>
                        <th scope="col">In</th>
                        {NUMBERS.map((number) => (
                            <th key={number.key} scope="col" className="number">
                                {number.label}
                                <br />
                                <small>{number.unit}</small>
                            </th>
                        ))}
                        <th scope="col">Note</th>
                        <th scope="col">
                            <span className="sr-only">Edit</span>
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
                                        ? 'every zone'
                                        : (zones?.find((z) => z.slug === site.zone)?.name ?? site.zone)}
                                </td>
                                {NUMBERS.map((number) => (
                                    <td key={number.key} className="number">
                                        {withMinus(String(site[number.key]))}
                                        {site.first_numbers && site.first_numbers[number.key] !== site[number.key] && (
                                            <small className="hint"> first {site.first_numbers[number.key]}</small>
                                        )}
                                    </td>
                                ))}
                                <td>{site.note}</td>
                                <td className="nowrap">
                                    {mayEdit && (
                                        <button type="button" className="plain" onClick={() => edit(site)}>
                                            Edit
                                        </button>
                                    )}
                                    {mayEdit && !site.preset && (
                                        <>
                                            {' '}
                                            <button
                                                type="button"
                                                className="plain"
                                                onClick={() => takeOut.mutate(site.id)}
                                            >
                                                Take out
                                            </button>
                                        </>
                                    )}
                                </td>
                            </tr>
                        ),
                    )}
                </tbody>
            </table>
            {mayEdit && edited === null && (
                <Button mt="lg" onClick={() => setEdited(EMPTY)}>
                    Add a site
                </Button>
            )}
            {edited && (
                <form
                    aria-label={edited.id ? `Edit ${edited.name}` : 'Add a site'}
                    onSubmit={(event) => {
                        event.preventDefault();
                        submit();
                    }}
                >
                    <h3>{edited.id ? `Edit “${edited.name}”` : 'A new site'}</h3>
                    <Group align="end" gap="sm">
                        <TextInput
                            label="Name"
                            required
                            disabled={edited.preset}
                            value={edited.name}
                            onChange={(event) => setEdited({ ...edited, name: event.currentTarget.value })}
                        />
                        {NUMBERS.map((number) => (
                            <NumberInput
                                key={number.key}
                                label={number.label}
                                description={number.unit}
                                required
                                w={150}
                                step={0.1}
                                decimalScale={2}
                                value={edited[number.key]}
                                onChange={(value) =>
                                    typeof value === 'number' && setEdited({ ...edited, [number.key]: value })
                                }
                            />
                        ))}
                        <TextInput
                            label="Note"
                            miw={280}
                            maxLength={500}
                            value={edited.note}
                            onChange={(event) => setEdited({ ...edited, note: event.currentTarget.value })}
                        />
                    </Group>
                    <Group mt="md">
                        <Button type="submit" loading={save.isPending}>
                            Save and compute
                        </Button>
                        {edited.first_numbers && (
                            <Button
                                variant="default"
                                onClick={() => setEdited({ ...edited, ...(edited.first_numbers as Numbers) })}
                            >
                                First numbers
                            </Button>
                        )}
                        <Button variant="subtle" color="gray" onClick={() => setEdited(null)}>
                            Cancel
                        </Button>
                    </Group>
                </form>
            )}
        </main>
    );
}
