import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';

/** Puts the keyboard at the beginning of the screen. */
function toScreen() {
    const main = document.querySelector('main');
    if (!main) return;
    main.tabIndex = -1;
    main.focus({ preventScroll: true });
}

/**
 * Whoever uses the keyboard never loses their place: on another screen it is at the screen's beginning, and where the field or
 * button it was on goes away (a form that was saved) it is there again instead of nowhere.
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
            // A button that was pressed and can be pressed no more: the keyboard stays in its form.
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
            // A screen is drawn once its data has come; until then there is nowhere to be.
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
