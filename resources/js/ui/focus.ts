import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';

/** Moves keyboard focus to the start of the screen. */
function toScreen() {
    const main = document.querySelector('main');
    if (!main) return;
    main.tabIndex = -1;
    main.focus({ preventScroll: true });
}

/**
 * Keyboard focus is never lost. On another screen it goes to the start; if the field or button it was on disappears (a form that was
 * saved), it returns there instead of going nowhere.
 */
export function useKeptFocus() {
    const { pathname } = useLocation();
    const arriving = useRef(true);
    useEffect(() => {
        arriving.current = true;
    }, [pathname]);
    useEffect(() => {
        let last: Element | null = null;
        const note = (event: FocusEvent) => {
            last = event.target as Element;
            arriving.current = false;
        };
        const look = () => {
            const lost = last !== null && !last.isConnected;
            // A button that was pressed and is now disabled: focus stays in its form.
            if (
                last instanceof HTMLButtonElement &&
                last.isConnected &&
                last.disabled &&
                document.activeElement === document.body
            ) {
                const near = last.closest<HTMLElement>('form, section, main');
                if (near) {
                    near.tabIndex = -1;
                    near.focus({ preventScroll: true });
                }
                return;
            }
            if (document.activeElement !== document.body || !(lost || arriving.current)) return;
            // A screen is drawn once its data has arrived; until then, there is nowhere to go.
            if (document.querySelector('main') !== null) toScreen();
        };
        const watch = new MutationObserver(look);
        document.addEventListener('focusin', note);
        watch.observe(document.body, {
            childList: true,
            subtree: true,
            attributes: true,
            attributeFilter: ['disabled'],
        });
        look();
        return () => {
            document.removeEventListener('focusin', note);
            watch.disconnect();
        };
    }, []);
}
