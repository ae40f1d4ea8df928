import { Button, Group } from '@mantine/core';
import type { Schema } from '../../api/client';
import { dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { asRead } from '../../words/units';
import { say } from '../../words/words';
import { useCorrections, useDecideOnCorrections } from './queries';

/** What devices report differently from days already on record: it changes nothing until somebody decides. */
export function Corrections({
    zone,
    stations,
    mayEdit,
    onComputing,
}: {
    zone: string;
    stations: Schema['Station'][];
    mayEdit: boolean;
    onComputing: (id: number) => void;
}) {
    const { data, error } = useCorrections(zone);
    const decide = useDecideOnCorrections(zone, onComputing);
    const corrections = data?.corrections ?? [];
    if (corrections.length === 0) return <Problem error={error ?? decide.error} />;
    const all = corrections.map(({ id }) => id);
    return (
        <section>
            <h2>{say('corrections.heading')}</h2>
            <p className="hint">{say('corrections.hint')}</p>
            <table className="ruled dense">
                <thead>
                    <tr>
                        <th scope="col">{say('corrections.day')}</th>
                        <th scope="col">{say('corrections.value')}</th>
                        <th scope="col">{say('corrections.on-record')}</th>
                        <th scope="col">{say('corrections.reported')}</th>
                        <th scope="col">{say('corrections.by')}</th>
                        {mayEdit && <th scope="col">{say('corrections.decide')}</th>}
                    </tr>
                </thead>
                <tbody>
                    {corrections.map((one) => (
                        <tr key={one.id}>
                            <th scope="row">{dateInWords(one.day)}</th>
                            <td>{say(`corrections.${one.element}`)}</td>
                            <td>{say(asRead(one.was))}</td>
                            <td>{say(asRead(one.value))}</td>
                            <td>
                                {one.device}, {stations.find(({ id }) => id === one.station)?.name}
                            </td>
                            {mayEdit && (
                                <td>
                                    <Action onClick={() => decide.mutate({ ids: [one.id], use: true })}>
                                        {say('corrections.use')}
                                    </Action>{' '}
                                    <Action onClick={() => decide.mutate({ ids: [one.id], use: false })}>
                                        {say('corrections.ignore')}
                                    </Action>
                                </td>
                            )}
                        </tr>
                    ))}
                </tbody>
            </table>
            {mayEdit && corrections.length > 1 && (
                <Group gap="xs">
                    <Button
                        size="xs"
                        variant="default"
                        loading={decide.isPending}
                        onClick={() => decide.mutate({ ids: all, use: true })}
                    >
                        {say('corrections.use-all', { count: all.length })}
                    </Button>
                    <Button
                        size="xs"
                        variant="default"
                        loading={decide.isPending}
                        onClick={() => decide.mutate({ ids: all, use: false })}
                    >
                        {say('corrections.ignore-all', { count: all.length })}
                    </Button>
                </Group>
            )}
            <Problem error={decide.error} />
        </section>
    );
}
