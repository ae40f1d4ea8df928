import { useMutation } from '@tanstack/react-query';

/** What was done, in words, and what undoes it; null: nothing can. */
export type Done = { says: string; undo: (() => Promise<unknown>) | null };

/**
 * A change that shows a notice when it is made, and can be undone from there for a while, on whatever screen the person is by then.
 *
 * `before` reads the current state when the change is sent. `undo` returns what undoes it (null: nothing can), from what was sent, what
 * came back, and the state before, and may send the same again with other values.
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
    /** the draft that was sent, to be discarded */
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
