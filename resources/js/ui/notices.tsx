import { notifications } from '@mantine/notifications';
import { Action } from './Action';
import { say } from '../words/words';

/** How long what was done can be undone from its notice, ms: reading it and reaching for it takes people a while. */
const OFFERED = 15_000;

const CLOSE = { 'aria-label': say('notice.close') };

/**
 * Says what was done, and offers to undo it. Notices stack, the latest last, and are read out; one takes the place of an earlier one of
 * the same name.
 */
export function tellDone(says: string, undo?: () => Promise<unknown>, name?: string) {
    if (name) notifications.hide(name);
    const id = notifications.show({
        id: name,
        autoClose: OFFERED,
        closeButtonProps: CLOSE,
        message: (
            <>
                {says} {undo && <Action onClick={() => void undone()}>{say('notice.undo')}</Action>}
            </>
        ),
    });
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
