import { Button, Textarea } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import { useEditions, usePublish, useSession, useZone } from '../../app/data';
import { dateInWords } from '../../charts/days';
import { Problem } from '../../app/Problem';

/** Where editions are published, and where those that were are found. */
export function Press() {
    const { zone: slug = '' } = useParams();
    const { data: session } = useSession();
    const { data: zone } = useZone(slug);
    const { data: editions } = useEditions(slug);
    const publish = usePublish(slug);
    const [note, setNote] = useState('');
    const submit = async (event: FormEvent) => {
        event.preventDefault();
        const edition = await publish.mutateAsync(note).catch(() => null);
        if (edition) {
            setNote('');
            notifications.show({ message: `Edition ${edition.number} is published.`, autoClose: 6000 });
        }
    };
    const mayPublish = session?.user?.may_publish ?? false;
    return (
        <main className="page">
            {mayPublish && (
                <section>
                    <h2>Publish edition {(editions?.[0]?.number ?? 0) + 1}</h2>
                    {zone?.record ? (
                        <form onSubmit={submit} style={{ maxWidth: '46rem' }}>
                            <p>
                                The <Link to={`/desk/zones/${slug}/windows`}>windows as computed</Link> are frozen with
                                a number, today’s date, your name and a checksum. An edition never changes afterwards; a
                                correction is a new edition.
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
                                unanswered="The server does not answer. Nothing was published; try again."
                            />
                            <Button type="submit" mt="md" loading={publish.isPending} disabled={note.trim() === ''}>
                                Publish
                            </Button>
                        </form>
                    ) : (
                        <p>
                            There is nothing to publish yet.{' '}
                            <Link to={`/desk/zones/${slug}/record`}>Bring a station file first.</Link>
                        </p>
                    )}
                </section>
            )}
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
                            {editions.map((edition, i) => (
                                <tr key={edition.number}>
                                    <td>
                                        {edition.number}
                                        {i === 0 && ', current'}
                                    </td>
                                    <td>
                                        {dateInWords(edition.published_on)} by {edition.published_by}
                                    </td>
                                    <td>{edition.note}</td>
                                    <td className="mono" title={edition.checksum}>
                                        {edition.checksum.slice(0, 16)}
                                    </td>
                                    <td>
                                        <a href={edition.url}>as gardeners do</a>
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                )}
            </section>
        </main>
    );
}
