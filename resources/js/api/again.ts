type Asking = { email: string; ask: () => Promise<boolean> };

let asking: Asking | null = null;
let underWay: Promise<boolean> | null = null;

/** Registers who works here, and how to ask them to log in again. Returns a function that unregisters it. */
export function whenLoggedOut(email: string, ask: () => Promise<boolean>): () => void {
    const mine = { email, ask };
    asking = mine;
    return () => {
        if (asking === mine) asking = null;
    };
}

/** Asks the person to log in again, once, however many requests are waiting. Resolves to whether they did. */
export async function loggedInAgain(): Promise<boolean> {
    if (!asking) return false;
    underWay ??= asking.ask().finally(() => {
        underWay = null;
    });
    return underWay;
}

/** The header with which the server knows that a request comes from its own page. */
export function withToken(request: Request): Request {
    const cookie = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='));
    if (cookie) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)));
    return request;
}

/** Whether the person is logged in after all, with a new token; if not, asks them. */
async function isBack(): Promise<boolean> {
    if (!asking) return false;
    const answer = await globalThis.fetch(
        new Request(`${window.location.origin}/api/session`, { headers: { Accept: 'application/json' } }),
    );
    const session = answer.ok ? ((await answer.json()) as { data?: { user?: { email: string } | null } }) : {};
    // Somebody else may have logged in on another page in the meantime: nothing is sent as theirs.
    return session.data?.user?.email === asking.email || loggedInAgain();
}

/** Sends a request. If the log-in ran out in the meantime, the person logs in on the spot and it is sent again. */
export async function sent(request: Request): Promise<Response> {
    const again = request.clone();
    const response = await globalThis.fetch(request);
    const isOver = response.status === 419 || response.status === 401;
    if (!isOver || new URL(request.url).pathname === '/api/session' || !(await isBack())) return response;
    return globalThis.fetch(withToken(again));
}
