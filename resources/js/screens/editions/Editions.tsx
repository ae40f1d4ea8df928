import { say } from '../../words/words';
import { Button, Checkbox, Progress, Textarea } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import { Refusal, type Zone } from '../../api/client';
import { useEditions, usePublication, usePublish } from './queries';
import { useMay } from '../../access/session';
import { useZone } from '../../api/zones';
import { dateInWords } from '../../time/days';
import { Problem } from '../../ui/Problem';

/** Where editions are published, and where those that were are found. */
export function Editions() {
    const { zone: slug = '' } = useParams();
    const mayPublish = useMay('publish');
    const { data: zone } = useZone(slug);
    const { data: editions } = useEditions(slug);
    return (
        <main className="page">
            {mayPublish && zone && <Publish key={slug} zone={zone} next={(editions?.[0]?.number ?? 0) + 1} />}
            <section>
                <h2>Editions</h2>
                {editions?.length === 0 && <p>None yet.</p>}
                {editions && editions.length > 0 && (
                    <table className="ruled">
                        <thead>
                            <tr>
                                <th scope="col">Edition</th>
                                <th scope="col">Published</th>
                                <th scope="col">Note</th>
                                <th scope="col">Checksum</th>
                                <th scope="col">Read it</th>
                            </tr>
                        </thead>
                        <tbody>
                            {editions.map((edition) => (
                                <tr key={edition.number}>
                                    <td>
                                        {edition.number}
                                        {edition.number === zone?.edition?.number && ', in force'}
                                        {!edition.in_force && ', its pages are being made'}
                                    </td>
                                    <td>
                                        {dateInWords(edition.published_on)} by {edition.published_by}
                                    </td>
                                    <td>{edition.note}</td>
                                    <td className="mono" title={edition.checksum}>
                                        {edition.checksum.slice(0, 16)}
                                    </td>
                                    <td>{edition.in_force && <a href={edition.url}>as gardeners do</a>}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                )}
            </section>
        </main>
    );
}

function Publish({ zone, next }: { zone: Zone; next: number }) {
    const publish = usePublish(zone.slug);
    const [note, setNote] = useState('');
    // A click that is made twice, or again after its answer got lost, is one request.
    const [key, setKey] = useState(() => crypto.randomUUID());
    const [evenUnchanged, setEvenUnchanged] = useState(false);
    const { data: publication } = usePublication(zone.slug, publish.data?.id ?? null);
    const submit = (event: FormEvent) => {
        event.preventDefault();
        publish.mutate(
            { note, key, even_unchanged: evenUnchanged },
            {
                onSuccess: () => {
                    setNote('');
                    setEvenUnchanged(false);
                    setKey(crypto.randomUUID());
                },
            },
        );
    };
    const unchanged = publish.error instanceof Refusal && publish.error.errors.unchanged !== undefined;
    const hindrance = whyNot(zone);
    return (
        <section>
            <h2>Publish edition {publication && publication.state !== 'done' ? publication.edition.number : next}</h2>
            {zone.short_record && (
                <p className="warning">
                    {say('first-guess', { seasons: zone.cold_seasons ?? 0 })} Every page of this edition will say so.
                </p>
            )}
            {publication && (
                <div role="status" aria-live="polite">
                    {publication.state === 'done' ? (
                        <p>Edition {publication.edition.number} is published and in force.</p>
                    ) : publication.state === 'failed' ? (
                        <p className="warning">{publication.error}</p>
                    ) : (
                        <>
                            <p>
                                Edition {publication.edition.number} is frozen; its pages are being made
                                {publication.total > 0 && `, ${publication.done} of ${publication.total}`}. You can
                                leave this page.
                            </p>
                            <Progress
                                w={360}
                                aria-label="Pages made"
                                value={publication.total === 0 ? 3 : (100 * publication.done) / publication.total}
                            />
                        </>
                    )}
                </div>
            )}
            {hindrance ? (
                <p>
                    {hindrance} <Link to={`/desk/zones/${zone.slug}/record/files`}>Go to the record</Link>
                </p>
            ) : (
                <form onSubmit={submit} style={{ maxWidth: '46rem' }}>
                    <p>
                        The <Link to={`/desk/zones/${zone.slug}/windows`}>windows as computed</Link> are frozen with a
                        number, today’s date, your name and a seal. An edition never changes afterwards; a correction is
                        a new edition.
                    </p>
                    <Textarea
                        label="Note to gardeners"
                        description="one sentence: what this edition is, or what changed"
                        required
                        maxLength={1000}
                        autosize
                        minRows={2}
                        value={note}
                        onChange={(event) => setNote(event.currentTarget.value)}
                    />
                    <Problem
                        error={publish.error}
                        unanswered="The server does not answer. If you send it again, nothing is published twice."
                    />
                    {unchanged && (
                        <Checkbox
                            label="Publish it although nothing has changed"
                            checked={evenUnchanged}
                            onChange={(event) => setEvenUnchanged(event.currentTarget.checked)}
                        />
                    )}
                    <Button
                        type="submit"
                        mt="md"
                        loading={publish.isPending}
                        disabled={note.trim() === '' || (unchanged && !evenUnchanged)}
                    >
                        Publish
                    </Button>
                </form>
            )}
        </section>
    );
}

/** Why a zone cannot be published as it is; null where it can. */
function whyNot(zone: Zone): string | null {
    if (!zone.record && !zone.computation) return 'There is nothing to publish yet. Bring a station file first.';
    if (zone.computation?.state === 'failed' && zone.stale)
        return `The last computing failed: ${zone.computation.error ?? ''}`;
    if (zone.computation?.state === 'cancelled' && zone.stale)
        return 'The last computing was cancelled, so the windows are older than what is known.';
    if (zone.stale) return 'The windows are being computed. Wait until that is done, look at them, then publish.';
    return null;
}
