import { useEffect, useRef } from 'react';

const OFF = 'anthesis-keys-off';

/** Whether single-letter keys do something. People who speak to their computer, or whose hands shake, turn them off. */
export function keysAreOn(): boolean {
    try {
        return localStorage.getItem(OFF) === null;
    } catch {
        return true;
    }
}

export function switchKeys(on: boolean) {
    try {
        if (on) localStorage.removeItem(OFF);
        else localStorage.setItem(OFF, '1');
    } catch {
        // A browser that stores nothing remembers no choice.
    }
}

/** Keys by name ("j", "[", "Escape", "g w" for two in a row) and what each does. */
export type Keys = Record<string, () => void>;

/** Listens for keys while the component is shown; never while someone is typing. */
export function useKeys(keys: Keys) {
    const current = useRef(keys);
    const prefix = useRef<string | null>(null);
    useEffect(() => {
        current.current = keys;
    });
    useEffect(() => {
        const listen = (event: KeyboardEvent) => {
            if (event.ctrlKey || event.metaKey || event.altKey) return;
            const typing =
                event.target instanceof HTMLElement &&
                event.target.closest('input, textarea, select, [contenteditable]');
            if (typing && event.key !== 'Escape') return;
            if (event.key.length === 1 && !keysAreOn()) return;
            const name = prefix.current === null ? event.key : `${prefix.current} ${event.key}`;
            prefix.current = null;
            const act = current.current[name];
            if (act) {
                event.preventDefault();
                act();
            } else if (Object.keys(current.current).some((key) => key.startsWith(`${event.key} `))) {
                prefix.current = event.key;
            }
        };
        window.addEventListener('keydown', listen);
        return () => window.removeEventListener('keydown', listen);
    }, []);
}
