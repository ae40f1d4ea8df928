import { Button, NativeSelect, TextInput } from '@mantine/core';
import { Link, useSearchParams } from 'react-router';
import { useCrops } from '../../api/crops';
import { useZones } from '../../api/zones';
import { dateInShort, inShort } from '../../time/days';
import { Problem } from '../../ui/Problem';
import { shown } from '../../ui/shown';
import { hasWords, say } from '../../words/words';
import { useChanges, type Asked, type Change } from './queries';

/** Characters of a fingerprint that are shown. */
const FINGERPRINT = 12;

/** Who changed what, when, from what to what, and why: for everything, or for what one window depends on. */
export function Changes() {
    const [params, setParams] = useSearchParams();
    const asked: Asked = {
        zone: params.get('zone') || undefined,
        crop: params.get('crop') || undefined,
        person: Number(params.get('person')) || undefined,
        from: params.get('from') || undefined,
        until: params.get('until') || undefined,
    };
    const { data, error, fetchNextPage, hasNextPage, isFetchingNextPage } = useChanges(asked);
    const { data: zones } = useZones();
    const { data: crops } = useCrops();
    const zone = zones?.find((one) => one.slug === asked.zone);
    const crop = crops?.find((one) => one.slug === asked.crop);
    const set = (part: keyof Asked) => (event: { currentTarget: { value: string } }) => {
        const after = new URLSearchParams(params);
        if (event.currentTarget.value === '') after.delete(part);
        else after.set(part, event.currentTarget.value);
        setParams(after, { replace: true });
    };
    const changes = data?.pages.flatMap((page) => page.changes) ?? [];
    const any = { value: '', label: say('changes.any') };
    return (
        <main className="page changes">
            <h2>{say('screen.changes')}</h2>
            <p>
                {zone && crop ? (
                    <>
                        {say('changes.behind', { crop: crop.name, zone: zone.name })}{' '}
                        <Link to={`/desk/zones/${zone.slug}/planting-windows/${crop.slug}`}>
                            {say('changes.to-evidence')}
                        </Link>
                    </>
                ) : (
                    say('changes.what')
                )}
            </p>
            <div className="asking">
                <NativeSelect
                    label={say('changes.zone')}
                    value={asked.zone ?? ''}
                    onChange={set('zone')}
                    data={[any, ...(zones ?? []).map(({ slug, name }) => ({ value: slug, label: name }))]}
                />
                <NativeSelect
                    label={say('changes.crop')}
                    value={asked.crop ?? ''}
                    onChange={set('crop')}
                    data={[any, ...(crops ?? []).map(({ slug, name }) => ({ value: slug, label: name }))]}
                />
                <NativeSelect
                    label={say('changes.person')}
                    value={String(asked.person ?? '')}
                    onChange={set('person')}
                    data={[
                        any,
                        ...(data?.pages[0]?.people ?? []).map(({ id, name }) => ({ value: String(id), label: name })),
                    ]}
                />
                <TextInput type="date" label={say('changes.from')} value={asked.from ?? ''} onChange={set('from')} />
                <TextInput type="date" label={say('changes.until')} value={asked.until ?? ''} onChange={set('until')} />
                <a href={`/desk-files/changes.csv?${params.toString()}`} download>
                    {say('changes.export')}
                </a>
            </div>
            <Problem error={error} />
            {data && changes.length === 0 && <p role="status">{say('changes.none')}</p>}
            {changes.length > 0 && (
                <table className="ruled">
                    <thead>
                        <tr>
                            <th scope="col">{say('changes.when')}</th>
                            <th scope="col">{say('changes.who')}</th>
                            <th scope="col">{say('changes.thing')}</th>
                            <th scope="col">{say('changes.change')}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {changes.map((change) => (
                            <tr key={change.id}>
                                <td className="nowrap">
                                    {say('changes.at', { day: dateInShort(change.at), time: change.at.slice(11, 16) })}
                                </td>
                                <td>{change.by ?? say('changes.by-nobody')}</td>
                                <td>
                                    <What change={change} crop={crops?.find((one) => one.slug === change.crop)?.name} />
                                </td>
                                <td>
                                    <Fields change={change} />
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {hasNextPage && (
                <Button mt="md" variant="default" loading={isFetchingNextPage} onClick={() => void fetchNextPage()}>
                    {say('changes.earlier')}
                </Button>
            )}
        </main>
    );
}

function What({ change, crop }: { change: Change; crop: string | undefined }) {
    const edition = change.subject === 'editions' ? change.about : null;
    const name = [edition === null ? change.about : null, crop]
        .filter(Boolean)
        .filter((one, i, all) => all.indexOf(one) === i);
    return (
        <>
            {name.length > 0 && <strong>{name.join(', ')}: </strong>}
            {say('changes.act', {
                thing: [say(`changed.${change.subject}`), edition].filter(Boolean).join(' '),
                act: say(`act-of-change.${change.act}`),
            })}
            {change.zone_name && change.subject !== 'zones' && (
                <small className="line">{say('changes.in', { zone: change.zone_name })}</small>
            )}
        </>
    );
}

function Fields({ change }: { change: Change }) {
    // What the row already says elsewhere, and what was and is empty, is not repeated.
    const fields = change.fields.filter(({ field, was, is }) => field !== 'crop' && !(isNothing(was) && isNothing(is)));
    return (
        <>
            {fields.length > 0 && (
                <ul>
                    {fields.map(({ field, was, is }) => (
                        <li key={field}>
                            {named(change, field)}: {!isNothing(was) && <del>{valueOf(field, was)}</del>}{' '}
                            {!isNothing(is) && <ins>{valueOf(field, is)}</ins>}
                        </li>
                    ))}
                </ul>
            )}
            {change.why && <q>{change.why}</q>}
        </>
    );
}

const isNothing = (value: unknown) =>
    value === null || value === undefined || value === '' || (Array.isArray(value) && value.length === 0);

/** A field by the name the screens use, if they have one. */
function named({ subject }: Change, field: string): string {
    const column = `column.${field}.label`;
    if (['crops', 'varieties'].includes(subject) && hasWords(column)) return say(column);
    const plain = field.replaceAll('_', ' ');
    return hasWords(`field.${field}`) ? say(`field.${field}`) : plain.charAt(0).toUpperCase() + plain.slice(1);
}

/** A value the way a person would say it: days as days, a method by its name, a fingerprint by its beginning. */
function valueOf(field: string, value: unknown): string {
    if (field === 'checksum') return String(value).slice(0, FINGERPRINT);
    if (field === 'school' && hasWords(`school.${String(value)}.by`)) return say(`school.${String(value)}.by`);
    if (typeof value === 'boolean') return say(value ? 'changes.yes' : 'changes.no');
    return shown(value)
        .replace(/\b\d{4}-\d{2}-\d{2}\b/g, dateInShort)
        .replace(/(?<![\d-])\d{2}-\d{2}(?![\d-])/g, inShort);
}
