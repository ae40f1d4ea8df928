import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { COMPUTATION, fakeServer, show, STATION, type AnswerTo } from '../../testing';
import { Corrections } from './Corrections';

const stations = [STATION];
const correction: AnswerTo<'GET /api/zones/bench/reported-corrections'>['corrections'][number] = {
    id: 7,
    station: 4,
    device: 'Mast',
    day: '2026-04-16',
    element: 'minimum',
    was: -4.8,
    value: 1.2,
};

describe('what devices report differently', () => {
    it('waits for a decision, and is used one by one or all at once', async () => {
        const computed: number[] = [];
        const asked = fakeServer({
            'GET /api/zones/bench/reported-corrections': {
                corrections: [correction, { ...correction, id: 8, element: 'maximum' }],
                computation: null,
            },
            'POST /api/zones/bench/reported-corrections': (body: { ids: number[]; use: boolean }) => ({
                corrections: body.ids.length === 2 ? [] : [correction],
                computation: body.use ? { ...COMPUTATION, id: 31 } : null,
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
        fakeServer({ 'GET /api/zones/bench/reported-corrections': { corrections: [correction], computation: null } });
        show(<Corrections zone="bench" stations={stations} mayEdit={false} onComputing={() => undefined} />);
        await screen.findByText('1.2 °C');
        expect(screen.queryByRole('button')).toBeNull();
    });
});
