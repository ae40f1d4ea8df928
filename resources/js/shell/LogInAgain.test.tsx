import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { loggedInAgain } from '../api/again';
import { api, unwrap } from '../api/client';
import { EDUCATOR, fakeServer, Refused, show } from '../testing';
import { LogInAgain } from './LogInAgain';

const lost = new Refused(401, { message: 'Nobody is logged in.' });
const nobody = { ...EDUCATOR, user: null };
const save = () =>
    unwrap(api.PUT('/api/prices/{crop}', { params: { path: { crop: 'kale' } }, body: { price: 3 } as never }));

describe('a log-in that ran out', () => {
    it('is asked for on the spot, and then what was done is sent again', async () => {
        let inside = false;
        const asked = fakeServer({
            'GET /api/session': () => (inside ? EDUCATOR : nobody),
            'POST /api/session': () => {
                inside = true;
                return EDUCATOR;
            },
            'PUT /api/prices/kale': () => (inside ? { crop: 'kale', price: 3 } : lost),
        });
        show(<LogInAgain user={EDUCATOR.user} />);
        const saved = save();
        fireEvent.change(await screen.findByLabelText(/Password/, { selector: 'input' }), {
            target: { value: 'secret' },
        });
        expect(screen.getByText(/Enter the password of wren@kestrel.example/)).toBeTruthy();
        fireEvent.submit(screen.getByRole('form', { name: 'Log in again' }));
        expect(await saved).toEqual({ crop: 'kale', price: 3 });
        const puts = asked.filter(({ what }) => what.startsWith('PUT'));
        expect(puts.map(({ body }) => body)).toEqual([{ price: 3 }, { price: 3 }]);
    });

    it('of the page alone costs nothing: with a new token the request goes again by itself', async () => {
        let tries = 0;
        fakeServer({
            'GET /api/session': EDUCATOR,
            'PUT /api/prices/kale': () =>
                ++tries === 1 ? new Refused(419, { message: 'CSRF' }) : { crop: 'kale', price: 3 },
        });
        show(<LogInAgain user={EDUCATOR.user} />);
        expect(await save()).toEqual({ crop: 'kale', price: 3 });
        expect(screen.queryByRole('form')).toBeNull();
    });

    it('sends nothing as somebody else who logged in meanwhile, and nothing where one cancels', async () => {
        const other = { ...EDUCATOR, user: { ...EDUCATOR.user, email: 'tobias@kestrel.example' } };
        const asked = fakeServer({ 'GET /api/session': other, 'PUT /api/prices/kale': lost });
        show(<LogInAgain user={EDUCATOR.user} />);
        const saved = save().catch((error: Error) => error.message);
        fireEvent.click(await screen.findByText('Cancel'));
        expect(await saved).toBe('Nobody is logged in.');
        expect(asked.filter(({ what }) => what.startsWith('PUT'))).toHaveLength(1);
    });

    it('asks nobody where nobody works', async () => {
        const { unmount } = show(<LogInAgain user={EDUCATOR.user} />);
        unmount();
        await waitFor(async () => expect(await loggedInAgain()).toBe(false));
    });
});
