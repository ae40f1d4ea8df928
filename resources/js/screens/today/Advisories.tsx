import { Button, Group, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useCan } from '../../access/session';
import { dateAfter, dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { useKept } from '../../ui/kept';
import { Problem } from '../../ui/Problem';
import { Translated } from '../../ui/Translated';
import { say } from '../../words/words';
import {
    advisoryDraft,
    useAdvisories,
    usePublishAdvisory,
    useWithdrawAdvisory,
    type Advisory,
    type TodayData,
} from './queries';

type Ground = TodayData['grounds'][number];

/** Days for which an educator's own advisory is shown, unless another day is given. */
const SHOWN_FOR = 7;

/** Current advisories for this season, and drafts there is reason for. */
export function Advisories({ zone, data }: { zone: string; data: TodayData }) {
    const { data: all = [], error } = useAdvisories(zone);
    const mayPublish = useCan('publish');
    const [writing, setWriting] = useState<string | null>(null);
    const told = all.filter((one) => one.in_force);
    const drafts = data.grounds.filter((ground) => !told.some((one) => one.ground === ground.key));
    const gone = all.filter((one) => !one.in_force).slice(0, 3);
    return (
        <section className="advisories">
            <h3>{say('advisory.heading')}</h3>
            <Problem error={error} />
            {told.map((one) => (
                <InForce key={one.id} zone={zone} advisory={one} mayPublish={mayPublish} />
            ))}
            {told.length === 0 && drafts.length === 0 && <p>{say('advisory.nothing')}</p>}
            {drafts.map((ground) =>
                writing === ground.key ? (
                    <Draft
                        key={ground.key}
                        zone={zone}
                        ground={ground}
                        text={say(ground.says)}
                        until={ground.until}
                        today={data.today}
                        onClose={() => setWriting(null)}
                    />
                ) : (
                    <div key={ground.key}>
                        <p>{say(ground.says)}</p>
                        <Evidence phrases={ground.evidence} />
                        {mayPublish && (
                            <p>
                                <Action onClick={() => setWriting(ground.key)}>
                                    {say('advisory.edit-and-publish')}
                                </Action>
                            </p>
                        )}
                    </div>
                ),
            )}
            {mayPublish &&
                (writing === '' ? (
                    <Draft
                        zone={zone}
                        ground={null}
                        text=""
                        until={dateAfter(data.today, SHOWN_FOR)}
                        today={data.today}
                        onClose={() => setWriting(null)}
                    />
                ) : (
                    <p>
                        <Action onClick={() => setWriting('')}>{say('advisory.write-one')}</Action>
                    </p>
                ))}
            {gone.length > 0 && (
                <details>
                    <summary>{say('advisory.earlier')}</summary>
                    {gone.map((one) => (
                        <p key={one.id} className="hint">
                            {one.text}{' '}
                            {one.withdrawn
                                ? say('advisory.withdrawn', {
                                      day: dateInWords(one.withdrawn.on),
                                      author: one.withdrawn.by,
                                      reason: one.withdrawn.reason,
                                  })
                                : say('advisory.expired', { day: dateInWords(one.until) })}
                        </p>
                    ))}
                </details>
            )}
        </section>
    );
}

function Evidence({ phrases }: { phrases: Ground['evidence'] }) {
    return (
        <details>
            <summary>{say('advisory.evidence')}</summary>
            <ul className="evidence">
                {phrases.map((phrase, i) => (
                    <li key={i}>{say(phrase)}</li>
                ))}
            </ul>
        </details>
    );
}

/** A draft for the educator to edit: the text, and the day after which it is no longer shown. */
function Draft({
    zone,
    ground,
    text,
    until,
    today,
    onClose,
}: {
    zone: string;
    ground: Ground | null;
    text: string;
    until: string;
    today: string;
    onClose: () => void;
}) {
    const [words, setWords, forget] = useKept(advisoryDraft(zone, ground?.key ?? null), text);
    const [last, setLast] = useState(until);
    const [key] = useState(() => crypto.randomUUID());
    const publish = usePublishAdvisory(zone, ground?.key ?? null);
    const close = () => {
        forget();
        onClose();
    };
    return (
        <form
            className="own-hand"
            onSubmit={(event) => {
                event.preventDefault();
                publish.mutate({ key, text: words, until: last }, { onSuccess: close });
            }}
        >
            <Textarea
                size="xs"
                autosize
                minRows={3}
                maxLength={600}
                label={say('advisory.what-gardeners-read')}
                value={words}
                onChange={(event) => setWords(event.currentTarget.value)}
            />
            {ground && <Evidence phrases={ground.evidence} />}
            <TextInput
                size="xs"
                type="date"
                label={say('advisory.shown-until')}
                value={last}
                min={today}
                onChange={(event) => setLast(event.currentTarget.value)}
            />
            <Group gap="sm" mt="xs">
                <Button size="xs" type="submit" disabled={!words.trim()} loading={publish.isPending}>
                    {say('advisory.publish')}
                </Button>
                <Action onClick={close}>{say('common.cancel')}</Action>
            </Group>
            <Problem error={publish.error} unanswered={say('advisory.not-published')} />
        </form>
    );
}

function InForce({ zone, advisory, mayPublish }: { zone: string; advisory: Advisory; mayPublish: boolean }) {
    const [withdrawing, setWithdrawing] = useState(false);
    const [reason, setReason] = useState('');
    const withdraw = useWithdrawAdvisory(zone);
    return (
        <div className="told">
            <p>{advisory.text}</p>
            <Translated texts={[advisory.text]} />
            <p className="hint">
                {say('advisory.published', {
                    author: advisory.author,
                    day: dateInWords(advisory.published_on),
                    until: dateInWords(advisory.until),
                })}
            </p>
            {mayPublish && !withdrawing && (
                <p>
                    <Action onClick={() => setWithdrawing(true)}>{say('advisory.withdraw')}</Action>
                </p>
            )}
            {withdrawing && (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        withdraw.mutate({ advisory: advisory.id, reason });
                    }}
                >
                    <TextInput
                        size="xs"
                        label={say('advisory.why-withdrawn')}
                        value={reason}
                        maxLength={600}
                        onChange={(event) => setReason(event.currentTarget.value)}
                    />
                    <Group gap="sm" mt="xs">
                        <Button size="xs" type="submit" disabled={!reason.trim()} loading={withdraw.isPending}>
                            {say('advisory.withdraw-it')}
                        </Button>
                        <Action onClick={() => setWithdrawing(false)}>{say('common.cancel')}</Action>
                    </Group>
                </form>
            )}
            <Problem error={withdraw.error} />
        </div>
    );
}
