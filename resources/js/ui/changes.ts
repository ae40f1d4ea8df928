import { MutationCache } from '@tanstack/react-query';
import { forgetDraft } from './kept';
import { tellDone } from './notices';

/** Sees every change that is made: the draft that was sent is one no more, and what can be undone is told of. */
export function seenChanges(): MutationCache {
    return new MutationCache({
        onSuccess: (saved, sent, before, { meta }) => {
            forgetDraft(meta?.draft);
            const done = meta?.done?.(saved as never, sent as never, before as never);
            if (done) tellDone(done.says, done.undo ?? undefined);
        },
    });
}
