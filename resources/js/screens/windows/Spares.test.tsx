import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { yearDay } from '../../time/days';
import { EDUCATOR, fakeServer, show } from '../../testing';
import { Spares } from './Spares';

const SPARES: Schema['SpareSeedlings'] = {
    years: 29,
    failed: 9,
    start: '03-12',
    ready: '04-23',
    until: '06-30',
    per_metre: 2.4,
};

function open(spares: Schema['SpareSeedlings'] | null, route = 'direct') {
    const asked = fakeServer({ 'GET /api/session': EDUCATOR, 'GET /api/zones/basin/windows/kale/spares': spares });
    const { container } = show(<Spares zone="basin" crop="kale" route={route} day={yearDay('04-01')} />);
    return { asked, container };
}

describe('Spare seedlings', () => {
    it('are told with how many, from when, and until when', async () => {
        open(SPARES);
        expect(
            await screen.findByText(
                'In 9 of 29 years this sowing does not come up, or dies young. Raise 12 seedlings for a row of 5 m: start them indoors about 12 Mar. If the sowing is not up by 23 Apr, set them out in its place, until 30 Jun at the latest.',
            ),
        ).toBeTruthy();
    });

    it('say so where they come too late', async () => {
        open({ ...SPARES, until: null });
        expect(await screen.findByText(/too late for seedlings/)).toBeTruthy();
    });

    it('are not told of what is transplanted, nor where they help nobody', async () => {
        const { asked, container } = open(SPARES, 'transplant');
        expect(container.querySelector('h3')).toBeNull();
        expect(asked.some(({ what }) => what.includes('spares'))).toBe(false);
        const none = open(null);
        await waitFor(() => expect(none.asked.some(({ what }) => what.includes('spares'))).toBe(true));
        expect(none.container.querySelector('h3')).toBeNull();
    });
});
