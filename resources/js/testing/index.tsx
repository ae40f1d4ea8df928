import { MantineProvider } from '@mantine/core';
import { Notifications, notifications } from '@mantine/notifications';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { vi } from 'vitest';
import { seenChanges } from '../ui/changes';
import type { Answers } from './contract';

export type { Answers, AnswerTo } from './contract';

export * from './samples';

export class Refused {
    constructor(
        readonly status: number,
        readonly body: {
            message: string;
            errors?: Record<string, string[]>;
            changed?: unknown[];
            columns?: string[];
        },
    ) {}
}

export type Asked = { what: string; body: unknown };

/** A server of canned answers, by "METHOD /path"; gives back what it was asked. */
export function fakeServer<const What extends string>(answers: Answers<What>): Asked[] {
    const asked: Asked[] = [];
    const known: Record<string, unknown> = answers;
    vi.stubGlobal('fetch', async (request: Request) => {
        const url = new URL(request.url);
        const what = `${request.method} ${url.pathname}`;
        const type = request.headers.get('Content-Type') ?? '';
        const body = request.method === 'GET' ? null : type.includes('json') ? await request.json() : 'a form';
        asked.push({ what: what + url.search, body });
        const found = known[what + url.search] ?? known[what];
        const answer = await (typeof found === 'function' ? (found as (body: unknown) => unknown)(body) : found);
        if (answer === undefined) return Response.json({ message: `Nobody answers ${what}.` }, { status: 404 });
        if (answer instanceof Refused) return Response.json(answer.body, { status: answer.status });
        return Response.json({ data: answer }, { status: request.method === 'POST' ? 201 : 200 });
    });
    return asked;
}

/** What jsdom does not have and Mantine asks for. */
export function asBrowser() {
    vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: () => {}, removeEventListener: () => {} }));
    vi.stubGlobal(
        'ResizeObserver',
        class {
            observe() {}
            unobserve() {}
            disconnect() {}
        },
    );
    Element.prototype.scrollIntoView = () => {};
    Object.defineProperty(document, 'fonts', {
        configurable: true,
        value: { addEventListener: () => {}, removeEventListener: () => {} },
    });
}

/** Shows a part of the desk with all it needs around it. */
export function show(element: ReactElement, at = '/desk', path = '*') {
    asBrowser();
    notifications.clean();
    const queries = new QueryClient({
        defaultOptions: { queries: { retry: false } },
        mutationCache: seenChanges(),
    });
    return render(
        <QueryClientProvider client={queries}>
            {/* jsdom holds every element against every rule there is, and nothing here reads Mantine's own. */}
            <MantineProvider env="test" withCssVariables={false} withGlobalClasses={false} withStaticClasses={false}>
                <Notifications />
                <MemoryRouter initialEntries={[at]}>
                    <Routes>
                        <Route path={path} element={element} />
                    </Routes>
                </MemoryRouter>
            </MantineProvider>
        </QueryClientProvider>,
    );
}
