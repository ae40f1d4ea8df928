import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show } from '../../testing';
import { Login } from './Login';

function logIn() {
    fireEvent.change(screen.getByLabelText(/E-mail/), { target: { value: 'wren@kestrel.example' } });
    fireEvent.change(screen.getByLabelText(/^Password/), { target: { value: 'kestrel-demo' } });
    fireEvent.submit(screen.getByRole('form'));
}

describe('logging in', () => {
    it('leads to the zones', async () => {
        const asked = fakeServer({ 'POST /api/session': EDUCATOR });
        show(<Login />, '/desk/login', '/desk/login');
        logIn();
        await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
        expect(asked[0]?.body).toEqual({ email: 'wren@kestrel.example', password: 'kestrel-demo' });
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
