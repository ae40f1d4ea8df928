import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { EDUCATOR, fakeServer, Refused, show, ZONE } from '../../testing';
import { EditZone } from './EditZone';

const zone: Schema['Zone'] = {
    ...ZONE,
    version: 7,
    latitude: 46.8,
    longitude: -98.1,
    height_m: 520,
    time_zone: 'America/Chicago',
    settlements: [{ name: 'Nettle Ford', postcode: null }],
};

function type(label: string | RegExp, value: string) {
    fireEvent.change(screen.getByLabelText(label), { target: { value } });
}

describe('a zone’s form', () => {
    it('comes with the zone, and sends what was changed with all the rest', async () => {
        let come: (answer: Schema['Zone']) => void = () => {};
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones/bench': () => new Promise((resolve) => (come = resolve)),
            'PATCH /api/zones/bench': zone,
        });
        show(<EditZone />, '/desk/zones/bench/edit', '/desk/zones/:zone/edit');
        await waitFor(() => expect(asked).toHaveLength(2));
        expect(screen.queryByLabelText(/^Name/), 'nothing to type into that would be lost').toBeNull();
        come(zone);
        await screen.findByDisplayValue('Bench');
        type(/^Elevation/, '540');
        type('ZIP code 1', '70199');
        fireEvent.click(screen.getByText('Save'));
        const patch = () => asked.find(({ what }) => what === 'PATCH /api/zones/bench');
        await waitFor(() => expect(patch()).toBeTruthy());
        expect(patch()?.body).toEqual({
            name: 'Bench',
            district: 'Kestrel Basin',
            latitude: 46.8,
            longitude: -98.1,
            height_m: 540,
            time_zone: 'America/Chicago',
            settlements: [{ name: 'Nettle Ford', postcode: '70199' }],
            version: 7,
            far_off: false,
        });
    });

    it('says beside the field what was refused, and keeps what was typed', async () => {
        const words = 'A latitude lies between −90 and 90 degrees; 95 does not.';
        fakeServer({ 'POST /api/zones': new Refused(422, { message: words, errors: { latitude: [words] } }) });
        show(<EditZone />, '/desk/zones/new', '/desk/zones/new');
        type(/^Name/, 'Shelf');
        type(/^Latitude/, '85');
        type(/^Longitude/, '-98');
        type(/^Elevation/, '400');
        fireEvent.click(screen.getByText('Save'));
        expect((await screen.findByRole('alert')).textContent).toBe(words);
        expect(screen.getAllByText(words)).toHaveLength(2);
        expect(screen.getByDisplayValue('Shelf')).toBeTruthy();
    });

    it('is there again after another screen, until it is saved or thrown away', () => {
        fakeServer({});
        const first = show(<EditZone />, '/desk/zones/new', '/desk/zones/new');
        type(/^Name/, 'Shelf');
        type('Town 1', 'Nettle Ford');
        first.unmount();
        const second = show(<EditZone />, '/desk/zones/new', '/desk/zones/new');
        expect(screen.getByDisplayValue('Shelf')).toBeTruthy();
        expect(screen.getByDisplayValue('Nettle Ford')).toBeTruthy();
        fireEvent.click(screen.getByText('Cancel'));
        second.unmount();
        show(<EditZone />, '/desk/zones/new', '/desk/zones/new');
        expect(screen.queryByDisplayValue('Shelf')).toBeNull();
    });

    it('leaves out settlements that were left blank', async () => {
        const asked = fakeServer({ 'POST /api/zones': zone });
        show(<EditZone />, '/desk/zones/new', '/desk/zones/new');
        type(/^Name/, 'Bench');
        type(/^Latitude/, '46.8');
        type(/^Longitude/, '-98');
        type(/^Elevation/, '400');
        fireEvent.click(screen.getByText('Add town'));
        type('Town 2', 'Nettle Ford');
        fireEvent.click(screen.getByText('Save'));
        await waitFor(() => expect(asked.at(-1)?.what).toBe('POST /api/zones'));
        expect((asked.at(-1)?.body as { settlements: unknown }).settlements).toEqual([
            { name: 'Nettle Ford', postcode: null },
        ]);
    });

    it('asks for a place instead of taking an empty field for the equator, and says it back in words', async () => {
        const asked = fakeServer({});
        show(<EditZone />, '/desk/zones/new', '/desk/zones/new');
        type(/^Name/, 'Shelf');
        fireEvent.click(screen.getByText('Save'));
        expect(await screen.findByText(/Enter a latitude/)).toBeTruthy();
        expect(screen.getByText(/Enter a longitude/)).toBeTruthy();
        expect(asked.some((a) => a.what.startsWith('POST'))).toBe(false);
        type(/^Latitude/, '47.45');
        type(/^Longitude/, '122.31 W');
        type(/^Elevation/, '1,345 ft');
        expect(screen.getByRole('status').textContent).toBe(
            'That is 47.45° N, 122.31° W, in the Northern Hemisphere. Elevation 410 m (1,345 ft).',
        );
    });

    it('saves a place far from the others only when that is confirmed', async () => {
        const words = '46.8° N, 98.1° E is 9 000 km from the nearest other zone. Check the signs.';
        const asked = fakeServer({
            'POST /api/zones': (body: { far_off: boolean }) =>
                body.far_off ? zone : new Refused(422, { message: words, errors: { far_off: [words] } }),
        });
        show(<EditZone />, '/desk/zones/new', '/desk/zones/new');
        type(/^Name/, 'Shelf');
        type(/^Latitude/, '46.8');
        type(/^Longitude/, '98.1');
        type(/^Elevation/, '400');
        fireEvent.click(screen.getByText('Save'));
        expect((await screen.findByRole('alert')).textContent).toContain('9 000 km');
        fireEvent.click(screen.getByLabelText('Save it anyway'));
        await waitFor(() => expect(asked.filter((a) => a.what === 'POST /api/zones')).toHaveLength(2));
    });

    it('goes on from what somebody else saved meanwhile, and loses nothing that was typed', async () => {
        let now = zone;
        const asked = fakeServer({
            'GET /api/session': EDUCATOR,
            'GET /api/zones/bench': () => now,
            'PATCH /api/zones/bench': (body: { version: number }) => {
                if (body.version === now.version) return now;
                return new Refused(409, {
                    message: 'Ines changed this meanwhile.',
                    changed: [{ field: 'height_m', was: 520, is: 610, by: 'Ines', at: '2026-05-12' }],
                });
            },
        });
        show(<EditZone />, '/desk/zones/bench/edit', '/desk/zones/:zone/edit');
        await screen.findByDisplayValue('Bench');
        type(/^Name/, 'Upper Bench');
        now = { ...zone, version: 8, height_m: 610 };
        fireEvent.click(screen.getByText('Save'));
        expect((await screen.findByRole('alert')).textContent).toContain('height m: 520 → 610 (Ines)');
        await screen.findByDisplayValue('610');
        expect(screen.getByDisplayValue('Upper Bench')).toBeTruthy();
        fireEvent.click(screen.getByText('Save'));
        await waitFor(() => expect(asked.filter((a) => a.what.startsWith('PATCH'))).toHaveLength(2));
        expect(asked.filter((a) => a.what.startsWith('PATCH')).at(-1)?.body).toMatchObject({
            name: 'Upper Bench',
            height_m: 610,
            version: 8,
        });
    });
});
