import { CacheableResponsePlugin } from 'workbox-cacheable-response';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';
import { CACHE, PATIENCE_S } from './offline';

// Opens the log offline. What is written waits in the page's own store, not here.

const whole = new CacheableResponsePlugin({ statuses: [200] });

registerRoute(
    ({ request, url }) => request.mode === 'navigate' && url.origin === location.origin && url.pathname === '/log',
    new NetworkFirst({ cacheName: CACHE, networkTimeoutSeconds: PATIENCE_S, plugins: [whole] }),
);

// Styles, scripts, and fonts have a hash of their content in their name.
registerRoute(
    ({ url }) => url.origin === location.origin && url.pathname.startsWith('/build/'),
    new CacheFirst({ cacheName: CACHE, plugins: [whole] }),
);
