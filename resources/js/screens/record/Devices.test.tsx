import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { fakeServer, show, STATION } from '../../testing';
import { Devices } from './Devices';

const stations = [STATION, { ...STATION, id: 5, name: 'Shed' }];
const mast = { id: 9, station: 5, name: 'Mast', reported_at: '2026-04-17T06:00:00+00:00' };

describe('devices that report by themselves', () => {
    it('are added for a station, told their token once, and ended', async () => {
        let devices: Schema['StationDevice'][] = [];
        const asked = fakeServer({
            'GET /api/zones/bench/station-devices': () => devices,
            'POST /api/zones/bench/station-devices': () => {
                devices = [mast];
                return { device: mast, token: 'abc-token', address: 'http://here/api/station-reports' };
            },
            'DELETE /api/station-devices/9': () => {
                devices = [];
                return devices;
            },
            'POST /api/station-devices/9/restoration': () => {
                devices = [mast];
                return devices;
            },
        });
        show(<Devices zone="bench" stations={stations} mayEdit />);
        fireEvent.click(await screen.findByText('Connect a device'));
        fireEvent.change(screen.getByLabelText('Name of the device'), { target: { value: ' Mast ' } });
        fireEvent.change(screen.getByLabelText('Station'), { target: { value: '5' } });
        fireEvent.submit(screen.getByLabelText('Name of the device'));
        expect(await screen.findByText('abc-token')).toBeTruthy();
        expect(screen.getByText('The token of “Mast”, shown only once:')).toBeTruthy();
        expect(asked.find((a) => a.what.startsWith('POST'))?.body).toEqual({ station: 5, name: 'Mast' });
        expect(await screen.findByText('last heard 17 April 2026')).toBeTruthy();
        expect(screen.getByText('Shed')).toBeTruthy();
        fireEvent.click(screen.getByText('Disconnect'));
        await waitFor(() => expect(asked.some((a) => a.what === 'DELETE /api/station-devices/9')).toBe(true));
        expect(await screen.findByText('None yet: days come with the files you upload.')).toBeTruthy();
        expect(screen.getByText(/Disconnected: Mast\./)).toBeTruthy();
        expect(screen.queryByText('abc-token'), 'of no use any more').toBeNull();
        fireEvent.click(screen.getAllByText('Undo').at(-1) as HTMLElement);
        expect(await screen.findByText('last heard 17 April 2026')).toBeTruthy();
    });

    it('are only read by who may not edit', async () => {
        fakeServer({ 'GET /api/zones/bench/station-devices': [{ ...mast, reported_at: null }] });
        show(<Devices zone="bench" stations={stations} mayEdit={false} />);
        expect(await screen.findByText('not heard yet')).toBeTruthy();
        expect(screen.queryByText('Disconnect')).toBeNull();
        expect(screen.queryByText('Connect a device')).toBeNull();
    });
});
