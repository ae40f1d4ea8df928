/** How this reader wants pages read: what addresses begin with, "/es-f"; kept by the browser when a link to it is followed. */
const KEPT = 'anthesis-reading';

/** An address that begins with a reading: "/es/zones/…". */
const CHOSEN = /^\/[a-z]{2,3}(-f)?(\/|$)/;

/**
 * Keeps the reading that is chosen, and leads to it who comes to an address without one from outside.
 *
 * @returns whether the reader is being led elsewhere
 */
export function keepReading({ document, localStorage, location }: Window): boolean {
    for (const link of document.querySelectorAll<HTMLAnchorElement>('a[data-reading]')) {
        link.addEventListener('click', () => keep(localStorage, link.dataset.reading ?? ''));
    }
    const kept = read(localStorage);
    const fromOutside = document.referrer === '' || new URL(document.referrer).origin !== location.origin;
    if (kept === '' || !fromOutside || CHOSEN.test(location.pathname)) return false;
    const link = [...document.querySelectorAll<HTMLAnchorElement>('a[data-reading]')].find(
        (one) => one.dataset.reading === kept,
    );
    // Links beside the present language and units are shown; another one of both is built from the address.
    if (document.querySelector('a[data-reading]') === null) return false;
    location.replace(link?.href ?? kept + (location.pathname === '/' ? '' : location.pathname) + location.search);
    return true;
}

function read(storage: Storage): string {
    try {
        const kept = storage.getItem(KEPT) ?? '';
        return kept === '' || CHOSEN.test(kept) ? kept : '';
    } catch {
        return '';
    }
}

function keep(storage: Storage, reading: string) {
    try {
        storage.setItem(KEPT, reading);
    } catch {
        // A browser that keeps nothing keeps no choice.
    }
}
