import { useCan } from '../../access/session';
import { dateInWords } from '../../time/days';
import { say } from '../../words/words';
import { useOutbox } from '../../api/office';

/** Mail that would have been sent, until a mail server is named. */
export function Outbox() {
    const may = useCan('read-mail');
    const { data } = useOutbox(may);
    if (!may || !data) return null;
    return (
        <section>
            <h2>{say('outbox.heading')}</h2>
            <p>
                {say('outbox.readers', { readers: data.readers })}{' '}
                {say(data.simulated ? 'outbox.simulated' : 'outbox.sent')}
            </p>
            {data.mails.map((mail) => (
                <details key={mail.id}>
                    <summary>
                        {say('outbox.mail', {
                            day: dateInWords(mail.at),
                            to: mail.recipient,
                            subject: mail.subject,
                        })}
                    </summary>
                    <pre className="letter">{mail.message}</pre>
                </details>
            ))}
        </section>
    );
}
