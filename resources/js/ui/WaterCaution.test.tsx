import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, OFFICE, show } from '../testing';
import { WaterCaution } from './WaterCaution';

async function read(rules: { from: string | null; until: string | null } | null): Promise<boolean> {
    const asked = fakeServer({
        'GET /api/session': EDUCATOR,
        'GET /api/office': {
            ...OFFICE,
            water_rules: rules && 'Odd days only.',
            water_rules_from: rules?.from ?? null,
            water_rules_until: rules?.until ?? null,
        },
    });
    const { unmount } = show(<WaterCaution today="2026-07-15" />);
    await waitFor(() => expect(asked.some(({ what }) => what === 'GET /api/office')).toBe(true));
    await screen.findByText(/backflow device/);
    await new Promise((done) => setTimeout(done, 20));
    const told = screen.queryByText('Watering rules here: Odd days only.') !== null;
    unmount();
    return told;
}

describe('What to mind where water is told', () => {
    it('begins with the rules of the district on the days they hold', async () => {
        expect(await read(null)).toBe(false);
        expect(await read({ from: null, until: null })).toBe(true);
        expect(await read({ from: '2026-07-15', until: '2026-07-15' })).toBe(true);
        expect(await read({ from: '2026-07-16', until: null })).toBe(false);
        expect(await read({ from: null, until: '2026-07-14' })).toBe(false);
    });
});
