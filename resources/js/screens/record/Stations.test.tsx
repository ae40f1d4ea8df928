import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../api/client';
import { COMPUTATION, fakeServer, Refused, show, STATION, ZONE } from '../../testing';
import { Stations } from './Stations';

const station = (id: number, name: string, more: Partial<Schema['Station']> = {}): Schema['Station'] => ({
    ...STATION,
    id,
    name,
    matched: true,
    first: '1995-01-01',
    last: '2026-04-19',
    fit: { height: 0, minimum_bias: null, maximum_bias: null, overlap: 0, minima: 11346, maxima: 11345 },
    ...more,
});
const data: Schema['Stations'] = {
    version: 3,
    stations: [
        station(1, 'Bench'),
        station(2, 'Shed', {
            height_m: 430,
            fit: { height: -1.24, minimum_bias: 0.31, maximum_bias: -0.2, overlap: 8041, minima: 49, maxima: 50 },
        }),
    ],
    set_aside: [],
    filled_in: [
        { from: '2004-09-13', to: '2004-09-20', station: 'Shed' },
        { from: '2008-10-09', to: '2008-10-09', station: 'Shed' },
    ],
    filled_in_count: 2,
};

describe('the stations of a zone', () => {
    it('say what they are corrected by and which days they fill in', () => {
        show(<Stations zone={ZONE} data={data} mayEdit onComputing={() => {}} />);
        expect(screen.getByText('−1.2 for height; +0.3 and −0.2 from 8041 days shared')).toBeTruthy();
        expect(screen.getAllByText('1 Jan 1995 to 19 Apr 2026').length).toBe(2);
        expect(screen.getByText(/Filled in: from Shed 13 Sep 2004 to 20 Sep 2004, 9 Oct 2008\./)).toBeTruthy();
        expect(screen.queryByText('Save and update')).toBeNull();
    });

    it('are put in order and saved whole', async () => {
        const computing = vi.fn();
        const asked = fakeServer({ 'PUT /api/zones/bench/stations': { ...COMPUTATION, id: 7 } });
        show(<Stations zone={ZONE} data={data} mayEdit onComputing={computing} />);
        fireEvent.click(screen.getByText('Move up'));
        fireEvent.change(screen.getByLabelText('Name of station 1'), { target: { value: 'Packing Shed' } });
        fireEvent.click(screen.getByText('Save and update'));
        await waitFor(() => expect(computing).toHaveBeenCalledWith(7));
        const sent = (asked[0]?.body as { stations: Schema['Station'][] }).stations;
        expect(sent.map((s) => [s.id, s.name])).toEqual([
            [2, 'Packing Shed'],
            [1, 'Bench'],
        ]);
    });

    it('keep what was typed when the server refuses it, and say why', async () => {
        fakeServer({
            'PUT /api/zones/bench/stations': new Refused(422, { message: 'A station needs a name.', errors: {} }),
        });
        show(<Stations zone={ZONE} data={data} mayEdit onComputing={() => {}} />);
        fireEvent.change(screen.getByLabelText('Name of station 1'), { target: { value: '' } });
        fireEvent.click(screen.getByText('Save and update'));
        expect(await screen.findByText('A station needs a name.')).toBeTruthy();
        expect((screen.getByLabelText('Name of station 1') as HTMLInputElement).value).toBe('');
    });

    it('are set aside and used again', () => {
        const aside = { ...data, stations: [station(1, 'Bench')], set_aside: [station(2, 'Shed')] };
        show(<Stations zone={ZONE} data={aside} mayEdit onComputing={() => {}} />);
        fireEvent.click(screen.getByText('Use again'));
        expect((screen.getByLabelText('Name of station 2') as HTMLInputElement).value).toBe('Shed');
        fireEvent.click(screen.getByText('Cancel'));
        expect(screen.queryByLabelText('Name of station 2')).toBeNull();
    });

    it('are read only for a volunteer', () => {
        show(<Stations zone={ZONE} data={data} mayEdit={false} onComputing={() => {}} />);
        expect(screen.queryByText('up')).toBeNull();
        expect(screen.queryByLabelText('Name of station 1')).toBeNull();
        expect(screen.getByText('Bench')).toBeTruthy();
    });
});
