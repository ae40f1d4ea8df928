import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { ADMINISTRATOR, fakeServer, Refused, show } from '../../testing';
import { People } from './People';
import type { Person } from './queries';

const person = (id: number, name: string, with_: Partial<Person> = {}): Person => ({
    id,
    name,
    email: `${name.toLowerCase()}@kestrel.example`,
    role: 'volunteer',
    active: true,
    second_factor: false,
    seen: null,
    ...with_,
});

function open(more: Record<string, unknown> = {}) {
    const asked = fakeServer({
        'GET /api/session': ADMINISTRATOR,
        'GET /api/people': {
            people: [
                person(1, 'Ines', { role: 'administrator', seen: '2026-04-18T10:00:00+00:00' }),
                person(2, 'Tobias', { second_factor: true }),
            ],
            invitations: [
                {
                    id: 7,
                    name: 'Odile',
                    email: 'odile@kestrel.example',
                    role: 'reviewer',
                    until: new Date(Date.now() + 2.5 * 86_400_000).toISOString(),
                    by: 'Ines',
                },
            ],
        },
        ...more,
    });
    show(<People />);
    return asked;
}

describe('People', () => {
    it('are shown with their role, when they were seen, and what can be done', async () => {
        open();
        const ines = within(await screen.findByRole('row', { name: /Ines/ }));
        expect(ines.getByText('18 April 2026')).toBeTruthy();
        expect(await ines.findByText('(you)')).toBeTruthy();
        expect((ines.getByLabelText('Role of Ines') as HTMLSelectElement).value).toBe('administrator');
        const odile = within(screen.getByRole('row', { name: /Odile/ }));
        expect(odile.getByText('good for 3 more days')).toBeTruthy();
        expect(odile.getByText('Reviewer')).toBeTruthy();
    });

    it('get another role, and are told why not where that is refused', async () => {
        const words = 'Ines is the only administrator. Make somebody else an administrator first.';
        const asked = open({ 'PATCH /api/people/1': new Refused(422, { message: words }) });
        fireEvent.change(await screen.findByLabelText('Role of Ines'), { target: { value: 'educator' } });
        expect((await screen.findByRole('alert')).textContent).toBe(words);
        expect(asked.find(({ what }) => what === 'PATCH /api/people/1')?.body).toEqual({ role: 'educator' });
    });

    it('are deactivated at once, and removed after a question about their name', async () => {
        const asked = open({ 'PATCH /api/people/2': { people: [], invitations: [] }, 'DELETE /api/people/2': {} });
        fireEvent.click(await screen.findByRole('button', { name: 'Deactivate Tobias' }));
        await waitFor(() =>
            expect(asked.find(({ what }) => what === 'PATCH /api/people/2')?.body).toEqual({ active: false }),
        );
        fireEvent.click(screen.getByRole('button', { name: 'Remove Tobias' }));
        fireEvent.click(screen.getByRole('checkbox', { name: 'Keep the name on what they did' }));
        expect(asked.some(({ what }) => what === 'DELETE /api/people/2')).toBe(false);
        fireEvent.click(screen.getByRole('button', { name: 'Remove for good' }));
        await waitFor(() =>
            expect(asked.find(({ what }) => what === 'DELETE /api/people/2')?.body).toEqual({ keep_name: false }),
        );
    });

    it('are invited with a role that is explained', async () => {
        const asked = open({ 'POST /api/invitations': { id: 8 } });
        const form = within(await screen.findByRole('form', { name: 'Invite a person' }));
        fireEvent.change(form.getByLabelText(/^Name/), { target: { value: 'Nell' } });
        fireEvent.change(form.getByLabelText(/E-mail/), { target: { value: 'nell@kestrel.example' } });
        fireEvent.change(form.getByLabelText(/^Role/), { target: { value: 'educator' } });
        expect(form.getByText('Changes zones, crops, and dates, and publishes calendars.')).toBeTruthy();
        fireEvent.click(form.getByRole('button', { name: 'Send invitation' }));
        expect(await form.findByText('The invitation is on its way.')).toBeTruthy();
        expect(asked.find(({ what }) => what === 'POST /api/invitations')?.body).toEqual({
            name: 'Nell',
            email: 'nell@kestrel.example',
            role: 'educator',
        });
    });
});
