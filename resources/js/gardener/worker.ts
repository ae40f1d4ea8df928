import { CacheableResponsePlugin } from 'workbox-cacheable-response';
import { ExpirationPlugin } from 'workbox-expiration';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { KEPT, MOST_PAGES, PATIENCE_S } from './kept';

// Serves a zone that its reader keeps, when offline. When online, pages come from the network and are kept again.

const whole = new CacheableResponsePlugin({ statuses: [200] });

registerRoute(
    ({ request, url }) =>
        request.mode === 'navigate' &&
        url.origin === location.origin &&
        /^(\/[a-z]{2,3}(-f)?)?\/zones\//.test(url.pathname) &&
        !url.pathname.includes('/paper/'),
    new NetworkFirst({
        cacheName: KEPT,
        networkTimeoutSeconds: PATIENCE_S,
        plugins: [whole, new ExpirationPlugin({ maxEntries: MOST_PAGES, purgeOnQuotaError: true })],
    }),
);

// Styles, scripts, and fonts have a hash of their content in their name.
registerRoute(
    ({ url }) => url.origin === location.origin && url.pathname.startsWith('/build/'),
    new CacheFirst({ cacheName: KEPT, plugins: [whole] }),
);
