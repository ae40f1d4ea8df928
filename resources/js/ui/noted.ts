import { useCallback, useSyncExternalStore } from 'react';

const NAME = 'anthesis-noted:';

const listeners = new Set<() => void>();

function read(key: string): string | null {
    try {
        return localStorage.getItem(NAME + key);
    } catch {
        return null;
    }
}

function listen(listener: () => void) {
    listeners.add(listener);
    window.addEventListener('storage', listener);
    return () => {
        listeners.delete(listener);
        window.removeEventListener('storage', listener);
    };
}

/** Notes something small in this browser, or deletes the note: that a panel was closed, or how far a tour has come. */
export function note(key: string, value: string | null) {
    try {
        if (value === null) localStorage.removeItem(NAME + key);
        else localStorage.setItem(NAME + key, value);
    } catch {
        // A browser that stores nothing shows the panel again next time.
    }
    for (const listener of listeners) listener();
}

/** What was noted under a key, and how to change it; every component that reads it follows. */
export function useNoted(key: string): [string | null, (value: string | null) => void] {
    const value = useSyncExternalStore(listen, () => read(key));
    const set = useCallback((next: string | null) => note(key, next), [key]);
    return [value, set];
}
