import { Refusal } from '../api/client';

/** What went wrong, said where the act is: a refusal in the server's words, a text as it is; nothing while all is well. */
export function Problem({
    error,
    unanswered = 'The server does not answer. Nothing was changed; try again in a moment.',
}: {
    error: Error | string | null | undefined;
    /** what to say, and what to do, where no answer came */
    unanswered?: string;
}) {
    if (!error) return null;
    return (
        <p role="alert" className="warning">
            {typeof error === 'string' ? error : error instanceof Refusal ? error.message : unanswered}
        </p>
    );
}
