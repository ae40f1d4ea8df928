import { Button, Group, NativeSelect, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { Schema } from '../../api/client';
import { useSites } from '../../api/sites';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { MeasureInput } from '../../ui/MeasureInput';
import { asRead, moreCelsius } from '../../words/units';
import { say, usualDepth } from '../../words/words';
import { useAddSpot, useFit, useKeepReading, type Figure, type SoilData, type Spot } from './queries';
import { SettlingPlot } from './SettlingPlot';
import { useTimer } from './timer';

/** A reading taken with the timer: figures are typed as they move, or come from the probe, until they settle. */
export function TakeReading({
    zone,
    data,
    spot,
    onSpot,
}: {
    zone: string;
    data: SoilData;
    spot: Spot | undefined;
    onSpot: (spot: number) => void;
}) {
    const [naming, setNaming] = useState(data.spots.length === 0);
    return (
        <>
            <h2>{say('soil.take-a-reading')}</h2>
            {naming ? (
                <NameSpot
                    zone={zone}
                    onNamed={(id) => {
                        setNaming(false);
                        if (id !== undefined) onSpot(id);
                    }}
                />
            ) : (
                <>
                    <NativeSelect
                        size="xs"
                        label={say('soil.spot')}
                        value={String(spot?.id ?? '')}
                        onChange={(event) => onSpot(Number(event.currentTarget.value))}
                        data={data.spots.map((one) => ({ value: String(one.id), label: one.name }))}
                    />
                    <p>
                        <Action onClick={() => setNaming(true)}>{say('soil.name-another-spot')}</Action>
                    </p>
                    {spot && <Figures zone={zone} data={data} spot={spot} />}
                </>
            )}
        </>
    );
}

function NameSpot({ zone, onNamed }: { zone: string; onNamed: (spot: number | undefined) => void }) {
    const [name, setName] = useState('');
    const [site, setSite] = useState<number>();
    const { data: sites } = useSites();
    const here = (sites ?? []).filter((one) => one.zone === null || one.zone === zone);
    const add = useAddSpot(zone);
    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                add.mutate(
                    { name: name.trim(), site: site ?? here[0]?.id ?? 0 },
                    { onSuccess: (soil) => onNamed(soil.spots.find((one) => one.name === name.trim())?.id) },
                );
            }}
        >
            <TextInput
                size="xs"
                label={say('soil.name-of-the-spot')}
                description={say('soil.a-spot-is')}
                value={name}
                maxLength={80}
                onChange={(event) => setName(event.currentTarget.value)}
            />
            <NativeSelect
                size="xs"
                label={say('soil.what-kind-of-place')}
                value={String(site ?? here[0]?.id ?? '')}
                onChange={(event) => setSite(Number(event.currentTarget.value))}
                data={here.map((one) => ({ value: String(one.id), label: one.name }))}
            />
            <Group mt="xs" gap="sm">
                <Button size="xs" type="submit" disabled={!name.trim()} loading={add.isPending}>
                    {say('soil.add-spot')}
                </Button>
                <Action onClick={() => onNamed(undefined)}>{say('common.cancel')}</Action>
            </Group>
            <Problem error={add.error} />
        </form>
    );
}

function Figures({ zone, data, spot }: { zone: string; data: SoilData; spot: Spot }) {
    const timer = useTimer(spot.id);
    const { today } = data;
    const [shown, setShown] = useState<number | string>('');
    const [depth, setDepth] = useState<number | string>(usualDepth);
    const [hour, setHour] = useState(nowInHours);
    const [on, setOn] = useState(today);
    const { figures } = timer;
    const fit = useFit(zone, figures);
    const keep = useKeepReading(zone);
    const type = () => {
        if (shown === '') return;
        timer.add(Number(shown));
        setShown('');
    };
    const save = (what: { figures: Figure[] } | { celsius: number }) =>
        keep.mutate(
            {
                key: timer.key,
                spot: spot.id,
                on,
                hour: hourOf(hour),
                depth: Number(depth) / 100,
                ...what,
                ...(timer.fromProbe && { simulated: true }),
            },
            { onSuccess: timer.clear },
        );
    const { reading, stop } = timer;
    const settled = fit.data?.settled ?? false;
    useEffect(() => {
        if (reading && settled) stop();
    }, [reading, settled, stop]);
    const only = figures.length === 1 ? figures[0] : undefined;
    return (
        <>
            <When {...{ today, depth, on, hour, setDepth, setOn, setHour }} />
            {data.probe && (
                <Group gap="sm" mb="xs">
                    <Button
                        size="xs"
                        variant="default"
                        onClick={() => timer.read(spot.id)}
                        disabled={timer.reading || figures.length > 0}
                    >
                        {say('soil.read-the-probe', { probe: say(`soil.probe-${data.probe}`) })}
                    </Button>
                    {timer.reading && <Action onClick={timer.stop}>{say('soil.stop')}</Action>}
                </Group>
            )}
            <form
                className="inline"
                onSubmit={(event) => {
                    event.preventDefault();
                    type();
                }}
            >
                <MeasureInput
                    measure="celsius"
                    size="xs"
                    w={120}
                    label={say('soil.it-shows')}
                    step={0.1}
                    decimalScale={1}
                    value={shown}
                    onChange={setShown}
                    disabled={timer.reading}
                />
                <Button size="xs" type="submit" variant="default" disabled={shown === '' || timer.reading}>
                    {say(figures.length === 0 ? 'soil.first-figure' : 'soil.next-figure', { seconds: timer.seconds })}
                </Button>
            </form>
            <Problem error={timer.error} />
            {figures.length > 0 && <SettlingPlot figures={figures} fit={fit.data} />}
            <p role="status">{outcome(figures.length, fit.data)}</p>
            <Problem error={fit.error} />
            <Group gap="sm">
                {fit.data && (
                    <Button size="xs" onClick={() => save({ figures })} loading={keep.isPending}>
                        {say('soil.keep-reading', { celsius: asRead(Math.round(10 * fit.data.celsius) / 10) })}
                    </Button>
                )}
                {only && (
                    <Button
                        size="xs"
                        variant="default"
                        onClick={() => save({ celsius: only[1] })}
                        loading={keep.isPending}
                    >
                        {say('soil.had-settled', { celsius: asRead(only[1]) })}
                    </Button>
                )}
                {figures.length > 0 && <Action onClick={timer.clear}>{say('soil.begin-again')}</Action>}
            </Group>
            <Problem error={keep.error} unanswered={say('soil.not-kept')} />
            <p className="hint">{say('soil.care')}</p>
        </>
    );
}

/** How deep and when, because soil differs with depth, and is warmest in the afternoon. */
function When(props: {
    today: string;
    depth: number | string;
    on: string;
    hour: string;
    setDepth: (depth: number | string) => void;
    setOn: (on: string) => void;
    setHour: (hour: string) => void;
}) {
    return (
        <Group gap="xs" align="end" mb="xs">
            <MeasureInput
                measure="cm"
                size="xs"
                w={82}
                label={say('soil.depth')}
                value={props.depth}
                onChange={props.setDepth}
            />
            <TextInput
                size="xs"
                w={132}
                type="date"
                label={say('soil.on')}
                value={props.on}
                max={props.today}
                onChange={(event) => props.setOn(event.currentTarget.value)}
            />
            <TextInput
                size="xs"
                w={104}
                type="time"
                label={say('soil.hour')}
                value={props.hour}
                onChange={(event) => props.setHour(event.currentTarget.value)}
            />
        </Group>
    );
}

/** Where the figures settle, as far as can be told. */
function outcome(figures: number, fit: Schema['Settling'] | undefined): string {
    if (!fit) return figures === 0 ? say('soil.put-it-in') : say('soil.figures-so-far', { figures, needed: 4 });
    return say(fit.settled ? 'soil.settled-at' : 'soil.heading-for', {
        celsius: asRead(Math.round(10 * fit.celsius) / 10),
        within: fit.within === null ? '' : say(moreCelsius(Math.max(0.1, Math.round(10 * fit.within) / 10))),
        sure: fit.within === null ? 'no' : 'yes',
    });
}

function nowInHours(): string {
    const now = new Date();
    return `${String(now.getHours()).padStart(2, '0')}:${String(now.getMinutes()).padStart(2, '0')}`;
}

function hourOf(time: string): number {
    const [hours = 12, minutes = 0] = time.split(':').map(Number);
    return hours + minutes / 60;
}
