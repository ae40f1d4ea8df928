import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Schema } from '../../api/client';
import { dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { useAddDevice, useDevices, useEndDevice } from './queries';

/** Devices that report for the stations on their own; the token of a new one is shown once. */
export function Devices({
    zone,
    stations,
    mayEdit,
}: {
    zone: string;
    stations: Schema['Station'][];
    mayEdit: boolean;
}) {
    const { data: devices = [], error } = useDevices(zone);
    const add = useAddDevice(zone);
    const end = useEndDevice(zone);
    const [adding, setAdding] = useState(false);
    const [name, setName] = useState('');
    const [station, setStation] = useState<number>();
    const stationOf = (id: number) => stations.find((one) => one.id === id)?.name ?? '';
    return (
        <section>
            <h2>{say('devices.heading')}</h2>
            <Problem error={error} />
            {devices.length === 0 && <p className="hint">{say('devices.none')}</p>}
            {devices.length > 0 && (
                <table className="ruled dense">
                    <tbody>
                        {devices.map((device) => (
                            <tr key={device.id}>
                                <th scope="row">{device.name}</th>
                                <td>{stationOf(device.station)}</td>
                                <td>
                                    {device.reported_at
                                        ? say('devices.last-heard', {
                                              day: dateInWords(device.reported_at.slice(0, 10)),
                                          })
                                        : say('devices.not-heard-yet')}
                                </td>
                                <td>
                                    {mayEdit && (
                                        <Action onClick={() => end.mutate(device)}>{say('devices.end')}</Action>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            <Problem error={end.error} />
            {add.data && devices.some(({ id }) => id === add.data.device.id) && (
                <div role="status" className="own-hand">
                    <p>{say('devices.token-once', { name: add.data.device.name })}</p>
                    <p>
                        <code className="token">{add.data.token}</code>
                    </p>
                    <p className="hint">{say('devices.how-to-send', { address: add.data.address })}</p>
                </div>
            )}
            {mayEdit &&
                (adding ? (
                    <form
                        className="inline"
                        onSubmit={(event) => {
                            event.preventDefault();
                            add.mutate(
                                { station: station ?? stations[0]?.id ?? 0, name: name.trim() },
                                { onSuccess: () => setAdding(false) },
                            );
                        }}
                    >
                        <TextInput
                            size="xs"
                            label={say('devices.name')}
                            value={name}
                            maxLength={80}
                            onChange={(event) => setName(event.currentTarget.value)}
                        />
                        <NativeSelect
                            size="xs"
                            label={say('common.station')}
                            value={String(station ?? stations[0]?.id ?? '')}
                            onChange={(event) => setStation(Number(event.currentTarget.value))}
                            data={stations.map((one) => ({ value: String(one.id), label: one.name }))}
                        />
                        <Button size="xs" type="submit" disabled={!name.trim()} loading={add.isPending}>
                            {say('devices.add')}
                        </Button>
                        <Action onClick={() => setAdding(false)}>{say('common.cancel')}</Action>
                    </form>
                ) : (
                    <p>
                        <Action onClick={() => setAdding(true)}>{say('devices.let-one-report')}</Action>
                    </p>
                ))}
            <Problem error={add.error} />
        </section>
    );
}
