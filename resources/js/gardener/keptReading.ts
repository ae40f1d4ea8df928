/** How this reader wants pages: the beginning of addresses, "/es-f". The browser remembers it when they follow a link to it. */
const KEPT = 'anthesis-reading';

/** An address that starts with a reading: "/es/zones/…". */
const CHOSEN = /^\/[a-z]{2,3}(-f)?(\/|$)/;

/**
 * Remembers the chosen reading, and leads somebody who comes to an address without one from elsewhere to it.
 *
 * @returns whether the reader is being sent to another page
 */
export function keepReading({ document, localStorage, location, navigator }: Window): boolean {
    for (const link of document.querySelectorAll<HTMLAnchorElement>('a[data-reading]')) {
        link.addEventListener('click', () => keep(localStorage, link.dataset.reading ?? ''));
    }
    const kept = read(localStorage) ?? preferred(document, navigator);
    const fromOutside = document.referrer === '' || new URL(document.referrer).origin !== location.origin;
    if (kept === '' || !fromOutside || CHOSEN.test(location.pathname)) return false;
    const link = [...document.querySelectorAll<HTMLAnchorElement>('a[data-reading]')].find(
        (one) => one.dataset.reading === kept,
    );
    // Links beside the current language and units are shown; others are built from the address.
    if (document.querySelector('a[data-reading]') === null) return false;
    location.replace(link?.href ?? kept + (location.pathname === '/' ? '' : location.pathname) + location.search);
    return true;
}

/** The reading in the browser's language, if the page exists in it. Somebody who goes back has chosen, and stays. */
function preferred(document: Document, navigator: Navigator): string {
    const wanted = (navigator.languages?.[0] ?? navigator.language ?? '').slice(0, 2);
    if (wanted === '' || wanted === document.documentElement.lang) return '';
    const links = [...document.querySelectorAll<HTMLAnchorElement>('a[data-reading]')];
    return links.find((one) => one.hreflang === wanted)?.dataset.reading ?? '';
}

/** What was chosen; null: nothing yet. */
function read(storage: Storage): string | null {
    try {
        const kept = storage.getItem(KEPT);
        return kept === null || kept === '' || CHOSEN.test(kept) ? kept : null;
    } catch {
        return null;
    }
}

function keep(storage: Storage, reading: string) {
    try {
        storage.setItem(KEPT, reading);
    } catch {
        // A browser that stores nothing remembers no choice.
    }
}
