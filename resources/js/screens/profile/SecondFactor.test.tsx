import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show, type AnswerTo } from '../../testing';
import type { AccountData } from './queries';
import { SecondFactor } from './SecondFactor';

const account = (on: boolean, demanded = false): AccountData => ({
    name: 'Wren',
    email: 'wren@kestrel.example',
    new_email: null,
    second_factor: { on, demanded, recovery_codes: on ? 3 : 0 },
    logins: [],
});

const SECRET = { secret: 'GEZDGNBVGY3TQOJQ', address: 'otpauth://totp/K:w?secret=GEZDGNBVGY3TQOJQ&issuer=K' };

function open(
    with_: AccountData,
    confirm: AnswerTo<'PUT /api/profile/second-factor'> | Refused = { recovery_codes: ['abcde12345', 'fghij67890'] },
) {
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'POST /api/profile/second-factor': SECRET,
        'PUT /api/profile/second-factor': confirm,
        'DELETE /api/profile/second-factor': with_,
    });
    show(<SecondFactor account={with_} />);
    return asked;
}

async function type(code: string) {
    fireEvent.click(screen.getByRole('button', { name: 'Set up second step' }));
    fireEvent.change(await screen.findByLabelText(/Code the app shows/), { target: { value: code } });
    fireEvent.click(screen.getByRole('button', { name: 'Turn on' }));
}

describe('The second step', () => {
    it('is set up with a code to scan or a key to type, and shows its recovery codes once', async () => {
        const asked = open(account(false));
        await type('123 456');
        expect(await screen.findByText('fghij67890')).toBeTruthy();
        expect(asked.find(({ what }) => what.startsWith('PUT'))?.body).toEqual({ code: '123456' });
    });

    it('shows both the code to scan and the key', async () => {
        open(account(false));
        fireEvent.click(screen.getByRole('button', { name: 'Set up second step' }));
        expect(await screen.findByText('GEZD GNBV GY3T QOJQ')).toBeTruthy();
        expect(screen.getByRole('img', { name: 'Code to scan with your phone' })).toBeTruthy();
    });

    it('says why a code is refused and stays where it was', async () => {
        open(account(false), new Refused(422, { message: 'This code is wrong.' }));
        await type('000000');
        expect((await screen.findByRole('alert')).textContent).toBe('This code is wrong.');
        expect(screen.getByText('GEZD GNBV GY3T QOJQ')).toBeTruthy();
    });

    it('is turned off with the password, unless the office asks for it', async () => {
        const asked = open(account(true));
        expect(screen.getByText(/You have 3 recovery codes left/)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Turn off second step' }));
        fireEvent.change(screen.getByLabelText(/Current password/), { target: { value: 'mine' } });
        fireEvent.submit(screen.getByRole('form', { name: 'Turn off second step' }));
        await screen.findByRole('form');
        expect(asked.find(({ what }) => what.startsWith('DELETE'))?.body).toEqual({ current_password: 'mine' });
    });

    it('cannot be turned off where everybody needs it', () => {
        open(account(true, true));
        expect(screen.queryByRole('button', { name: 'Turn off second step' })).toBeNull();
    });
});
