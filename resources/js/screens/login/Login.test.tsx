import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { asBrowser, EDUCATOR, fakeServer, Refused, show } from '../../testing';
import { readIn, units } from '../../words/words';
import { Login } from './Login';

function logIn() {
    fireEvent.change(screen.getByLabelText(/E-mail/), { target: { value: 'wren@kestrel.example' } });
    fireEvent.change(screen.getByLabelText(/^Password/), { target: { value: 'kestrel-demo' } });
    fireEvent.submit(screen.getByRole('form'));
}

describe('logging in', () => {
    it.each([
        [
            '/desk/login?to=%2Fdesk%2Fzones%2Fbench%2Fplanting-windows%3Fcrop%3Dkale',
            '/desk/zones/bench/planting-windows?crop=kale',
        ],
        ['/desk/login?to=https%3A%2F%2Fevil.example', '/desk'],
        ['/desk/login?to=%2F%2Fevil.example', '/desk'],
        ['/desk/login?to=%2Fdesk%2Flogin', '/desk'],
        ['/desk/login', '/desk'],
    ])('leads from %s to where one wanted to go', async (at, to) => {
        fakeServer({ 'POST /api/session': EDUCATOR });
        asBrowser();
        const Where = () => <p>at {useLocation().pathname + useLocation().search}</p>;
        render(
            <QueryClientProvider client={new QueryClient()}>
                <MantineProvider env="test">
                    <MemoryRouter initialEntries={[at]}>
                        <Routes>
                            <Route path="/desk/login" element={<Login />} />
                            <Route path="*" element={<Where />} />
                        </Routes>
                    </MemoryRouter>
                </MantineProvider>
            </QueryClientProvider>,
        );
        logIn();
        await screen.findByText(`at ${to}`);
    });

    it('leads to the zones', async () => {
        const asked = fakeServer({ 'POST /api/session': EDUCATOR });
        show(<Login />, '/desk/login', '/desk/login');
        logIn();
        await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
        expect(asked[0]?.body).toEqual({ email: 'wren@kestrel.example', password: 'kestrel-demo' });
    });

    it('reads from then on in the units of the one who logged in', async () => {
        fakeServer({ 'POST /api/session': { ...EDUCATOR, user: { ...EDUCATOR.user, units: 'us', dates: 'month' } } });
        show(<Login />, '/desk/login', '/desk/login');
        logIn();
        await waitFor(() => expect(units()).toBe('us'));
        readIn('metric', 'day');
    });

    it('asks for the code where there is a second step, and leads on after it', async () => {
        const asked = fakeServer({
            'POST /api/session': { ...EDUCATOR, user: null, waits_for_code: true },
            'POST /api/session/code': EDUCATOR,
        });
        show(<Login />, '/desk/login', '/desk/login');
        logIn();
        fireEvent.change(await screen.findByLabelText(/^Code/), { target: { value: '123456' } });
        expect(screen.queryByLabelText(/^Password/)).toBeNull();
        fireEvent.submit(screen.getByRole('form'));
        await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
        expect(asked[1]).toEqual({ what: 'POST /api/session/code', body: { code: '123456' } });
    });

    it('says why it was refused', async () => {
        fakeServer({
            'POST /api/session': new Refused(422, { message: 'E-mail address and password do not belong together.' }),
        });
        show(<Login />, '/desk/login', '/desk/login');
        logIn();
        expect((await screen.findByRole('alert')).textContent).toContain('do not belong together');
    });

    it('says that no answer came', async () => {
        fakeServer({});
        vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
        show(<Login />, '/desk/login', '/desk/login');
        logIn();
        expect((await screen.findByRole('alert')).textContent).toContain('The server does not answer');
    });
});
