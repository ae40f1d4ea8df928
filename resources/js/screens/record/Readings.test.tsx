import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, Refused, show, SITE, type AnswerTo } from '../../testing';
import { Readings } from './Readings';

type Found = AnswerTo<'POST /api/zones/bench/calibrations'>;

const open = { ...SITE, id: 1, name: 'open ground', preset: true, sun: 2 };
const found: Found = {
    site: open,
    depth: 0.05,
    depths: [
        { depth: 0.05, readings: 3 },
        { depth: 0.1, readings: 1 },
    ],
    readings: 4,
    used: 3,
    offset: 0.9,
    rate: 1,
    rate_fitted: false,
    error_before: 1.8,
    error_after: 0.7,
    points: [
        { date: '2026-04-01', reading: 7.2, before: 5.5, after: 6.4 },
        { date: '2026-04-08', reading: 9.1, before: 7.4, after: 8.3 },
    ],
};
const answers = {
    'GET /api/session': EDUCATOR,
    'GET /api/sites': [open, { ...open, id: 2, name: 'elsewhere', zone: 'other' }],
};

async function bring() {
    const input = await waitFor(() => {
        const file = document.querySelector('input[type=file]');
        if (!file) throw new Error('not yet');
        return file;
    });
    fireEvent.change(input, { target: { files: [new File(['x'], 'readings.csv')] } });
}

describe('probe readings', () => {
    it('say what they add to the model, and are kept as a site of the zone', async () => {
        const asked = fakeServer({
            ...answers,
            'POST /api/zones/bench/calibrations': found,
            'POST /api/sites': { ...open, id: 9, name: 'open ground, measured' },
        });
        show(<Readings zone="bench" />);
        await bring();
        expect(await screen.findByText('3 of 4 readings count, at 5 cm, open ground.')).toBeTruthy();
        expect(screen.getByText('1.8 °C')).toBeTruthy();
        expect(screen.getByText(/The rate is fitted from ten readings/)).toBeTruthy();
        expect(document.querySelectorAll('circle')).toHaveLength(2);
        fireEvent.click(screen.getByText('Save growing site'));
        expect(await screen.findByText(/Saved as “open ground, measured”/)).toBeTruthy();
        const kept = asked.find((a) => a.what === 'POST /api/sites')?.body as Record<string, unknown>;
        expect([kept.zone, kept.offset, kept.rate, kept.sun]).toEqual(['bench', 0.9, 1, 2]);
        expect(kept.note).toBe('From 3 readings at 5 cm; error 1.8 °C before, 0.7 °C after.');
    });

    it('offer the sites of the zone alone', async () => {
        fakeServer(answers);
        show(<Readings zone="bench" />);
        expect(await screen.findByText('open ground')).toBeTruthy();
        expect(screen.queryByText('elsewhere')).toBeNull();
    });

    it('wait for the sites when the file is chosen sooner', async () => {
        let come: (sites: (typeof open)[]) => void = () => {};
        const asked = fakeServer({
            ...answers,
            'GET /api/sites': () => new Promise((resolve) => (come = resolve)),
            'POST /api/zones/bench/calibrations': found,
        });
        show(<Readings zone="bench" />);
        await bring();
        expect(asked.filter((a) => a.what.startsWith('POST'))).toEqual([]);
        come([open]);
        expect(await screen.findByText('3 of 4 readings count, at 5 cm, open ground.')).toBeTruthy();
        expect(screen.queryByRole('alert')).toBeNull();
    });

    it('show the answer to what was chosen last, though an earlier one comes later', async () => {
        const late: ((answer: Found) => void)[] = [];
        fakeServer({
            ...answers,
            'GET /api/sites': [open, { ...open, id: 3, name: 'raised bed' }],
            'POST /api/zones/bench/calibrations': () => new Promise((resolve) => late.push(resolve)),
        });
        show(<Readings zone="bench" />);
        await bring();
        await waitFor(() => expect(late).toHaveLength(1));
        fireEvent.change(await screen.findByLabelText('Taken at'), { target: { value: '3' } });
        await waitFor(() => expect(late).toHaveLength(2));
        late[1]?.({ ...found, site: { ...open, id: 3, name: 'raised bed' } });
        expect(await screen.findByText('3 of 4 readings count, at 5 cm, raised bed.')).toBeTruthy();
        // All that follows from the answer that came too late has followed when this is over.
        await act(async () => late[0]?.(found));
        expect(screen.queryByText('3 of 4 readings count, at 5 cm, open ground.')).toBeNull();
    });

    it('are refused with the place in the file', async () => {
        fakeServer({
            ...answers,
            'POST /api/zones/bench/calibrations': new Refused(422, {
                message: 'Line 2, column “time”: the hour of the reading is missing.',
            }),
        });
        show(<Readings zone="bench" />);
        await bring();
        expect((await screen.findByRole('alert')).textContent).toContain('Line 2, column “time”');
    });

    it('are the educator’s to bring', async () => {
        fakeServer({ ...answers, 'GET /api/session': { ...EDUCATOR, user: { ...EDUCATOR.user, can: [] } } });
        show(<Readings zone="bench" />);
        expect(await screen.findByText(/Only an educator can calibrate/)).toBeTruthy();
        expect(document.querySelector('input[type=file]')).toBeNull();
    });
});
