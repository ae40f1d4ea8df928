import { useMutation } from '@tanstack/react-query';

/** What was done, in words, and what undoes it; null: nothing can. */
export type Done = { says: string; undo: (() => Promise<unknown>) | null };

/**
 * A change that is told of when it is made, and can be undone from there for a while, on whichever screen one is by then.
 *
 * `before` reads what is there when the change is sent; `undo` gives what undoes it (null: nothing can), of what was sent, what was
 * answered and what was there, and may send the same again with other values.
 */
export function useUndoable<Sent, Saved, Before = undefined>({
    meta,
    send,
    saved: onSaved,
    refused,
    before,
    done,
    undo,
}: {
    /** the draft that was sent is one no more */
    meta?: { draft?: string };
    send: (sent: Sent) => Promise<Saved>;
    saved: (saved: Saved) => unknown;
    refused?: (error: Error) => unknown;
    before?: (sent: Sent) => Before;
    /** what was done, in words */
    done: (sent: Sent) => string;
    undo: (
        step: { sent: Sent; saved: Saved; before: Before },
        again: (sent: Sent) => Promise<unknown>,
    ) => (() => Promise<unknown>) | null;
}) {
    const again = async (sent: Sent) => {
        try {
            const answer = await send(sent);
            await onSaved(answer);
        } catch (error) {
            refused?.(error as Error);
            throw error;
        }
    };
    return useMutation({
        meta: {
            ...meta,
            done: (saved: Saved, sent: Sent, before: Before): Done => ({
                says: done(sent),
                undo: undo({ sent, saved, before }, again),
            }),
        },
        mutationFn: send,
        onMutate: (sent) => before?.(sent) as Before,
        onSuccess: onSaved,
        onError: (error) => refused?.(error),
    });
}
