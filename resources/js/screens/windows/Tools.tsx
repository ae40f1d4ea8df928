import { Term } from '../../way/Term';
import { Button, Checkbox, NativeSelect, SegmentedControl, TextInput } from '@mantine/core';
import type { RefObject } from 'react';
import { useCan } from '../../access/session';
import type { Windows } from './queries';
import { isOver, useComputation, useZone } from '../../api/zones';
import { SiteChoice } from '../../ui/SiteChoice';
import { say } from '../../words/words';
import type { useChooseMethod, View } from './queries';
import { STANDARDS } from '../../words/standards';

/** How the light of a day counts for growth; the zone's calendar follows what is chosen. */
const LIGHTS = [
    { value: 'radiation', label: say('windows.light-radiation') },
    { value: 'ten-hour', label: say('windows.light-ten-hours') },
    { value: 'none', label: say('windows.light-left-out') },
];

const GROUPINGS = [
    { value: 'family', label: say('windows.by-family') },
    { value: 'season', label: say('windows.by-season') },
    { value: 'next', label: say('windows.by-what-is-next') },
];

type Props = {
    zone: string;
    data: Windows;
    view: View;
    method: ReturnType<typeof useChooseMethod>;
    set: (key: 'site' | 'standard' | 'by', value: string | null) => void;
};

/** Searching, grouping, and the site, light, and confidence level to show. */
export function Tools({
    find,
    asked,
    onAsked,
    onFirst,
    by,
    computation,
    count,
    ...props
}: Props & {
    find: RefObject<HTMLInputElement | null>;
    asked: string;
    onAsked: (asked: string) => void;
    /** opens the first crop found */
    onFirst: () => void;
    by: string;
    computation: number | null;
    count: number;
}) {
    const { data: progress } = useComputation(props.zone, computation);
    return (
        <div className="tools">
            <TextInput
                ref={find}
                size="xs"
                aria-label={say('common.find-a-crop')}
                placeholder={say('windows.find-a-crop')}
                value={asked}
                onChange={(event) => onAsked(event.currentTarget.value)}
                onKeyDown={(event) => {
                    if (event.key !== 'Enter' || count === 0) return;
                    onFirst();
                    event.currentTarget.blur();
                }}
                w={176}
            />
            <NativeSelect
                size="xs"
                aria-label={say('windows.grouped')}
                value={by}
                onChange={(event) => props.set('by', event.currentTarget.value)}
                data={GROUPINGS}
            />
            <SiteChoice zone={props.zone} site={props.view.site} onSite={(site) => props.set('site', site)} />
            <LightChoice {...props} />
            <StandardChoice {...props} />
            <Wait {...props} of="waits_for_soil" />
            <Wait {...props} of="waits_for_ground" />
            {progress && !isOver(progress) && <span className="hint">{say(`step.${progress.step}`)} …</span>}
            <span className="count">{say('windows.of-crops', { crops: count, crops2: props.data.crops.length })}</span>
        </div>
    );
}

function LightChoice({ zone, method }: Props) {
    const { data: here } = useZone(zone);
    if (!useCan('edit-zones')) {
        return <span className="hint">{LIGHTS.find((light) => light.value === here?.light)?.label}</span>;
    }
    return (
        <NativeSelect
            size="xs"
            aria-label={say('common.light')}
            disabled={method.isPending}
            value={here?.light ?? 'radiation'}
            onChange={(event) =>
                here &&
                method.mutate({
                    standard: here.standard,
                    light: event.currentTarget.value as typeof here.light,
                    version: here.version,
                })
            }
            data={LIGHTS}
        />
    );
}

/** Whether windows wait until the normal soil is as warm as each crop needs, or until open ground can usually be worked. */
function Wait({ zone, method, of }: Props & { of: 'waits_for_soil' | 'waits_for_ground' }) {
    const { data: here } = useZone(zone);
    const mayEdit = useCan('edit-zones');
    if (!here) return null;
    const key = of.replaceAll('_', '-');
    return (
        <Checkbox
            size="xs"
            label={say(`windows.${key}`)}
            title={say(`windows.${key}-help`)}
            disabled={!mayEdit || method.isPending}
            checked={here[of]}
            onChange={(event) =>
                method.mutate({
                    standard: here.standard,
                    light: here.light,
                    [of]: event.currentTarget.checked,
                    version: here.version,
                })
            }
        />
    );
}

function StandardChoice({ zone, data, method, set }: Props) {
    const { data: here } = useZone(zone);
    const mayEdit = useCan('edit-zones');
    const standard = data.method.standard;
    return (
        <>
            {data.standards.length > 1 && (
                <>
                    <span className="hint">
                        <Term of="confidence" />
                    </span>
                    <SegmentedControl
                        size="xs"
                        aria-label={say('common.standard-of-proof')}
                        value={standard ?? 'reliable'}
                        onChange={(chosen) => set('standard', chosen === here?.standard ? null : chosen)}
                        data={STANDARDS.filter((s) => data.standards.some((known) => known === s.value))}
                    />
                </>
            )}
            {mayEdit && here && standard && standard !== here.standard && (
                <Button
                    size="compact-xs"
                    variant="default"
                    loading={method.isPending}
                    onClick={() =>
                        method.mutate(
                            { standard, light: here.light, version: here.version },
                            { onSuccess: () => set('standard', null) },
                        )
                    }
                >
                    {say('windows.use-in-the-calendar')}
                </Button>
            )}
        </>
    );
}
