import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show, ZONE } from '../../testing';
import { Profile } from './Profile';

const ACCOUNT = { name: 'Wren', email: 'wren@kestrel.example', new_email: null, logins: [] };

describe('The profile', () => {
    it('opens with nothing but the second step where the office asks for one that is not set up', async () => {
        fakeServer({
            'GET /api/session': { ...EDUCATOR, user: { ...EDUCATOR.user, must_set_second_factor: true } },
            'GET /api/zones': new Refused(403, { message: 'Set it up first.' }),
            'GET /api/profile/account': {
                ...ACCOUNT,
                second_factor: { on: false, demanded: true, recovery_codes: 0 },
            },
        });
        show(<Profile />);
        expect(await screen.findByText(/Your office asks everybody for a second step/)).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Set up second step' })).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Log out' })).toBeTruthy();
        expect(screen.queryByLabelText('Units')).toBeNull();
        expect(screen.queryByText('Tokens for programs')).toBeNull();
    });

    it('shows the log-ins used last, and the others when asked', async () => {
        const login = (id: number) => ({
            id,
            device: `Browser ${id}`,
            since: '2026-05-01',
            seen: '2026-05-10',
            here: id === 1,
        });
        fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones': [],
            'GET /api/profile/account': {
                ...ACCOUNT,
                logins: Array.from({ length: 9 }, (_, i) => login(i + 1)),
                second_factor: { on: false, demanded: false, recovery_codes: 0 },
            },
            'GET /api/profile/tokens': [],
        });
        show(<Profile />);
        expect(await screen.findByText(/Browser 6/)).toBeTruthy();
        expect(screen.queryByText(/Browser 7/)).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'and 3 more' }));
        expect(screen.getByText(/Browser 9/)).toBeTruthy();
        expect(screen.queryByText('and 3 more')).toBeNull();
    });

    it('saves a name, and undoes it', async () => {
        let name = 'Wren';
        const account = () => ({ ...ACCOUNT, name, second_factor: { on: false, demanded: false, recovery_codes: 0 } });
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones': [],
            'GET /api/profile/account': account,
            'GET /api/profile/tokens': [],
            'PUT /api/profile/name': (body: { name: string }) => {
                name = body.name;
                return account();
            },
        });
        show(<Profile />);
        fireEvent.change(await screen.findByLabelText('Your name'), { target: { value: 'Wren Holt' } });
        fireEvent.click(screen.getByRole('button', { name: 'Save name' }));
        expect(await screen.findByText(/Saved: Wren Holt\./)).toBeTruthy();
        fireEvent.click(screen.getByText('Undo'));
        expect(await screen.findByText('Undone.')).toBeTruthy();
        expect(asked.filter(({ what }) => what.startsWith('PUT')).map(({ body }) => body)).toEqual([
            { name: 'Wren Holt' },
            { name: 'Wren' },
        ]);
        expect((screen.getByLabelText('Your name') as HTMLInputElement).value).toBe('Wren');
    });

    it('offers to undo what was chosen, after the page has loaded again', async () => {
        const before = { units: null, dates: 'day', language: null, home_zone: null, digest: false };
        sessionStorage.setItem('anthesis-profile-before', JSON.stringify(before));
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones': [],
            'GET /api/profile/account': {
                ...ACCOUNT,
                second_factor: { on: false, demanded: false, recovery_codes: 0 },
            },
            'GET /api/profile/tokens': [],
            'PUT /api/profile': EDUCATOR,
        });
        show(<Profile />);
        expect(await screen.findByText(/Your choices are saved\./)).toBeTruthy();
        fireEvent.click(screen.getByText('Undo'));
        await waitFor(() => expect(asked.find(({ what }) => what === 'PUT /api/profile')?.body).toEqual(before));
        expect(sessionStorage.getItem('anthesis-profile-before')).toBeNull();
    });

    it('else has all of it', async () => {
        fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones': [ZONE],
            'GET /api/profile/account': {
                ...ACCOUNT,
                second_factor: { on: false, demanded: false, recovery_codes: 0 },
            },
            'GET /api/profile/tokens': [],
        });
        show(<Profile />);
        expect(await screen.findByText('Tokens for programs')).toBeTruthy();
        expect(screen.getByLabelText('Units')).toBeTruthy();
        expect(await screen.findByRole('option', { name: 'Bench' })).toBeTruthy();
    });
});
