import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { fakeServer, show } from '../../testing';
import { Corrections } from './Corrections';

const stations = [{ id: 4, name: 'Upper mast' }] as Schema['Station'][];
const correction = { id: 7, station: 4, device: 'Mast', day: '2026-04-16', element: 'minimum', was: -4.8, value: 1.2 };
const path = '/api/zones/bench/reported-corrections';

describe('what devices report differently', () => {
    it('waits for a decision, and is used one by one or all at once', async () => {
        const computed: number[] = [];
        const asked = fakeServer({
            [`GET ${path}`]: {
                corrections: [correction, { ...correction, id: 8, element: 'maximum' }],
                computation: null,
            },
            [`POST ${path}`]: (body: { ids: number[]; use: boolean }) => ({
                corrections: body.ids.length === 2 ? [] : [correction],
                computation: body.use
                    ? { id: 31, state: 'queued', step: 'waiting', done: 0, total: 0, error: null, finished_at: null }
                    : null,
            }),
        });
        show(<Corrections zone="bench" stations={stations} mayEdit onComputing={(id) => computed.push(id)} />);
        expect(await screen.findAllByText('−4.8 °C')).toHaveLength(2);
        expect(screen.getAllByText('Mast, Upper mast')).toHaveLength(2);
        fireEvent.click(screen.getByRole('button', { name: 'Use all 2' }));
        await waitFor(() => expect(computed).toEqual([31]));
        expect(asked.at(-2)?.body ?? asked.at(-1)?.body).toEqual({ ids: [7, 8], use: true });
        expect(screen.queryByText('Corrections from devices')).toBeNull();
    });

    it('is only read by those who may not edit, and takes no room where there is none', async () => {
        fakeServer({ [`GET ${path}`]: { corrections: [correction], computation: null } });
        show(<Corrections zone="bench" stations={stations} mayEdit={false} onComputing={() => undefined} />);
        await screen.findByText('1.2 °C');
        expect(screen.queryByRole('button')).toBeNull();
    });
});
