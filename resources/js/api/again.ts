type Asking = { email: string; ask: () => Promise<boolean> };

let asking: Asking | null = null;
let underWay: Promise<boolean> | null = null;

/** Says who works here, and how they are asked to log in again. Gives back how to take that back. */
export function whenLoggedOut(email: string, ask: () => Promise<boolean>): () => void {
    const mine = { email, ask };
    asking = mine;
    return () => {
        if (asking === mine) asking = null;
    };
}

/** Has whoever works here log in again, once however many requests wait for it. Answers whether they did. */
export async function loggedInAgain(): Promise<boolean> {
    if (!asking) return false;
    underWay ??= asking.ask().finally(() => {
        underWay = null;
    });
    return underWay;
}

/** What a request is sent with, so that the server knows it is from its own page. */
export function withToken(request: Request): Request {
    const cookie = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='));
    if (cookie) request.headers.set('X-XSRF-TOKEN', decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)));
    return request;
}

/** Whether the one who works here is logged in after all, with a new token; if not, they are asked. */
async function isBack(): Promise<boolean> {
    if (!asking) return false;
    const answer = await globalThis.fetch(
        new Request(`${window.location.origin}/api/session`, { headers: { Accept: 'application/json' } }),
    );
    const session = answer.ok ? ((await answer.json()) as { data?: { user?: { email: string } | null } }) : {};
    // Somebody else may have logged in on another page meanwhile: nothing is sent as theirs.
    return session.data?.user?.email === asking.email || loggedInAgain();
}

/** Sends a request; where the log-in ran out meanwhile, one logs in on the spot and it is sent again. */
export async function sent(request: Request): Promise<Response> {
    const again = request.clone();
    const response = await globalThis.fetch(request);
    const isOver = response.status === 419 || response.status === 401;
    if (!isOver || new URL(request.url).pathname === '/api/session' || !(await isBack())) return response;
    return globalThis.fetch(withToken(again));
}
