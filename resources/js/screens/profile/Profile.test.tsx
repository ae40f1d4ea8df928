import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show } from '../../testing';
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

    it('else has all of it', async () => {
        fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones': [{ slug: 'bench', name: 'Bench' }],
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
