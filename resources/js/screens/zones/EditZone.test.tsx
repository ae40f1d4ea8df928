import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, Refused, show } from '../../testing';
import { EditZone } from './EditZone';

const zone = {
    slug: 'bench',
    name: 'Bench',
    district: 'Kestrel Basin',
    latitude: 46.8,
    longitude: -98.1,
    height_m: 520,
    settlements: [{ name: 'Nettle Ford', postcode: null }],
};

function type(label: string | RegExp, value: string) {
    fireEvent.change(screen.getByLabelText(label), { target: { value } });
}

describe('a zone’s form', () => {
    it('comes with the zone, and sends what was changed with all the rest', async () => {
        let come: (answer: unknown) => void = () => {};
        const asked = fakeServer({
            'GET /api/zones/bench': () => new Promise((resolve) => (come = resolve)),
            'PATCH /api/zones/bench': zone,
        });
        show(<EditZone />, '/desk/zones/bench/edit', '/desk/zones/:zone/edit');
        await waitFor(() => expect(asked).toHaveLength(1));
        expect(screen.queryByLabelText(/^Name/), 'nothing to type into that would be lost').toBeNull();
        come(zone);
        await screen.findByDisplayValue('Bench');
        type(/^Height/, '540');
        type('Postcode 1', '70199');
        fireEvent.click(screen.getByText('Save'));
        await waitFor(() => expect(asked.at(-1)?.what).toBe('PATCH /api/zones/bench'));
        expect(asked.at(-1)?.body).toEqual({
            name: 'Bench',
            district: 'Kestrel Basin',
            latitude: 46.8,
            longitude: -98.1,
            height_m: 540,
            settlements: [{ name: 'Nettle Ford', postcode: '70199' }],
        });
    });

    it('says beside the field what was refused, and keeps what was typed', async () => {
        const words = 'A latitude lies between −90 and 90 degrees; 95 does not.';
        fakeServer({ 'POST /api/zones': new Refused(422, { message: words, errors: { latitude: [words] } }) });
        show(<EditZone />, '/desk/zones/new', '/desk/zones/new');
        type(/^Name/, 'Shelf');
        type(/^Latitude/, '95');
        fireEvent.click(screen.getByText('Save'));
        expect((await screen.findByRole('alert')).textContent).toBe(words);
        expect(screen.getAllByText(words)).toHaveLength(2);
        expect(screen.getByDisplayValue('Shelf')).toBeTruthy();
    });

    it('leaves out settlements that were left blank', async () => {
        const asked = fakeServer({ 'POST /api/zones': zone });
        show(<EditZone />, '/desk/zones/new', '/desk/zones/new');
        type(/^Name/, 'Bench');
        fireEvent.click(screen.getByText('Add a settlement'));
        type('Settlement 2', 'Nettle Ford');
        fireEvent.click(screen.getByText('Save'));
        await waitFor(() => expect(asked).toHaveLength(1));
        expect((asked[0]?.body as { settlements: unknown }).settlements).toEqual([
            { name: 'Nettle Ford', postcode: null },
        ]);
    });
});
