import { Button, Group, NumberInput, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useNavigate, useParams } from 'react-router';
import { Refusal, type Zone } from '../../api/client';
import { useSaveZone, useZone } from '../../app/data';
import { Problem } from '../../app/Problem';

type Values = {
    name: string;
    district: string;
    latitude: number | '';
    longitude: number | '';
    height_m: number | '';
    settlements: { name: string; postcode: string }[];
};

const EMPTY: Values = {
    name: '',
    district: '',
    latitude: '',
    longitude: '',
    height_m: '',
    settlements: [{ name: '', postcode: '' }],
};

function valuesOf(zone: Zone): Values {
    return { ...zone, settlements: zone.settlements.map((s) => ({ name: s.name, postcode: s.postcode ?? '' })) };
}

/** Creates a zone, or edits one. */
export function EditZone() {
    const { zone: slug } = useParams();
    const { data: zone, error } = useZone(slug);
    if (error) {
        return (
            <main className="page">
                <Problem error={error} />
            </main>
        );
    }
    // What is typed before the zone has come would be lost when it does.
    if (slug !== undefined && zone === undefined) return null;
    return <ZoneForm key={slug ?? ''} slug={slug} values={zone ? valuesOf(zone) : EMPTY} />;
}

function ZoneForm({ slug, values: initialValues }: { slug: string | undefined; values: Values }) {
    const form = useForm<Values>({ initialValues });
    const navigate = useNavigate();
    const saving = useSaveZone(slug);

    const save = (values: Values) => {
        const body = {
            name: values.name,
            district: values.district,
            latitude: Number(values.latitude),
            longitude: Number(values.longitude),
            height_m: Number(values.height_m),
            settlements: values.settlements
                .filter((s) => s.name !== '' || s.postcode !== '')
                .map((s) => ({ name: s.name, postcode: s.postcode === '' ? null : s.postcode })),
        };
        saving.mutate(body, {
            onSuccess: (saved) => navigate(slug ? '/desk' : `/desk/zones/${saved.slug}/record`),
            onError: (refusal) =>
                refusal instanceof Refusal &&
                form.setErrors(
                    Object.fromEntries(Object.entries(refusal.errors).map(([field, words]) => [field, words[0]])),
                ),
        });
    };
    const latitude = form.values.latitude;
    return (
        <main className="page" style={{ maxWidth: '46rem' }}>
            <h2>{slug ? 'Edit the zone' : 'Add a zone'}</h2>
            <form onSubmit={form.onSubmit(save)} noValidate>
                <Group grow align="start">
                    <TextInput
                        label="Name"
                        description="as gardeners know it"
                        required
                        {...form.getInputProps('name')}
                    />
                    <TextInput
                        label="District"
                        description="zones of one district are listed together"
                        required
                        {...form.getInputProps('district')}
                    />
                </Group>
                <Group grow align="start" mt="sm">
                    <NumberInput
                        label="Latitude, degrees"
                        description={
                            latitude === ''
                                ? 'south is negative'
                                : `${Number(latitude) < 0 ? 'southern' : 'northern'} hemisphere`
                        }
                        required
                        decimalScale={5}
                        {...form.getInputProps('latitude')}
                    />
                    <NumberInput
                        label="Longitude, degrees"
                        description="west is negative"
                        required
                        decimalScale={5}
                        {...form.getInputProps('longitude')}
                    />
                    <NumberInput
                        label="Height, m"
                        description="above the sea"
                        required
                        allowDecimal={false}
                        {...form.getInputProps('height_m')}
                    />
                </Group>
                <h3>Settlements gardeners look up</h3>
                {form.values.settlements.map((_, i) => (
                    <Group key={i} align="start" mb={6} wrap="nowrap">
                        <TextInput
                            aria-label={`Settlement ${i + 1}`}
                            placeholder="Settlement"
                            style={{ flex: 2 }}
                            {...form.getInputProps(`settlements.${i}.name`)}
                        />
                        <TextInput
                            aria-label={`Postcode ${i + 1}`}
                            placeholder="Postcode"
                            style={{ flex: 1 }}
                            {...form.getInputProps(`settlements.${i}.postcode`)}
                        />
                        <Button
                            variant="subtle"
                            color="gray"
                            onClick={() => form.removeListItem('settlements', i)}
                            aria-label={`Take out settlement ${i + 1}`}
                        >
                            Take out
                        </Button>
                    </Group>
                ))}
                <Button
                    variant="default"
                    onClick={() => form.insertListItem('settlements', { name: '', postcode: '' })}
                >
                    Add a settlement
                </Button>
                <Problem error={saving.error} />
                <Group mt="lg">
                    <Button type="submit" loading={saving.isPending}>
                        Save
                    </Button>
                    <Button variant="subtle" color="gray" onClick={() => navigate('/desk')}>
                        Leave it
                    </Button>
                </Group>
            </form>
        </main>
    );
}
