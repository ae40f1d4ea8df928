/** Where a browser keeps the log's page and what it loads. */
export const CACHE = 'anthesis-log';

/** How long to wait for a slow network, seconds. */
export const PATIENCE_S = 4;

/** Keeps the log's page, so it opens offline from now on. A browser that cannot do that continues as before. */
export async function keepForOffline() {
    if (!('serviceWorker' in navigator) || !('caches' in window)) return;
    await navigator.serviceWorker.register('/log-worker.js', { scope: '/log' });
    const loaded = performance
        .getEntriesByType('resource')
        .map((entry) => entry.name)
        .filter((name) => name.includes('/build/'));
    const cache = await caches.open(CACHE);
    await cache.addAll([...new Set(['/log', ...loaded])]);
}
