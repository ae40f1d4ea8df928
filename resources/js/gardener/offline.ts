import { KEPT } from './kept';

/** Pages loaded at a time. */
const AT_ONCE = 4;

/** Offers to keep the page's zone, and shows the progress. The texts are in the page, in its language. */
export function offerOffline({ document, navigator, caches, location }: Window & typeof globalThis) {
    const line = document.querySelector<HTMLElement>('.offline');
    const [keep, forget] = [
        line?.querySelector<HTMLButtonElement>('[data-keep]'),
        line?.querySelector<HTMLButtonElement>('[data-forget]'),
    ];
    const status = line?.querySelector<HTMLElement>('[role=status]');
    if (!line || !keep || !forget || !status || !('serviceWorker' in navigator) || caches === undefined) return;
    const base = line.dataset.base ?? '';
    const show = (kept: boolean) => {
        keep.hidden = kept;
        forget.hidden = !kept;
    };
    line.hidden = false;
    void caches.has(KEPT).then(async (any) => {
        const kept =
            any && (await (await caches.open(KEPT)).match(`${base}/this-week`, { ignoreSearch: true })) !== undefined;
        show(kept);
        status.textContent = kept ? (line.dataset.kept ?? '') : '';
    });
    keep.addEventListener('click', () => {
        keep.disabled = true;
        void keepZone(base, (done, all) => {
            status.textContent = (line.dataset.keeping ?? '')
                .replace('{done}', String(done))
                .replace('{all}', String(all));
        })
            .then(() => {
                status.textContent = line.dataset.kept ?? '';
                show(true);
            })
            .catch(() => (status.textContent = line.dataset.noRoom ?? ''))
            .finally(() => (keep.disabled = false));
    });
    forget.addEventListener('click', () => {
        void caches.delete(KEPT).then(async () => {
            for (const worker of await navigator.serviceWorker.getRegistrations()) await worker.unregister();
            status.textContent = '';
            show(false);
        });
    });

    async function keepZone(zone: string, tell: (done: number, all: number) => void) {
        const cache = await caches.open(KEPT);
        const year = await (await fetched(zone)).text();
        const page = new DOMParser().parseFromString(year, 'text/html');
        const crops = [...page.querySelectorAll('table.calendar th a')].map((a) => a.getAttribute('href') ?? '');
        const loaded = [
            ...document.querySelectorAll<HTMLLinkElement | HTMLScriptElement>('link[rel=stylesheet], script[src]'),
        ].map((e) => ('href' in e ? e.href : e.src));
        const fonts = performance.getEntriesByType('resource').map((entry) => entry.name);
        const weeks = Array.from({ length: 52 }, (_, i) => `${zone}/weeks/${i + 1}`);
        const all = [
            ...new Set([
                zone,
                `${zone}/this-week`,
                `${zone}/mine`,
                location.pathname + location.search,
                ...weeks,
                ...crops,
                ...loaded,
                ...fonts.filter((name) => name.includes('/build/')),
            ]),
        ];
        let done = 0;
        const left = [...all];
        const work = async () => {
            for (let next = left.shift(); next !== undefined; next = left.shift()) {
                await cache.put(next, await fetched(next));
                tell(++done, all.length);
            }
        };
        await Promise.all(Array.from({ length: AT_ONCE }, work));
        await navigator.serviceWorker.register('/worker.js');
    }
}

async function fetched(address: string): Promise<Response> {
    const response = await fetch(address);
    if (!response.ok) throw new Error(`${address}: ${response.status}`);
    return response;
}
