/** A reader's crops and zone, kept only in their browser; an address with ?crops= is for sharing. */
const CROPS = 'anthesis-crops';
const ZONE = 'anthesis-zone';

/** Remembers the crops and the zone read last, and makes "My crops" and the first page lead to them. */
export function keepOwn({ document, localStorage, location }: Window) {
    const zone = /\/zones\/([a-z0-9-]+)/.exec(location.pathname)?.[1];
    const asked = new URLSearchParams(location.search).get('crops');
    if (zone !== undefined && location.pathname.endsWith('/mine') && asked)
        put(localStorage, `${CROPS}-${zone}`, asked);
    if (zone !== undefined) {
        put(localStorage, ZONE, JSON.stringify({ zone, name: document.querySelector('.top .zone')?.textContent }));
        const crops = get(localStorage, `${CROPS}-${zone}`);
        for (const link of document.querySelectorAll<HTMLAnchorElement>('a[data-mine]')) {
            if (crops && /^[a-z0-9,-]+$/.test(crops)) link.search = `?crops=${crops}`;
        }
    }
    showZone(document, get(localStorage, ZONE));
}

/** The zone read last, on the page where zones are found. */
function showZone(page: Document, kept: string | null) {
    const line = page.querySelector<HTMLElement>('.last-zone');
    const link = line?.querySelector('a');
    if (!line || !link || kept === null) return;
    try {
        const { zone, name } = JSON.parse(kept) as { zone: unknown; name: unknown };
        if (typeof zone !== 'string' || typeof name !== 'string' || !/^[a-z0-9-]+$/.test(zone)) return;
        link.href = link.href.replace('~zone~', zone);
        link.textContent = name;
        line.hidden = false;
    } catch {
        // What is stored there is not ours.
    }
}

function get(storage: Storage, name: string): string | null {
    try {
        return storage.getItem(name);
    } catch {
        return null;
    }
}

function put(storage: Storage, name: string, value: string) {
    try {
        storage.setItem(name, value);
    } catch {
        // A browser that stores nothing remembers no choice.
    }
}
