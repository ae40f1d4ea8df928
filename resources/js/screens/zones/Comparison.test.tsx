import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { lastLookedAt, rememberLook } from '../../access/session';
import { EDUCATOR, fakeServer, show, ZONE } from '../../testing';
import { Comparison } from './Comparison';

const row = (zone: string, more: object) => ({
    zone,
    seasons: 30,
    last: ['04-25', '05-04', '05-10'],
    first: ['10-10', '10-06', '09-29'],
    free_days: 168,
    hot_days: 23.2,
    soil_10: '04-10',
    hardiness: '7a',
    like: [],
    ...more,
});
const zones = [
    { ...ZONE, name: 'Orchard Bench', settlements: [{ name: 'Fennick', postcode: '70131' }] },
    { ...ZONE, slug: 'meadow', name: 'High Meadow' },
    { ...ZONE, slug: 'sound', name: 'Sound' },
];
const names = () => screen.getAllByRole('link').map((link) => link.textContent);

describe('zones side by side', () => {
    it('stand with their settlements, and say which are not told apart', async () => {
        fakeServer({
            'GET /api/zone-comparison': {
                rows: [
                    row('sound', { free_days: null, last: [null], first: [null] }),
                    row('bench', { like: ['meadow'] }),
                ],
            },
        });
        show(<Comparison zones={zones} />);
        expect(await screen.findByText('Fennick')).toBeTruthy();
        expect(screen.getByText('High Meadow')).toBeTruthy();
        expect(screen.getByText('all')).toBeTruthy();
        expect(screen.getAllByText('none').length).toBe(4);
    });

    it('mark the one at hand: the home zone, unless another was looked at', async () => {
        fakeServer({
            'GET /api/session': { ...EDUCATOR, user: { ...EDUCATOR.user, home_zone: 'meadow' } },
            'GET /api/zone-comparison': { rows: [row('bench', {}), row('meadow', { free_days: 101 })] },
        });
        const own = () => document.querySelector('tr[aria-current]')?.querySelector('a')?.textContent;
        const { unmount } = show(<Comparison zones={zones} />);
        await waitFor(() => expect(own()).toBe('High Meadow'));
        unmount();
        rememberLook('bench', 'beds');
        show(<Comparison zones={zones} />);
        await waitFor(() => expect(own()).toBe('Orchard Bench'));
        expect(lastLookedAt('screen')).toBe('beds');
        localStorage.clear();
    });

    it('are sorted by what is asked for', async () => {
        fakeServer({
            'GET /api/zone-comparison': {
                rows: [
                    row('bench', { hot_days: 23, last: ['04-25'], soil_10: '04-10' }),
                    row('meadow', { hot_days: 2, free_days: 101, last: ['05-28'], soil_10: null }),
                    row('sound', { hot_days: 40, free_days: 300, last: ['01-31'], soil_10: '01-01' }),
                ],
            },
        });
        show(<Comparison zones={zones} />);
        const by = await screen.findByLabelText('Sorted by');
        expect(names()).toEqual(['Sound', 'Orchard Bench', 'High Meadow']);
        fireEvent.change(by, { target: { value: '1' } });
        expect(names()).toEqual(['Sound', 'Orchard Bench', 'High Meadow']);
        fireEvent.change(by, { target: { value: '3' } });
        expect(names().at(-1)).toBe('High Meadow');
        fireEvent.change(by, { target: { value: '2' } });
        expect(names()[0]).toBe('Sound');
    });

    it('are not shown where there is only one', () => {
        fakeServer({ 'GET /api/zone-comparison': { rows: [row('bench', {})] } });
        const { container } = show(<Comparison zones={zones} />);
        expect(container.querySelector('table')).toBeNull();
    });
});
