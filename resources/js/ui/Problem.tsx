import { say } from '../words/words';
import { Refusal } from '../api/client';
import { shown } from './shown';

/**
 * What went wrong, shown where it happened: a refusal in the server's words, with what others changed in the meantime if that is why; a
 * text as it is; nothing if all is well.
 */
export function Problem({
    error,
    unanswered = say('problem.the-server-does-not-answer'),
}: {
    error: Error | string | null | undefined;
    /** what to say, and what to do, if no answer came */
    unanswered?: string;
}) {
    if (!error) return null;
    const changed = error instanceof Error && error instanceof Refusal ? error.changed : [];
    return (
        <div role="alert" className="warning">
            <p>{typeof error === 'string' ? error : error instanceof Refusal ? error.message : unanswered}</p>
            {changed.length > 0 && (
                <ul>
                    {changed.map((change) => (
                        <li key={change.field}>
                            {change.field.replaceAll('_', ' ')}: {shown(change.was)} → {shown(change.is)} ({change.by})
                        </li>
                    ))}
                </ul>
            )}
        </div>
    );
}
