import { useCallback, useEffect, useState } from 'react';

import { tab } from '../api/tab';
import type { Done } from '../api/undoable';

const DRAFT = 'anthesis-draft:';

const name = (key: string) => `${DRAFT}${tab.office}:${key}`;

function read<T>(key: string): T | undefined {
    try {
        const text = sessionStorage.getItem(name(key));
        return text === null ? undefined : (JSON.parse(text) as T);
    } catch {
        return undefined;
    }
}

function write(key: string, value: unknown) {
    try {
        if (value === undefined) sessionStorage.removeItem(name(key));
        else sessionStorage.setItem(name(key), JSON.stringify(value));
    } catch {
        // A browser that stores nothing loses the draft with the page, as it always did.
    }
}

/**
 * What somebody is typing, kept in this tab until it is saved or discarded. It is still there after another screen, a reload, or a log-in
 * that ran out, and the browser warns before the page is closed.
 *
 * @param key what it is a draft of; another key is another draft
 * @param initial what is there before anything was typed
 * @return the draft, its setter, and how to discard it
 */
export function useKept<T>(key: string, initial: T): [T, (value: T) => void, () => void] {
    const [kept, setKept] = useState<{ key: string; value: T | undefined }>({ key, value: read<T>(key) });
    const value = kept.key === key ? kept.value : read<T>(key);
    const set = useCallback(
        (next: T) => {
            write(key, next);
            setKept({ key, value: next });
        },
        [key],
    );
    const forget = useCallback(() => {
        write(key, undefined);
        setKept({ key, value: undefined });
    }, [key]);
    useLeaveWarning(value !== undefined && JSON.stringify(value) !== JSON.stringify(initial));
    return [value ?? initial, set, forget];
}

/** Makes the browser ask before the page is closed or loaded again. */
function useLeaveWarning(unsaved: boolean) {
    useEffect(() => {
        if (!unsaved) return;
        const warn = (event: BeforeUnloadEvent) => event.preventDefault();
        window.addEventListener('beforeunload', warn);
        return () => window.removeEventListener('beforeunload', warn);
    }, [unsaved]);
}

declare module '@tanstack/react-query' {
    interface Register {
        /** `draft`: the key of the draft that this saves, and so discards */
        mutationMeta: {
            draft?: string;
            /** given the answer, what was sent, and the state before */
            done?: (saved: never, sent: never, before: never) => Done;
        };
    }
}

/**
 * Discards the draft that a request has saved. It does so right away, not once everything has loaded again, because somebody who has left
 * the screen by then would find the draft there again. A form that is still open shows what was typed until it discards it too.
 */
export function forgetDraft(key: string | undefined) {
    if (key !== undefined) write(key, undefined);
}

/** Discards all drafts: they are not for the next person at this desk. */
export function forgetDrafts() {
    try {
        for (const name of Object.keys(sessionStorage)) if (name.startsWith(DRAFT)) sessionStorage.removeItem(name);
    } catch {
        // Nothing is stored, so there is nothing to discard.
    }
}
