import { Button, Checkbox, Group, NativeSelect, Textarea, TextInput } from '@mantine/core';
import { useCan } from '../../access/session';
import { dateInWords } from '../../time/days';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';
import { STANDARDS } from '../../words/standards';
import { languageName, say } from '../../words/words';
import { Outbox } from './Outbox';
import { officeDraft, useOffice, useSaveOffice, type Office } from '../../api/office';

const LINES = ['name', 'mail', 'phone', 'licence'] as const;
const MARKS = ['leaf', 'frost', 'clay', 'plum', 'stone'] as const;
const TEXTS = ['address', 'hours'] as const;

/** The office behind the calendars: what gardeners read about it, how editions are signed, and the mail that would have been sent. */
export function OfficeSettings() {
    const { data: office } = useOffice();
    if (!office) return null;
    return (
        <main className="page">
            <h2>{say('office-settings.heading')}</h2>
            <p>{say('office-settings.what')}</p>
            <Form key={office.version} office={office} />
            <Outbox />
        </main>
    );
}

function Form({ office }: { office: Office }) {
    const mayEdit = useCan('edit-office');
    const mayChangeSignature = useCan('change-signature');
    const save = useSaveOffice(office.version);
    const [edited, setEdited] = useKept(officeDraft(office.version), office);
    const set = (field: keyof Office, value: string | boolean | string[] | null) =>
        setEdited({ ...edited, [field]: value === '' && field !== 'name' ? null : value });
    const changed = JSON.stringify(edited) !== JSON.stringify(office);
    return (
        <form
            style={{ maxWidth: '34rem' }}
            onSubmit={(event) => {
                event.preventDefault();
                save.mutate(edited);
            }}
        >
            {LINES.map((field) => (
                <TextInput
                    key={field}
                    mt="xs"
                    label={say(`office-settings.${field}`)}
                    description={field === 'licence' ? say('office-settings.licence-help') : undefined}
                    required={field === 'name'}
                    disabled={!mayEdit}
                    value={edited[field] ?? ''}
                    onChange={(event) => set(field, event.currentTarget.value)}
                />
            ))}
            <NativeSelect
                mt="xs"
                label={say('office-settings.mark')}
                description={say('office-settings.mark-help')}
                disabled={!mayEdit}
                value={edited.mark}
                onChange={(event) => set('mark', event.currentTarget.value)}
                data={MARKS.map((mark) => ({ value: mark, label: say(`mark.${mark}`) }))}
            />
            {TEXTS.map((field) => (
                <Textarea
                    key={field}
                    mt="xs"
                    autosize
                    label={say(`office-settings.${field}`)}
                    disabled={!mayEdit}
                    value={edited[field] ?? ''}
                    onChange={(event) => set(field, event.currentTarget.value)}
                />
            ))}
            <Textarea
                mt="xs"
                autosize
                label={say('office-settings.water_rules')}
                description={say('office-settings.water-rules-help')}
                disabled={!mayEdit}
                value={edited.water_rules ?? ''}
                onChange={(event) => set('water_rules', event.currentTarget.value)}
            />
            <Group gap="sm" mt="xs">
                {(['water_rules_from', 'water_rules_until'] as const).map((field) => (
                    <TextInput
                        key={field}
                        type="date"
                        label={say(`office-settings.${field}`)}
                        disabled={!mayEdit || !edited.water_rules}
                        value={edited[field] ?? ''}
                        onChange={(event) => set(field, event.currentTarget.value)}
                    />
                ))}
            </Group>
            <HowItReads mayEdit={mayEdit} edited={edited} set={set} />
            <Checkbox
                mt="md"
                label={say('office-settings.second-signature')}
                description={[
                    say('office-settings.second-signature-help'),
                    !mayChangeSignature && say('office-settings.second-signature-by-administrator'),
                    office.signature_changed &&
                        say('office-settings.second-signature-changed', {
                            by: office.signature_changed.by ?? say('common.someone-no-longer-here'),
                            day: dateInWords(office.signature_changed.at.slice(0, 10)),
                        }),
                ]
                    .filter(Boolean)
                    .join(' ')}
                disabled={!mayChangeSignature}
                checked={edited.second_signature}
                onChange={(event) => set('second_signature', event.currentTarget.checked)}
            />
            <Checkbox
                mt="md"
                label={say('office-settings.second-factor')}
                description={say('office-settings.second-factor-help')}
                disabled={!mayChangeSignature}
                checked={edited.second_factor}
                onChange={(event) => set('second_factor', event.currentTarget.checked)}
            />
            <Problem error={save.error} />
            {mayEdit && (
                <Button type="submit" mt="md" loading={save.isPending} disabled={!changed}>
                    {say('common.save')}
                </Button>
            )}
        </form>
    );
}

/** Units and dates for everybody at the desk who chose none, and the confidence level of new zones. */
function HowItReads({
    mayEdit,
    edited,
    set,
}: {
    mayEdit: boolean;
    edited: Office;
    set: (field: 'units' | 'dates' | 'standard' | 'languages', value: string | string[] | null) => void;
}) {
    return (
        <>
            <NativeSelect
                mt="xs"
                label={say('profile.units')}
                description={say('office-settings.units-help')}
                disabled={!mayEdit}
                value={edited.units}
                onChange={(event) => set('units', event.currentTarget.value)}
                data={[
                    { value: 'us', label: say('units.us') },
                    { value: 'metric', label: say('units.metric') },
                ]}
            />
            <NativeSelect
                mt="xs"
                label={say('profile.dates')}
                disabled={!mayEdit}
                value={edited.dates}
                onChange={(event) => set('dates', event.currentTarget.value)}
                data={[
                    { value: 'month', label: say('dates.month') },
                    { value: 'day', label: say('dates.day') },
                ]}
            />
            <NativeSelect
                mt="xs"
                label={say('office-settings.standard')}
                description={say('office-settings.standard-help')}
                disabled={!mayEdit}
                value={edited.standard}
                onChange={(event) => set('standard', event.currentTarget.value)}
                data={STANDARDS}
            />
            {edited.languages_there.length > 0 && (
                <Checkbox.Group
                    mt="xs"
                    label={say('office-settings.languages')}
                    description={say('office-settings.languages-help')}
                    value={edited.languages ?? edited.languages_there}
                    onChange={(chosen) =>
                        set('languages', chosen.length === edited.languages_there.length ? null : chosen)
                    }
                >
                    {edited.languages_there.map((language) => (
                        <Checkbox
                            key={language}
                            mt={4}
                            value={language}
                            label={languageName(language)}
                            disabled={!mayEdit}
                        />
                    ))}
                </Checkbox.Group>
            )}
        </>
    );
}
