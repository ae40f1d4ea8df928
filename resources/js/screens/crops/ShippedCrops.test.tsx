import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { fakeServer, show } from '../../testing';
import { ShippedCrops } from './ShippedCrops';

const spinach = {
    slug: 'spinach',
    name: 'Spinach',
    version: 3,
    cells: [{ column: 'bolt_day_hours', mine: '', shipped: '13.5' }],
};
const vetch = { slug: 'cover-vetch', name: 'Vetch', version: null, cells: [] };

describe('what the shipped crop table offers', () => {
    it('is taken or left crop by crop', async () => {
        let offers = [spinach, vetch];
        const settle = () => (offers = offers.slice(1));
        const asked = fakeServer({
            'GET /api/shipped-crops': () => offers,
            'POST /api/shipped-crops/spinach': settle,
            'POST /api/shipped-crops/cover-vetch': settle,
        });
        show(<ShippedCrops mayEdit />);
        expect(await screen.findByText(/shipped number is now 13.5; yours is blank/)).toBeTruthy();
        expect(screen.getByText('not in the book yet')).toBeTruthy();
        fireEvent.click(screen.getAllByText('Take')[0] ?? document.body);
        await waitFor(() => expect(screen.queryByText('Spinach')).toBeNull());
        fireEvent.click(screen.getByText('Leave'));
        await waitFor(() => expect(screen.queryByText('Vetch')).toBeNull());
        expect(asked.filter((a) => a.what.startsWith('POST')).map((a) => a.body)).toEqual([
            { take: true, version: 3 },
            { take: false },
        ]);
    });

    it('is only read by those who may not edit the book', async () => {
        fakeServer({ 'GET /api/shipped-crops': [spinach] });
        show(<ShippedCrops mayEdit={false} />);
        expect(await screen.findByText('Spinach')).toBeTruthy();
        expect(screen.queryByText('Take')).toBeNull();
    });
});
