import { notifications } from '@mantine/notifications';
import { Action } from './Action';
import { say } from '../words/words';

/** How long a notice offers its undo, ms: reading it and reaching for it takes people a while. */
const OFFERED = 15_000;

/** The latest notice of each name: a new one is a separate notice, so it is shown for its own time. */
const named = new Map<string, string>();

const CLOSE = { 'aria-label': say('notice.close') };

/**
 * Says what was done, and offers to undo it. Notices stack, latest last, and are read out; one replaces an earlier one of the same name.
 */
export function tellDone(says: string, undo?: () => Promise<unknown>, name?: string) {
    const earlier = name && named.get(name);
    if (earlier) notifications.hide(earlier);
    const id = notifications.show({
        autoClose: OFFERED,
        closeButtonProps: CLOSE,
        message: (
            <>
                {says} {undo && <Action onClick={() => void undone()}>{say('notice.undo')}</Action>}
            </>
        ),
    });
    if (name) named.set(name, id);
    const undone = async () => {
        notifications.hide(id);
        try {
            await undo?.();
            tellDone(say('notice.undone'));
        } catch (error) {
            notifications.show({
                autoClose: false,
                closeButtonProps: CLOSE,
                message: error instanceof Error ? error.message : String(error),
            });
        }
    };
}
