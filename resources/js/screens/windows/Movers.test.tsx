import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { EDUCATOR, fakeServer, show } from '../../testing';
import { Movers } from './Movers';

const mover = (name: string, less: number, with_: Partial<Schema['Mover']> = {}): Schema['Mover'] => ({
    of: 'crop',
    name,
    label: { key: `column.${name}.label` },
    basis: 'judgment',
    by: 0.25,
    unit: 'share',
    less,
    more: 3,
    ...with_,
});

function open(movers: Schema['Mover'][]) {
    const asked = fakeServer({ 'GET /api/session': EDUCATOR, 'GET /api/zones/basin/windows/kale/sensitivity': movers });
    show(<Movers zone="basin" crop="kale" route="direct" />);
    const details = screen.getByText('What moves these dates most').closest('details');
    if (!details) throw new Error('nothing to unfold');
    const before = asked.some(({ what }) => what.includes('sensitivity'));
    details.open = true;
    fireEvent(details, new Event('toggle'));
    return before;
}

describe('What moves the dates', () => {
    it('is asked for when it is unfolded, and drawn as bars, the longest for what moves most', async () => {
        const before = open([
            mover('maturity_days', 20, { more: 40 }),
            mover('base_c', 10, { unit: 'celsius', by: 2, more: 4 }),
            mover('latest-15', 8, {
                of: 'record',
                label: null,
                basis: null,
                unit: 'years',
                by: 15,
                more: null,
            }),
        ]);
        expect(before).toBe(false);
        await waitFor(() => expect(screen.getAllByRole('row').length).toBe(3));
        expect(screen.getAllByRole('row').map((row) => row.textContent)).toEqual([
            'Days to maturity± 25%; Growers’ judgment 40 days',
            'Grows from± 2 °C; Growers’ judgment 10 days',
            'Only the latest 15 years 8 days',
        ]);
        const bars = [...document.querySelectorAll<HTMLElement>('.bar')].map((bar) => parseFloat(bar.style.width));
        expect(bars[1]).toBeCloseTo((bars[0] ?? 0) / 4);
    });

    it('says so where nothing moves them', async () => {
        open([]);
        expect(await screen.findByText('Nothing moves them by as much as it may be wrong.')).toBeTruthy();
    });
});
