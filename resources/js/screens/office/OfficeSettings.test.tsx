import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { ADMINISTRATOR, EDUCATOR, fakeServer, OFFICE, show } from '../../testing';
import { OfficeSettings } from './OfficeSettings';

const outbox = {
    simulated: true,
    readers: 2,
    mails: [
        { id: 1, recipient: 'a@b.example', subject: 'This week', message: 'Sow kale.', at: '2026-04-18T06:00:00Z' },
    ],
};
const answers = { 'GET /api/session': EDUCATOR, 'GET /api/office': OFFICE, 'GET /api/outbox': outbox };

describe('the office', () => {
    it('is changed on the version it was read at', async () => {
        const asked = fakeServer({
            ...answers,
            'GET /api/session': ADMINISTRATOR,
            'PUT /api/office': { ...OFFICE, version: 4 },
        });
        show(<OfficeSettings />);
        const save = (await screen.findByText('Save')).closest('button') as HTMLButtonElement;
        expect(save.disabled).toBe(true);
        fireEvent.click(screen.getByLabelText(/Editions need a second signature/));
        fireEvent.change(screen.getByLabelText('E-mail address'), { target: { value: '' } });
        fireEvent.click(save);
        await waitFor(() =>
            expect(asked.find((a) => a.what === 'PUT /api/office')?.body).toEqual({
                ...OFFICE,
                mail: null,
                second_signature: true,
            }),
        );
    });

    it('says how it is seen, and in which languages', async () => {
        const asked = fakeServer({ ...answers, 'PUT /api/office': { ...OFFICE, version: 4 } });
        show(<OfficeSettings />);
        const spanish = (await screen.findByLabelText('Spanish')) as HTMLInputElement;
        expect(spanish.checked).toBe(true);
        fireEvent.click(spanish);
        fireEvent.change(screen.getByLabelText(/^Color of its mark/), { target: { value: 'plum' } });
        fireEvent.change(screen.getByLabelText(/^Confidence of new zones/), { target: { value: 'cautious' } });
        fireEvent.click(screen.getByText('Save'));
        const body = () => asked.find((a) => a.what === 'PUT /api/office')?.body;
        await waitFor(() => expect(body()).toEqual({ ...OFFICE, languages: [], mark: 'plum', standard: 'cautious' }));
    });

    it('leaves the second signature to an administrator, and says who changed it last', async () => {
        fakeServer({
            ...answers,
            'GET /api/office': { ...OFFICE, signature_changed: { by: 'Ines', at: '2026-04-12T08:00:00+00:00' } },
        });
        show(<OfficeSettings />);
        const box = (await screen.findByLabelText(/Editions need a second signature/)) as HTMLInputElement;
        await waitFor(() => expect((screen.getByLabelText('E-mail address') as HTMLInputElement).disabled).toBe(false));
        expect(box.disabled).toBe(true);
        expect(screen.getByText(/Only an administrator can change this. Last changed by Ines on/)).toBeTruthy();
    });

    it('shows what would have been sent to those who may read mail', async () => {
        fakeServer(answers);
        show(<OfficeSettings />);
        expect(await screen.findByText(/2 people get the e-mail newsletter/)).toBeTruthy();
        expect(screen.getByText(/nothing is sent/)).toBeTruthy();
        expect(screen.getByText('Sow kale.')).toBeTruthy();
    });
});
