import { languageName, say } from '../../words/words';
import { Button, Checkbox, Progress, Textarea, TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import { Refusal, type Schema, type Zone } from '../../api/client';
import { Proof, unexplained, Warnings } from './Proof';
import { Published } from './Published';
import { useLanguages } from '../../api/languages';
import { editionDraft, useDraft, useEditions, usePublication, usePublish, type Draft } from './queries';
import { useCan } from '../../access/session';
import { useZone } from '../../api/zones';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';

/** Where editions are published, and where earlier ones are found. */
export function Editions() {
    const { zone: slug = '' } = useParams();
    const mayPublish = useCan('publish');
    const { data: zone } = useZone(slug);
    const { data: editions } = useEditions(slug);
    const { data: draft } = useDraft(slug, zone !== undefined && whyNot(zone) === null);
    return (
        <main className="page">
            {draft && <Proof zone={slug} draft={draft} />}
            {mayPublish && zone && (
                <Publish key={slug} zone={zone} draft={draft} next={(editions?.[0]?.number ?? 0) + 1} />
            )}
            <section>
                <h2>{say('common.editions')}</h2>
                {editions?.length === 0 && <p>{say('common.none-yet')}</p>}
                {zone && editions && editions.length > 0 && (
                    <Published zone={zone} editions={editions} mayPublish={mayPublish} />
                )}
            </section>
            {zone?.edition && <Embed zone={zone} />}
        </main>
    );
}

/** What is typed on the form. */
const NOTHING = { note: '', answers: {} as Record<string, string>, from: '', noteIn: {} as Record<string, string> };

function Publish({ zone, draft, next }: { zone: Zone; draft: Draft | undefined; next: number }) {
    const publish = usePublish(zone.slug);
    // What is typed stays until it is published, whatever screen is open in the meantime.
    const [typed, type, forget] = useKept(editionDraft(zone.slug), NOTHING);
    const { note, answers, from, noteIn } = typed;
    // A click made twice, or repeated after its answer got lost, is one request.
    const [key, setKey] = useState(() => crypto.randomUUID());
    const [evenUnchanged, setEvenUnchanged] = useState(false);
    const missing = draft ? unexplained(draft, answers).length : 0;
    const { data: publication } = usePublication(zone.slug, publish.data?.id ?? null);
    const submit = (event: FormEvent) => {
        event.preventDefault();
        publish.mutate(
            {
                note,
                key,
                even_unchanged: evenUnchanged,
                answers,
                from: from || null,
                note_in: Object.fromEntries(Object.entries(noteIn).filter(([, text]) => text.trim() !== '')),
            },
            {
                onSuccess: () => {
                    forget();
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
            <h2>
                {say('editions.publish-edition', {
                    value: publication && publication.state !== 'done' ? publication.edition.number : next,
                })}
            </h2>
            {zone.short_record && (
                <p className="warning">
                    {say('editions.every-page-of-this-edition', {
                        first_guess: say('first-guess', { seasons: zone.cold_seasons ?? 0 }),
                    })}
                </p>
            )}
            {publication && <Making publication={publication} />}
            {hindrance ? (
                <p>
                    {hindrance}{' '}
                    <Link to={`/desk/zones/${zone.slug}/climate/files`}>{say('common.go-to-the-record')}</Link>
                </p>
            ) : (
                <form onSubmit={submit} style={{ maxWidth: '46rem' }}>
                    <p>
                        {say('editions.the')}{' '}
                        <Link to={`/desk/zones/${zone.slug}/planting-windows`}>
                            {say('editions.windows-as-computed')}
                        </Link>{' '}
                        {say('editions.are-frozen-with-a-number')}{' '}
                        <Link to={`/desk/zones/${zone.slug}/method`}>{say('editions.what-the-method-moved')}</Link>
                    </p>
                    <Textarea
                        label={say('editions.note-to-gardeners')}
                        description={say('editions.one-sentence-what-this-edition')}
                        required
                        maxLength={1000}
                        autosize
                        minRows={2}
                        value={note}
                        onChange={(event) => type({ ...typed, note: event.currentTarget.value })}
                    />
                    <NoteIn texts={noteIn} onChange={(texts) => type({ ...typed, noteIn: texts })} />
                    <TextInput
                        mt="xs"
                        type="date"
                        w="16rem"
                        label={say('editions.from')}
                        description={say('editions.from-blank')}
                        value={from}
                        onChange={(event) => type({ ...typed, from: event.currentTarget.value })}
                    />
                    {draft && (
                        <Warnings
                            zone={zone.slug}
                            draft={draft}
                            answers={answers}
                            onAnswer={(cause, answer) => type({ ...typed, answers: { ...answers, [cause]: answer } })}
                        />
                    )}
                    <Problem error={publish.error} unanswered={say('editions.the-server-does-not-answer')} />
                    {unchanged && (
                        <Checkbox
                            label={say('editions.publish-it-although-nothing-has')}
                            checked={evenUnchanged}
                            onChange={(event) => setEvenUnchanged(event.currentTarget.checked)}
                        />
                    )}
                    <Button
                        type="submit"
                        mt="md"
                        loading={publish.isPending}
                        disabled={note.trim() === '' || missing > 0 || (unchanged && !evenUnchanged)}
                        aria-describedby="publish-missing"
                    >
                        {say('editions.publish')}
                    </Button>
                    {(note.trim() === '' || missing > 0) && (
                        <p id="publish-missing" className="hint" role="status">
                            {say('editions.missing', { note: note.trim() === '' ? 'yes' : 'no', answers: missing })}
                        </p>
                    )}
                </form>
            )}
        </section>
    );
}

/** The HTML that puts the zone's week on a county's page. */
function Embed({ zone }: { zone: Zone }) {
    const title = say('editions.embed-title', { zone: zone.name });
    const address = `${window.location.origin}/zones/${zone.slug}/embed`;
    const snippet = ['<iframe', `src="${address}"`, `title="${title}"`, 'width="360"', 'height="600"></iframe>'].join(
        ' ',
    );
    return (
        <section>
            <h2>{say('editions.embed')}</h2>
            <p>{say('editions.embed-what')}</p>
            <pre className="letter">{snippet}</pre>
        </section>
    );
}

/** How far along the pages of an edition are. */
function Making({ publication }: { publication: Schema['Publication'] }) {
    return (
        <div role="status" aria-live="polite">
            {publication.state === 'waiting' ? (
                <p>{say('editions.waits', { number: publication.edition.number })}</p>
            ) : publication.state === 'done' ? (
                <p>{say('editions.edition-is-published-and-in', { number: publication.edition.number })}</p>
            ) : publication.state === 'failed' ? (
                <p className="warning">{publication.error}</p>
            ) : (
                <>
                    <p>
                        {say('editions.edition-is-frozen-its-pages', {
                            number: publication.edition.number,
                            total:
                                publication.total > 0 &&
                                say('editions.of', { done: publication.done, total: publication.total }),
                        })}
                    </p>
                    <Progress
                        w={360}
                        aria-label={say('editions.pages-made')}
                        value={publication.total === 0 ? 3 : (100 * publication.done) / publication.total}
                    />
                </>
            )}
        </div>
    );
}

/** The note in each other language. */
function NoteIn({
    texts,
    onChange,
}: {
    texts: Record<string, string>;
    onChange: (texts: Record<string, string>) => void;
}) {
    const { data: languages } = useLanguages();
    return languages?.map((language) => (
        <Textarea
            key={language}
            mt="xs"
            label={say('editions.note-in', { language: languageName(language) })}
            description={say('editions.note-in-blank')}
            maxLength={1000}
            autosize
            minRows={1}
            value={texts[language] ?? ''}
            onChange={(event) => onChange({ ...texts, [language]: event.currentTarget.value })}
        />
    ));
}

/** Why a zone cannot be published as it is; null if it can. */
function whyNot(zone: Zone): string | null {
    if (!zone.record && !zone.computation) return say('editions.there-is-nothing-to-publish');
    if (zone.computation?.state === 'failed' && zone.stale)
        return say('editions.the-last-computing-failed', { error: zone.computation.error ?? '' });
    if (zone.computation?.state === 'cancelled' && zone.stale) return say('editions.the-last-computing-was-cancelled');
    if (zone.stale) return say('editions.the-windows-are-being-computed');
    return null;
}
