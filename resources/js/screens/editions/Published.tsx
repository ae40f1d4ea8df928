import { Button, Group, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { Schema, Zone } from '../../api/client';
import { useCan, useSession } from '../../access/session';
import { dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { useSign, useWithdraw } from './queries';

type Edition = Schema['Edition'];

/** The editions there are, and their states: waiting, current, withdrawn. */
export function Published({ zone, editions, mayPublish }: { zone: Zone; editions: Edition[]; mayPublish: boolean }) {
    const me = useSession().data?.user?.name;
    const maySign = useCan('sign');
    const sign = useSign(zone.slug);
    const [withdrawing, setWithdrawing] = useState<number | null>(null);
    return (
        <>
            <Problem error={sign.error} />
            <table className="ruled">
                <thead>
                    <tr>
                        <th scope="col">{say('editions.edition')}</th>
                        <th scope="col">{say('editions.published')}</th>
                        <th scope="col">{say('common.note')}</th>
                        <th scope="col">{say('common.checksum')}</th>
                        <th scope="col">{say('editions.read-it')}</th>
                    </tr>
                </thead>
                <tbody>
                    {editions.map((edition) => (
                        <tr key={edition.number}>
                            <td>
                                {edition.number}
                                {standing(edition, zone)}
                            </td>
                            <td>
                                {say('editions.by', {
                                    published_on: dateInWords(edition.published_on),
                                    published_by: edition.published_by,
                                })}
                                {edition.signed_by && ` ${say('editions.signed', { name: edition.signed_by })}`}
                            </td>
                            <td>
                                {edition.note}
                                {edition.withdrawn && <em> {edition.withdrawn.reason}</em>}
                                {withdrawing === edition.number && (
                                    <Withdraw zone={zone.slug} edition={edition} done={() => setWithdrawing(null)} />
                                )}
                            </td>
                            <td className="mono" title={edition.checksum}>
                                {edition.checksum.slice(0, 16)}
                            </td>
                            <td>
                                {edition.in_force && <a href={edition.url}>{say('editions.as-gardeners-do')}</a>}{' '}
                                {maySign && edition.waits_for?.signature && edition.published_by !== me && (
                                    <Action onClick={() => sign.mutate(edition.number)}>{say('editions.sign')}</Action>
                                )}{' '}
                                {mayPublish && !edition.withdrawn && (edition.in_force || edition.waits_for) && (
                                    <Action onClick={() => setWithdrawing(edition.number)}>
                                        {say(edition.in_force ? 'editions.withdraw' : 'editions.take-back')}
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

function standing(edition: Edition, zone: Zone): string {
    if (edition.withdrawn) return say('editions.withdrawn', { day: dateInWords(edition.withdrawn.on) });
    if (edition.number === zone.edition?.number) return say('editions.in-force');
    if (edition.waits_for?.signature) return say('editions.waits-for-signature');
    if (edition.waits_for?.day) return say('editions.waits-for-day', { day: dateInWords(edition.waits_for.day) });
    return edition.in_force ? '' : say('editions.its-pages-are-being-made');
}

function Withdraw({ zone, edition, done }: { zone: string; edition: Edition; done: () => void }) {
    const withdraw = useWithdraw(zone);
    const [reason, setReason] = useState('');
    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                withdraw.mutate({ number: edition.number, reason }, { onSuccess: done });
            }}
        >
            <Textarea
                label={say('editions.why-withdrawn')}
                description={say(edition.in_force ? 'editions.withdrawn-means' : 'editions.taken-back-means')}
                required
                autosize
                maxLength={1000}
                value={reason}
                onChange={(event) => setReason(event.currentTarget.value)}
            />
            <Problem error={withdraw.error} />
            <Group mt="xs">
                <Button type="submit" loading={withdraw.isPending} disabled={reason.trim() === ''}>
                    {say(edition.in_force ? 'editions.withdraw' : 'editions.take-back')}
                </Button>
                <Button variant="default" onClick={done}>
                    {say('common.cancel')}
                </Button>
            </Group>
        </form>
    );
}
