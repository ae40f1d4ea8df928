import { MutationCache } from '@tanstack/react-query';
import { forgetDraft } from './kept';
import { tellDone } from './notices';

/** Sees every change: discards the draft that was sent, and shows a notice if the change can be undone. */
export function seenChanges(): MutationCache {
    return new MutationCache({
        onSuccess: (saved, sent, before, { meta }) => {
            forgetDraft(meta?.draft);
            const done = meta?.done?.(saved as never, sent as never, before as never);
            if (done) tellDone(done.says, done.undo ?? undefined);
        },
    });
}
