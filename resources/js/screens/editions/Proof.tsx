import { Button, Group, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useCrops } from '../../api/crops';
import { useCan } from '../../access/session';
import { spanInShort, type Span } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { OtherYears } from '../../ui/Turned';
import { listed, say } from '../../words/words';
import { useAnswer, useObject, type Draft, type Objection } from './queries';

/** Reviewing the draft: how it differs from the current edition, largest changes first, and comments on it. */
export function Proof({ zone, draft }: { zone: string; draft: Draft }) {
    const objections = draft.objections.filter((one) => !draft.changes.some((change) => change.crop === one.crop));
    return (
        <section>
            <h2>{say('proof.heading', { number: draft.number })}</h2>
            {draft.against === null ? (
                <p>{say('proof.first', { crops: draft.crops })}</p>
            ) : (
                <p>
                    {say('proof.against', {
                        changes: draft.changes.length,
                        against: draft.against,
                    })}
                </p>
            )}
            {draft.changes.length > 0 && (
                <div className="scroll" tabIndex={0}>
                    <table className="ruled proof">
                        <thead>
                            <tr>
                                {['crop', 'in-force', 'draft', 'what', 'why', 'objections'].map((column) => (
                                    <th key={column} scope="col">
                                        {say(`proof.column-${column}`)}
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {draft.changes.map((change) => (
                                <tr key={`${change.crop}.${change.route ?? ''}`}>
                                    <th scope="row">
                                        <Link to={`/desk/zones/${zone}/planting-windows/${change.crop}`}>
                                            {change.name}
                                        </Link>
                                        {change.act && <small> {say(`act.${change.act}`)}</small>}
                                    </th>
                                    <td className="was">{spans(change.before)}</td>
                                    <td>{spans(change.now)}</td>
                                    <td>{say(change.phrase)}</td>
                                    <td>
                                        {change.why.length === 0
                                            ? say('proof.why-unknown')
                                            : listed(change.why.map((why) => say(`proof.why-${why}`)))}
                                    </td>
                                    <td>
                                        <Objections
                                            objections={draft.objections.filter((one) => one.crop === change.crop)}
                                            zone={zone}
                                        />
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
            )}
            {objections.length > 0 && <Objections objections={objections} zone={zone} named />}
            <Object zone={zone} draft={draft} />
        </section>
    );
}

function spans(windows: Span[]): string {
    return windows.length === 0 ? say('difference.no-window') : windows.map(spanInShort).join(', ');
}

function Objections({ objections, zone, named }: { objections: Objection[]; zone: string; named?: boolean }) {
    const { data: crops } = useCrops();
    const name = (slug: string) => crops?.find((crop) => crop.slug === slug)?.name ?? slug;
    return (
        <>
            {objections.map((objection) => (
                <div key={objection.id} className="own-hand">
                    <p>
                        {named && `${name(objection.crop)}: `}
                        {objection.text} <small>{objection.author}</small>
                    </p>
                    {objection.answer ? (
                        <p>
                            {objection.answer} <small>{objection.answered_by}</small>
                        </p>
                    ) : (
                        <Answer zone={zone} objection={objection} />
                    )}
                </div>
            ))}
        </>
    );
}

function Answer({ zone, objection }: { zone: string; objection: Objection }) {
    const mayPublish = useCan('publish');
    const [words, setWords] = useState('');
    const answer = useAnswer(zone);
    if (!mayPublish) return <p className="hint">{say('proof.not-answered-yet')}</p>;
    return (
        <form
            className="inline"
            onSubmit={(event) => {
                event.preventDefault();
                answer.mutate({ objection: objection.id, answer: words });
            }}
        >
            <TextInput
                size="xs"
                label={say('proof.answer')}
                value={words}
                maxLength={1000}
                onChange={(event) => setWords(event.currentTarget.value)}
            />
            <Button size="xs" type="submit" variant="default" disabled={!words.trim()} loading={answer.isPending}>
                {say('proof.answer-it')}
            </Button>
            <Problem error={answer.error} />
        </form>
    );
}

/** Anybody at the desk may comment on any crop that changed. */
function Object({ zone, draft }: { zone: string; draft: Draft }) {
    const [open, setOpen] = useState(false);
    const [words, setWords] = useState('');
    const crops = [...new Map(draft.changes.map((change) => [change.crop, change.name]))];
    const [crop, setCrop] = useState<string>();
    const [key, setKey] = useState(() => crypto.randomUUID());
    const object = useObject(zone);
    if (crops.length === 0) return null;
    if (!open) {
        return (
            <p>
                <Action onClick={() => setOpen(true)}>{say('proof.object')}</Action>
            </p>
        );
    }
    return (
        <form
            className="inline"
            onSubmit={(event) => {
                event.preventDefault();
                object.mutate(
                    { key, crop: crop ?? crops[0]?.[0] ?? '', text: words },
                    {
                        onSuccess: () => {
                            setWords('');
                            setOpen(false);
                            setKey(crypto.randomUUID());
                        },
                    },
                );
            }}
        >
            <NativeSelect
                size="xs"
                label={say('proof.column-crop')}
                value={crop ?? crops[0]?.[0]}
                onChange={(event) => setCrop(event.currentTarget.value)}
                data={crops.map(([value, label]) => ({ value, label }))}
            />
            <TextInput
                size="xs"
                miw={320}
                label={say('proof.what-is-wrong')}
                value={words}
                maxLength={1000}
                onChange={(event) => setWords(event.currentTarget.value)}
            />
            <Group gap="sm">
                <Button size="xs" type="submit" variant="default" disabled={!words.trim()} loading={object.isPending}>
                    {say('proof.object-to-it')}
                </Button>
                <Action onClick={() => setOpen(false)}>{say('common.cancel')}</Action>
            </Group>
            <Problem error={object.error} />
        </form>
    );
}

/** Warnings by cause, in the order in which they come. */
function byCause({ warnings }: Draft): [string, Draft['warnings']][] {
    const causes = new Map<string, Draft['warnings']>();
    for (const warning of warnings) causes.set(warning.cause, [...(causes.get(warning.cause) ?? []), warning]);
    return [...causes];
}

/** Causes of warnings that nobody has explained yet. */
export function unexplained(draft: Draft, answers: Record<string, string>): string[] {
    return byCause(draft)
        .map(([cause]) => cause)
        .filter((cause) => !answers[cause]?.trim());
}

/** What has to be explained before publishing: once for each cause, however many crops are concerned. */
export function Warnings({
    zone,
    draft,
    answers,
    onAnswer,
}: {
    zone: string;
    draft: Draft;
    answers: Record<string, string>;
    onAnswer: (cause: string, answer: string) => void;
}) {
    if (draft.warnings.length === 0) return null;
    return (
        <fieldset className="answers">
            <legend>{say('proof.warnings')}</legend>
            {byCause(draft).map(([cause, warnings]) => (
                <div key={cause}>
                    {warnings.length > 1 && (
                        <details>
                            <summary>{say(`proof.cause-${cause}`, { count: warnings.length })}</summary>
                            <ul>
                                {warnings.map((warning) => (
                                    <li key={warning.key}>{say(warning.phrase)}</li>
                                ))}
                            </ul>
                        </details>
                    )}
                    <TextInput
                        size="xs"
                        label={warnings.length === 1 ? say(warnings[0]!.phrase) : say('proof.why-all-of-them')}
                        placeholder={say('proof.why-all-the-same')}
                        value={answers[cause] ?? ''}
                        maxLength={1000}
                        onChange={(event) => onAnswer(cause, event.currentTarget.value)}
                    />
                    {cause === 'turned' && <OtherYears zone={zone} />}
                </div>
            ))}
        </fieldset>
    );
}
