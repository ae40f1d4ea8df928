import { say, units } from '../../words/words';
import { toUnits } from '../../words/units';
import { Button, Checkbox, Group, Select, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useEffect, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import { Refusal, type Zone } from '../../api/client';
import { useSaveZone, zoneDraft } from './queries';
import { useCan, useSession } from '../../access/session';
import { useZone } from '../../api/zones';
import { useKept } from '../../ui/kept';
import { merged } from '../../ui/merge';
import { Problem } from '../../ui/Problem';
import { coordinates, elevation, readDegrees, readElevation } from '../../words/place';

type Values = {
    name: string;
    district: string;
    /** as they are typed */
    latitude: string;
    longitude: string;
    height: string;
    /** IANA name; blank: the application's */
    timeZone: string;
    settlements: { name: string; postcode: string }[];
};

const EMPTY: Values = {
    name: '',
    district: '',
    latitude: '',
    longitude: '',
    height: '',
    timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    settlements: [{ name: '', postcode: '' }],
};

/** The name of a field here, if the server uses another. */
const FIELDS: Record<string, string> = { height_m: 'height', time_zone: 'timeZone' };

/** The parts of a zone that the form edits. */
function valuesOf({ name, district, latitude, longitude, height_m, time_zone, ...zone }: Zone): Values {
    return {
        name,
        district,
        latitude: String(latitude),
        longitude: String(longitude),
        height: toUnits('elevation', height_m, units()).toString(),
        timeZone: time_zone ?? '',
        settlements: zone.settlements.map((s) => ({ name: s.name, postcode: s.postcode ?? '' })),
    };
}

/** Creates a zone, or edits one. */
export function EditZone() {
    const { zone: slug } = useParams();
    const { data: zone, error } = useZone(slug);
    const { data: session } = useSession();
    const mayEdit = useCan('edit-zones');
    if (error) {
        return (
            <main className="page">
                <Problem error={error} />
            </main>
        );
    }
    if (session?.user && !mayEdit) {
        return (
            <main className="page">
                <p>{say('edit-zone.zones-are-the-educators-to')}</p>
            </main>
        );
    }
    // What is typed before the zone has loaded would be lost when it does.
    if (slug !== undefined && zone === undefined) return null;
    return <ZoneForm key={slug ?? ''} slug={slug} zone={zone} />;
}

function ZoneForm({ slug, zone }: { slug: string | undefined; zone: Zone | undefined }) {
    const saved = zone ? valuesOf(zone) : EMPTY;
    const [kept, keep, forget] = useKept(zoneDraft(slug, zone?.version), saved);
    const form = useForm<Values>({
        initialValues: kept,
        onValuesChange: keep,
        validate: {
            latitude: (typed) => (readDegrees(typed, 'NS') === null ? say('edit-zone.give-latitude') : null),
            longitude: (typed) => (readDegrees(typed, 'EW') === null ? say('edit-zone.give-longitude') : null),
            height: (typed) => (readElevation(typed) === null ? say('edit-zone.give-height') : null),
        },
    });
    const navigate = useNavigate();
    const saving = useSaveZone(slug, zone?.version);
    const base = useRef({ version: zone?.version, values: saved });
    // Somebody else has saved the zone in the meantime: what is typed here stays, everything else is theirs.
    useEffect(() => {
        if (zone === undefined || zone.version === base.current.version) return;
        form.setValues(merged(base.current.values, form.getValues(), valuesOf(zone)));
        base.current = { version: zone.version, values: valuesOf(zone) };
    }, [zone, form]);

    const farOff = saving.error instanceof Refusal ? saving.error.errors.far_off?.[0] : undefined;
    const save = (values: Values, confirmed = false) => {
        const body = {
            name: values.name,
            district: values.district,
            latitude: readDegrees(values.latitude, 'NS') ?? NaN,
            longitude: readDegrees(values.longitude, 'EW') ?? NaN,
            height_m: readElevation(values.height) ?? NaN,
            time_zone: values.timeZone || null,
            settlements: values.settlements
                .filter((s) => s.name !== '' || s.postcode !== '')
                .map((s) => ({ name: s.name, postcode: s.postcode === '' ? null : s.postcode })),
            version: zone?.version,
            far_off: confirmed,
        };
        saving.mutate(body, {
            onSuccess: (after) => {
                forget();
                return navigate(slug ? '/desk' : `/desk/zones/${after.slug}/climate`);
            },
            onError: (refusal) =>
                refusal instanceof Refusal &&
                form.setErrors(
                    Object.fromEntries(
                        Object.entries(refusal.errors).map(([field, words]) => [FIELDS[field] ?? field, words[0]]),
                    ),
                ),
        });
    };
    const latitude = readDegrees(form.values.latitude, 'NS');
    const longitude = readDegrees(form.values.longitude, 'EW');
    const height = readElevation(form.values.height);
    return (
        <main className="page" style={{ maxWidth: '46rem' }}>
            <h2>{slug ? say('edit-zone.edit-the-zone') : say('common.add-a-zone')}</h2>
            <form onSubmit={form.onSubmit((values) => save(values))} noValidate>
                <Place form={form} />
                <p role="status" className="hint">
                    {latitude !== null &&
                        longitude !== null &&
                        say(`edit-zone.${latitude < 0 ? 'southern' : 'northern'}`, {
                            place: coordinates(latitude, longitude),
                        })}{' '}
                    {height !== null && say('edit-zone.elevation', { elevation: elevation(height) })}
                </p>
                <TimeZone form={form} />
                {farOff && (
                    <div role="alert" className="warning">
                        <p>{farOff}</p>
                        <Checkbox
                            label={say('edit-zone.it-is-right-save-it')}
                            checked={false}
                            onChange={() => save(form.getValues(), true)}
                        />
                    </div>
                )}
                <Settlements form={form} />
                {!farOff && <Problem error={saving.error} />}
                <Group mt="lg">
                    <Button type="submit" loading={saving.isPending}>
                        {say('common.save')}
                    </Button>
                    <Button
                        variant="subtle"
                        color="gray"
                        onClick={() => {
                            forget();
                            void navigate('/desk');
                        }}
                    >
                        {say('common.cancel')}
                    </Button>
                </Group>
            </form>
        </main>
    );
}

type Form = Pick<
    ReturnType<typeof useForm<Values>>,
    'getInputProps' | 'setFieldValue' | 'values' | 'removeListItem' | 'insertListItem'
>;

function Place({ form }: { form: Form }) {
    return (
        <>
            <Group grow align="start">
                <TextInput
                    label={say('common.name')}
                    description={say('edit-zone.as-gardeners-know-it')}
                    required
                    {...form.getInputProps('name')}
                />
                <TextInput
                    label={say('edit-zone.district')}
                    description={say('edit-zone.zones-of-one-district-are')}
                    required
                    {...form.getInputProps('district')}
                />
            </Group>
            <Group grow align="start" mt="sm">
                <TextInput
                    label={say('edit-zone.latitude')}
                    description={say('edit-zone.latitude-help')}
                    required
                    {...form.getInputProps('latitude')}
                />
                <TextInput
                    label={say('edit-zone.longitude')}
                    description={say('edit-zone.longitude-help')}
                    required
                    {...form.getInputProps('longitude')}
                />
                <TextInput
                    label={say('edit-zone.elevation-label')}
                    description={say('edit-zone.elevation-help')}
                    required
                    {...form.getInputProps('height')}
                />
            </Group>
        </>
    );
}

function TimeZone({ form }: { form: Form }) {
    return (
        <Select
            w="26rem"
            label={say('edit-zone.time-zone')}
            description={say('edit-zone.time-zone-help')}
            placeholder={say('edit-zone.time-zone-none')}
            searchable
            clearable
            limit={60}
            nothingFoundMessage={say('edit-zone.time-zone-not-found')}
            data={Intl.supportedValuesOf('timeZone')}
            {...form.getInputProps('timeZone')}
            value={form.values.timeZone || null}
            onChange={(name) => form.setFieldValue('timeZone', name ?? '')}
        />
    );
}

function Settlements({ form }: { form: Form }) {
    return (
        <>
            <h3>{say('edit-zone.settlements-gardeners-look-up')}</h3>
            {form.values.settlements.map((_, i) => (
                <Group key={i} align="start" mb={6} wrap="nowrap">
                    <TextInput
                        aria-label={say('edit-zone.settlement', { i: i + 1 })}
                        placeholder={say('edit-zone.settlement-2')}
                        style={{ flex: 2 }}
                        {...form.getInputProps(`settlements.${i}.name`)}
                    />
                    <TextInput
                        aria-label={say('edit-zone.postcode', { i: i + 1 })}
                        placeholder={say('edit-zone.postcode-2')}
                        style={{ flex: 1 }}
                        {...form.getInputProps(`settlements.${i}.postcode`)}
                    />
                    <Button
                        variant="subtle"
                        color="gray"
                        onClick={() => form.removeListItem('settlements', i)}
                        aria-label={say('edit-zone.take-out-settlement', { i: i + 1 })}
                    >
                        {say('common.take-out')}
                    </Button>
                </Group>
            ))}
            <Button variant="default" onClick={() => form.insertListItem('settlements', { name: '', postcode: '' })}>
                {say('edit-zone.add-a-settlement')}
            </Button>
        </>
    );
}
