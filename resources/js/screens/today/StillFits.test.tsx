import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { EDUCATOR, fakeServer, show } from '../../testing';
import { StillFits } from './StillFits';

type Fit = Schema['StillFits']['fits'][number];

const fit = (name: string, days: number, with_: Partial<Fit> = {}): Fit => ({
    crop: name.toLowerCase(),
    name,
    variety: null,
    route: 'direct',
    act: 'sow-outdoors',
    days,
    from: 10 * Math.floor(days / 10),
    hardy: true,
    last: '09-01',
    of_ten: null,
    ...with_,
});

function open(fits: Fit[]) {
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/zones/bench/still-fits': { on: '2026-08-01', days_to_freeze: 61, fits },
    });
    show(<StillFits zone="bench" on="2026-08-01" />);
    const details = screen.getByText('What still fits, by days to harvest').closest('details');
    if (!details) throw new Error('nothing to unfold');
    details.open = true;
    fireEvent(details, new Event('toggle'));
    return asked;
}

describe('What still fits', () => {
    it('is sorted in tens, hardy and tender apart, and only asked for when unfolded', async () => {
        const asked = open([
            fit('Radish', 24),
            fit('Bush bean', 52, { hardy: false }),
            fit('Carrot', 58, { variety: 'Quick', of_ten: 6 }),
            fit('Kale', 50, { act: 'set-out', route: 'transplant' }),
        ]);
        await waitFor(() => expect(screen.getAllByRole('row').length).toBe(3));
        expect(asked.some(({ what }) => what.includes('on=08-01'))).toBe(true);
        const rows = screen
            .getAllByRole('row')
            .slice(1)
            .map((row) => [...row.children].map((cell) => cell.textContent));
        expect(rows).toEqual([
            ['20–29 days', 'Radish (sow outdoors)', ''],
            [
                '50–59 days',
                'Carrot Quick (sow outdoors, 6 years in 10) and Kale (transplant)',
                'Bush bean (sow outdoors)',
            ],
        ]);
        expect(
            screen.getByText(/61 days are left until half of the winters on record have had a freeze\./),
        ).toBeTruthy();
    });

    it('says so where nothing does', async () => {
        open([]);
        expect(await screen.findByText('Nothing sown today would come to a harvest.')).toBeTruthy();
    });
});
