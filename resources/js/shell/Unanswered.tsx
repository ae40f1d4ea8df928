import { useSyncExternalStore } from 'react';
import { say } from '../words/words';

let isUnanswered = false;
const listeners = new Set<() => void>();

/** Notes whether the server answers. */
export function unanswered(is: boolean) {
    if (is === isUnanswered) return;
    isUnanswered = is;
    for (const listener of listeners) listener();
}

function subscribe(listener: () => void) {
    listeners.add(listener);
    return () => listeners.delete(listener);
}

/** Says on every screen that the server does not answer, as long as that is so. */
export function Unanswered() {
    const is = useSyncExternalStore(subscribe, () => isUnanswered);
    return is ? (
        <p role="alert" className="unanswered">
            {say('main.the-server-does-not-answer')}
        </p>
    ) : null;
}
