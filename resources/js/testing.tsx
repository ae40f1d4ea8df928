import { MantineProvider } from '@mantine/core';
import { Notifications, notifications } from '@mantine/notifications';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { MemoryRouter, Route, Routes } from 'react-router';
import { vi } from 'vitest';
import { seenChanges } from './ui/changes';

/** What a test has the server answer: data, or a refusal, by "METHOD /path". */
export type Answers = Record<string, unknown>;

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

/** A server of canned answers; gives back what it was asked. An answer may be worked out from the body that was sent, and may be late. */
export function fakeServer(answers: Answers): Asked[] {
    const asked: Asked[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
        const url = new URL(request.url);
        const what = `${request.method} ${url.pathname}`;
        const type = request.headers.get('Content-Type') ?? '';
        const body = request.method === 'GET' ? null : type.includes('json') ? await request.json() : 'a form';
        asked.push({ what: what + url.search, body });
        const found = answers[what + url.search] ?? answers[what];
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
            <MantineProvider env="test">
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

export const EDUCATOR = {
    today: '2026-04-20',
    demonstration: null,
    waits_for_code: false,
    user: {
        name: 'Wren',
        email: 'wren@kestrel.example',
        role: 'educator',
        units: 'metric',
        dates: 'day',
        chosen: { units: null, dates: null, language: null },
        languages: ['en', 'es'],
        home_zone: null,
        digest: false,
        must_set_second_factor: false,
        office: { slug: 'kestrel-basin', name: 'Kestrel Basin Extension' },
        offices: [
            {
                slug: 'kestrel-basin',
                name: 'Kestrel Basin Extension',
                role: 'educator',
                zones: [{ slug: 'basin-floor', name: 'Basin Floor' }],
            },
        ],
        can: ['edit-zones', 'edit-sites', 'edit-crops', 'publish', 'sign', 'edit-office', 'read-mail'],
    },
};

export const ADMINISTRATOR = {
    ...EDUCATOR,
    user: {
        name: 'Ines',
        email: 'ines@kestrel.example',
        role: 'administrator',
        units: 'metric',
        dates: 'day',
        chosen: { units: null, dates: null, language: null },
        languages: ['en', 'es'],
        home_zone: null,
        digest: false,
        must_set_second_factor: false,
        office: { slug: 'kestrel-basin', name: 'Kestrel Basin Extension' },
        offices: [{ slug: 'kestrel-basin', name: 'Kestrel Basin Extension', role: 'administrator', zones: [] }],
        can: ['edit-office', 'change-signature', 'read-mail', 'manage-people'],
    },
};
