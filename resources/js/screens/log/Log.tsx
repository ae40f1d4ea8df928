import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useParams, useSearchParams } from 'react-router';
import { useCan, useSession } from '../../access/session';
import { ACTS, useLogBook, useWriteLine } from '../../api/log';
import { dateInShort } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { useInSightFirst } from '../../ui/useInSightFirst';
import { say } from '../../words/words';
import { BringTable } from './BringTable';
import { Labels } from './Labels';
import { useLines, type Asked, type Line } from './queries';
import { toldInWords } from './told';

/** As many rows as fit on a tall screen. */
const IN_SIGHT = 30;

/** The log of a zone: who did what where, by crop, place, and date; a correction shows what the entry said before. */
export function Log() {
    const { zone = '' } = useParams();
    const [params, setParams] = useSearchParams();
    const of = (name: string) => params.get(name) || undefined;
    const [garden, bed] = (of('place') ?? '').split('\n');
    const act = ACTS.find((one) => one === of('act'));
    const asked: Asked = {
        crop: of('crop'),
        garden: garden || undefined,
        bed: bed || undefined,
        act,
        from: of('from'),
        to: of('to'),
    };
    const { data, error, fetchNextPage, hasNextPage, isFetchingNextPage } = useLines(zone, asked);
    const set = (name: string, value: string) => {
        const next = new URLSearchParams(params);
        if (value) next.set(name, value);
        else next.delete(name);
        setParams(next, { replace: true });
    };
    const lines = data?.pages.flatMap((page) => page.lines) ?? [];
    const query = new URLSearchParams(Object.entries(asked).filter(([, value]) => value) as [string, string][]);
    return (
        <div className="windows log-screen">
            <main className="sheet">
                <Filters zone={zone} asked={asked} place={of('place') ?? ''} set={set} />
                <Problem error={error} />
                {data && lines.length === 0 && <p>{say('log-screen.nothing-here')}</p>}
                {lines.length > 0 && <Lines zone={zone} lines={lines} />}
                {hasNextPage && (
                    <Button
                        size="xs"
                        variant="default"
                        loading={isFetchingNextPage}
                        onClick={() => void fetchNextPage()}
                    >
                        {say('log-screen.earlier')}
                    </Button>
                )}
            </main>
            <aside aria-label={say('log-screen.in-and-out')}>
                <h2>{say('log-screen.on-a-phone')}</h2>
                <p>
                    {say('log-screen.how-to-write')} <a href="/log">{`${window.location.host}/log`}</a>
                </p>
                <h3>{say('log-screen.take')}</h3>
                <p>
                    <a href={`/desk-files/zones/${zone}/log.csv?${query}`}>{say('log-screen.as-csv')}</a>
                </p>
                <p>
                    <Action onClick={() => window.print()}>{say('log-screen.print')}</Action>
                </p>
                <p>
                    <a href="/desk-files/my-log.csv">{say('log-screen.all-of-mine')}</a>
                </p>
                <Labels zone={zone} />
                <BringTable zone={zone} />
            </aside>
        </div>
    );
}

function Filters({
    zone,
    asked,
    place,
    set,
}: {
    zone: string;
    asked: Asked;
    place: string;
    set: (name: string, value: string) => void;
}) {
    const { data: book } = useLogBook(zone);
    const gardens = [...new Set(book?.beds.map((bed) => bed.garden))];
    return (
        <div className="tools">
            <NativeSelect
                size="xs"
                aria-label={say('log-screen.crop')}
                value={asked.crop ?? ''}
                onChange={(event) => set('crop', event.currentTarget.value)}
                data={[
                    { value: '', label: say('log-screen.all-crops') },
                    ...(book?.crops ?? []).map((crop) => ({ value: crop.slug, label: crop.name })),
                ]}
            />
            <NativeSelect
                size="xs"
                aria-label={say('log-screen.place')}
                value={place}
                onChange={(event) => set('place', event.currentTarget.value)}
                data={[
                    { value: '', label: say('log-screen.all-places') },
                    ...gardens.flatMap((garden) => [
                        { value: garden, label: garden },
                        ...(book?.beds ?? [])
                            .filter((bed) => bed.garden === garden)
                            .map((bed) => ({ value: `${garden}\n${bed.name}`, label: `${garden}, ${bed.name}` })),
                    ]),
                ]}
            />
            <NativeSelect
                size="xs"
                aria-label={say('log-screen.act')}
                value={asked.act ?? ''}
                onChange={(event) => set('act', event.currentTarget.value)}
                data={[
                    { value: '', label: say('log-screen.all-acts') },
                    ...ACTS.map((act) => ({ value: act, label: say(`logged.${act}`) })),
                ]}
            />
            {(['from', 'to'] as const).map((end) => (
                <TextInput
                    key={end}
                    size="xs"
                    type="date"
                    aria-label={say(`log-screen.${end}`)}
                    value={asked[end] ?? ''}
                    onChange={(event) => set(end, event.currentTarget.value)}
                />
            ))}
        </div>
    );
}

function Lines({ zone, lines }: { zone: string; lines: Line[] }) {
    const { data: book } = useLogBook(zone);
    const { data: session } = useSession();
    const all = useInSightFirst();
    const isEducator = useCan('publish');
    const write = useWriteLine(zone);
    const oneGarden = new Set(book?.beds.map((bed) => bed.garden)).size === 1;
    const takeBack = ({ act, on, key }: Line) => write.mutate({ act, on, corrects: key, taken_back: true });
    const restore = ({ act, on, crop, bed, told, key }: Line) =>
        write.mutate({ act, on, crop, garden: bed?.garden, bed: bed?.name, ...told, corrects: key });
    return (
        <>
            <Problem error={write.error} />
            <table className="ruled dense">
                <thead>
                    <tr>
                        {['day', 'act', 'crop', 'place', 'what', 'by'].map((column) => (
                            <th key={column} scope="col">
                                {say(`log-screen.column-${column}`)}
                            </th>
                        ))}
                        <th scope="col" className="acts">
                            <span className="sr-only">{say('log-screen.acts')}</span>
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {lines.slice(0, all ? undefined : IN_SIGHT).map((line) => (
                        <tr key={line.key} className={line.taken_back ? 'withdrawn' : undefined}>
                            <td className="nowrap">{dateInShort(line.on)}</td>
                            <td className="nowrap">{say(`logged.${line.act}`)}</td>
                            <td>{[line.name, line.told.variety].filter(Boolean).join(' ')}</td>
                            <td>{line.bed && (oneGarden ? line.bed.name : `${line.bed.garden}, ${line.bed.name}`)}</td>
                            <td>
                                {toldInWords(line.told, book?.cues ?? [])}{' '}
                                {line.photo && <a href={line.photo}>{say('log-screen.photo')}</a>}
                                {line.corrects && (
                                    <small className="line">
                                        {say(line.taken_back ? 'log-screen.taken-back' : 'log-screen.corrected', {
                                            day: dateInShort(line.corrects.on),
                                            what: toldInWords(line.corrects.told, book?.cues ?? []) || 'none',
                                            by: line.corrects.author ?? say('log-screen.somebody'),
                                        })}
                                    </small>
                                )}
                            </td>
                            <td className="nowrap">{line.author ?? say('log-screen.somebody')}</td>
                            <td className="acts">
                                {(isEducator || line.author === session?.user?.name) && (
                                    <Action onClick={() => (line.taken_back ? restore(line) : takeBack(line))}>
                                        {say(line.taken_back ? 'log-screen.restore' : 'log.take-back')}
                                    </Action>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    );
}
