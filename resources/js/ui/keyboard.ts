import { useEffect, useRef } from 'react';

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
