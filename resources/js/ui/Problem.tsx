import { say } from '../words/words';
import { Refusal } from '../api/client';

/**
 * What went wrong, said where the act is: a refusal in the server's words, with what others changed meanwhile where that is why;
 * a text as it is; nothing while all is well.
 */
export function Problem({
    error,
    unanswered = say('problem.the-server-does-not-answer'),
}: {
    error: Error | string | null | undefined;
    /** what to say, and what to do, where no answer came */
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

/** A value of any field, short enough for a line. */
function shown(value: unknown): string {
    if (value === null || value === undefined || value === '') return 'nothing';
    if (Array.isArray(value)) return value.map(shown).join('; ') || 'nothing';
    if (typeof value === 'object') {
        return Object.values(value)
            .filter((part) => part !== null && part !== '')
            .map(shown)
            .join(' ');
    }
    return String(value);
}
