import { Button, Group, NativeSelect, TextInput } from '@mantine/core';
import { MeasureInput } from '../../ui/MeasureInput';
import { useSites } from '../../api/sites';
import { Action } from '../../ui/Action';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { bedDraft, useSaveBed, type GroundBed, type Span } from './queries';

/** A bed's name, size, and site. */
export function BedForm({
    zone,
    span,
    bed,
    garden,
    onDone,
}: {
    zone: string;
    span: Span;
    bed: GroundBed | undefined;
    garden: string;
    onDone: () => void;
}) {
    const { data: sites } = useSites();
    const here = (sites ?? []).filter((site) => site.zone === null || site.zone === zone);
    const [values, setValues, forget] = useKept(bedDraft(zone, bed?.id), {
        garden: bed?.garden ?? garden,
        name: bed?.name ?? '',
        site: bed?.site ?? '',
        length_m: (bed?.length_m ?? '') as number | string,
        width_m: (bed?.width_m ?? '') as number | string,
    });
    const save = useSaveBed(zone, span, bed?.id);
    const set = (part: Partial<typeof values>) => setValues({ ...values, ...part });
    const close = () => {
        forget();
        onDone();
    };
    const number = (value: number | string) => (value === '' ? null : Number(value));
    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                save.mutate(
                    {
                        ...values,
                        site: values.site || (here[0]?.name ?? null),
                        length_m: number(values.length_m),
                        width_m: number(values.width_m),
                        version: bed?.version,
                    },
                    { onSuccess: close },
                );
            }}
        >
            <h2>{bed ? bed.name : say('ground.add-bed')}</h2>
            <TextInput
                size="xs"
                label={say('ground.garden')}
                maxLength={80}
                value={values.garden}
                onChange={(event) => set({ garden: event.currentTarget.value })}
            />
            <TextInput
                size="xs"
                label={say('ground.bed-name')}
                maxLength={80}
                value={values.name}
                onChange={(event) => set({ name: event.currentTarget.value })}
            />
            <NativeSelect
                size="xs"
                label={say('common.site')}
                value={values.site}
                onChange={(event) => set({ site: event.currentTarget.value })}
                data={here.map((site) => site.name)}
            />
            <Group gap="sm" grow>
                <MeasureInput
                    measure="m"
                    size="xs"
                    label={say('ground.length')}
                    value={values.length_m}
                    onChange={(length_m) => set({ length_m })}
                />
                <MeasureInput
                    measure="m"
                    size="xs"
                    label={say('ground.width')}
                    value={values.width_m}
                    onChange={(width_m) => set({ width_m })}
                />
            </Group>
            <Group gap="md" mt="xs">
                <Button
                    size="xs"
                    type="submit"
                    disabled={!values.garden.trim() || !values.name.trim()}
                    loading={save.isPending}
                >
                    {say('common.save')}
                </Button>
                <Action onClick={close}>{say('common.cancel')}</Action>
            </Group>
            <Problem error={save.error} />
        </form>
    );
}
