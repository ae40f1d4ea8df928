import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { EDUCATOR, fakeServer, Refused, show, SITE, ZONE } from '../../testing';
import { Sites } from './Sites';

const numbers = { air: 0, sun: 2, rate: 1, protection: 0, offset: 0 };
const raised: Schema['Site'] = {
    ...SITE,
    preset: true,
    name: 'raised bed',
    ground: 'bed mix',
    first_numbers: numbers,
    ...numbers,
    sun: 4.5,
};
const sites: Schema['Site'][] = [
    { ...SITE, id: 1, name: 'open ground', preset: true, first_numbers: numbers, ...numbers },
    raised,
    { ...SITE, id: 3, name: 'school bed', zone: 'bench', note: 'Windy.', ...numbers },
];
const answers = {
    'GET /api/session': EDUCATOR,
    'GET /api/sites': sites,
    'GET /api/zones': [{ ...ZONE, name: 'Orchard Bench' }],
};

describe('sites', () => {
    it('stand with their numbers, what a changed one was at first, and where they are', async () => {
        fakeServer(answers);
        show(<Sites />);
        const row = (await screen.findByText('raised bed')).closest('tr') as HTMLElement;
        expect(within(row).getByText('originally 2')).toBeTruthy();
        expect(within(row).getByText('every zone')).toBeTruthy();
        expect(within(row).getByText('Bed mix')).toBeTruthy();
        expect(await screen.findByText('Orchard Bench')).toBeTruthy();
        expect(within(row).queryByText('Delete')).toBeNull();
    });

    it('are changed, put back to their first numbers, and saved', async () => {
        const asked = fakeServer({ ...answers, 'PATCH /api/sites/2': raised });
        show(<Sites />);
        const row = (await screen.findByText('raised bed')).closest('tr') as HTMLElement;
        fireEvent.click(within(row).getByText('Edit'));
        expect((screen.getByLabelText(/^Name/) as HTMLInputElement).disabled).toBe(true);
        fireEvent.change(screen.getByLabelText('Ground'), { target: { value: 'clay' } });
        fireEvent.click(screen.getByText('Original numbers'));
        fireEvent.click(screen.getByText('Save and update'));
        await waitFor(() => expect(asked.some((a) => a.what === 'PATCH /api/sites/2')).toBe(true));
        expect(asked.find((a) => a.what === 'PATCH /api/sites/2')?.body).toMatchObject({ sun: 2, ground: 'clay' });
    });

    it('are added; a refusal keeps the form', async () => {
        fakeServer({
            ...answers,
            'POST /api/sites': new Refused(422, { message: 'There is a growing site with that name already.' }),
        });
        show(<Sites />);
        fireEvent.click(await screen.findByText('Add growing site'));
        fireEvent.change(screen.getByLabelText(/^Name/), { target: { value: 'school bed' } });
        fireEvent.click(screen.getByText('Save and update'));
        expect(await screen.findByText('There is a growing site with that name already.')).toBeTruthy();
        expect((screen.getByLabelText(/^Name/) as HTMLInputElement).value).toBe('school bed');
    });

    it('of one’s own are taken out', async () => {
        const asked = fakeServer({ ...answers, 'DELETE /api/sites/3': null });
        show(<Sites />);
        fireEvent.click(await screen.findByText('Delete'));
        await waitFor(() => expect(asked.some((a) => a.what === 'DELETE /api/sites/3')).toBe(true));
    });
});
