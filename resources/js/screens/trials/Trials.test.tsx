import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { EDUCATOR, fakeServer, LOG_BOOK, Refused, show, type AnswerTo, TRIAL as SAMPLE } from '../../testing';
import { readIn } from '../../words/words';
import type { LocalDays, Plan, Trial } from './queries';
import { Trials } from './Trials';

const base = '/api/zones/bench';

const TRIAL: Trial = {
    ...SAMPLE,
    verdict: {
        measured_in: 'kilograms',
        by_metre: true,
        open: 2,
        one_seasons_word: true,
        waves: [
            { wave: 'early', variety: null, repeats: 2, lost: 1, yield: 0.5, quality: 2.6, expected: 0.8 },
            { wave: 'late', variety: 'Harrow Red', repeats: 2, lost: 0, yield: 0.25, quality: null, expected: null },
        ],
    },
};

const DAYS: LocalDays = {
    crop: 'radish',
    name: 'Radish',
    variety: null,
    route: 'direct',
    held: null,
    packet_days: 26,
    days: 28.9,
    factor: 1.11,
    sowings: 7,
    shares: [],
    error_before: 3,
    error_after: 0.3,
    seen: [],
};

const BOOK = {
    ...LOG_BOOK,
    crops: [
        {
            slug: 'radish',
            name: 'Radish',
            names: [],
            start: 'seed',
            cautions: [],
            varieties: ['Harrow Red', 'Basin Red'],
        },
    ],
    beds: [{ garden: 'School', name: 'Bed 1', site: null }],
};

const answers = (days: LocalDays[] = [DAYS]) => ({
    'GET /api/session': EDUCATOR,
    'GET /api/zones/bench/trials': [TRIAL],
    'GET /api/zones/bench/local-days': { crops: days, history: [] },
    'GET /api/zones/bench/log-book': BOOK,
});

describe('trials', () => {
    it('tells which wave did best, what was lost, and how much the word is worth', async () => {
        fakeServer(answers());
        show(<Trials />, '/desk/zones/bench/trials', '/desk/zones/:zone/trials');
        const early = (await screen.findByRole('rowheader', { name: 'early' })).closest('tr')!;
        expect(
            within(early)
                .getAllByRole('cell')
                .map((cell) => cell.textContent),
        ).toEqual(['', '0.50 kg per meter', 'good', '1 of 2', 'harvest in 80% of years']);
        expect(screen.getByText(/2 plots are not done yet.*Fewer than three repeats/)).toBeTruthy();
    });

    it('tells a yield in pounds to the foot where that is how somebody reads', async () => {
        const reader = { ...EDUCATOR.user, units: 'us' as const, dates: 'month' as const };
        fakeServer({ ...answers(), 'GET /api/session': { ...EDUCATOR, user: reader } });
        try {
            readIn('us');
            show(<Trials />, '/desk/zones/bench/trials', '/desk/zones/:zone/trials');
            const early = (await screen.findByRole('rowheader', { name: 'early' })).closest('tr')!;
            // Half a kilogram a meter: 1.1023 lb on 3.2808 ft.
            expect(within(early).getByText('0.34 lb per foot')).toBeTruthy();
        } finally {
            readIn('metric');
        }
    });

    it('plans a plot for each repeat of each variety in each wave', async () => {
        const asked = fakeServer({
            ...answers(),
            'POST /api/zones/bench/trials': new Refused(422, { message: 'The crop is not grown in this way.' }),
        });
        show(<Trials />, '/desk/zones/bench/trials', '/desk/zones/:zone/trials');
        fireEvent.click(await screen.findByRole('button', { name: 'Plan a trial' }));
        fireEvent.change(await screen.findByLabelText('Question to answer'), {
            target: { value: 'Early?' },
        });
        await screen.findByRole('option', { name: 'Radish' });
        fireEvent.change(screen.getByLabelText('Crop'), { target: { value: 'radish' } });
        fireEvent.click(screen.getByLabelText('Harrow Red'));
        fireEvent.click(screen.getByLabelText('Basin Red'));
        fireEvent.click(screen.getByLabelText('Bed 1, School'));
        fireEvent.change(screen.getByLabelText('Middle day'), { target: { value: '2026-05-01' } });
        fireEvent.click(screen.getByRole('button', { name: 'Plan 18 plots' }));
        await screen.findByText('The crop is not grown in this way.');
        expect(asked.find(({ what }) => what === `POST ${base}/trials`)?.body as Plan).toMatchObject({
            crop: 'radish',
            route: 'direct',
            varieties: ['Harrow Red', 'Basin Red'],
            repeats: 3,
            waves: [
                { name: 'a week early', on: '2026-04-24' },
                { name: 'on the day', on: '2026-05-01' },
                { name: 'a week late', on: '2026-05-08' },
            ],
            beds: [{ garden: 'School', name: 'Bed 1' }],
        });
        // What was typed is still there.
        expect((screen.getByLabelText('Question to answer') as HTMLInputElement).value).toBe('Early?');
    });

    it('closes a trial with what was learned, and undoes it', async () => {
        const closed = { on: '2026-04-18', by: 'Wren', conclusion: 'Early pays.' };
        let trial: Trial = TRIAL;
        const asked = fakeServer({
            ...answers(),
            'GET /api/zones/bench/trials': () => [trial],
            'POST /api/trials/4/conclusion': () => (trial = { ...TRIAL, closed }),
            'DELETE /api/trials/4/conclusion': () => (trial = TRIAL),
        });
        show(<Trials />, '/desk/zones/bench/trials', '/desk/zones/:zone/trials');
        fireEvent.change(await screen.findByLabelText('What you learned'), { target: { value: 'Early pays.' } });
        fireEvent.click(screen.getByText('Close trial'));
        expect(await screen.findByText(/Closed: Radish\./)).toBeTruthy();
        fireEvent.click(screen.getByText('Undo'));
        expect(await screen.findByLabelText('What you learned')).toBeTruthy();
        expect(asked.some(({ what }) => what === 'DELETE /api/trials/4/conclusion')).toBe(true);
    });

    it('reopens one, and undoes it with the conclusion it had', async () => {
        const closed = { on: '2026-04-18', by: 'Wren', conclusion: 'Early pays.' };
        let trial: Trial = { ...TRIAL, closed };
        const asked = fakeServer({
            ...answers(),
            'GET /api/zones/bench/trials': () => [trial],
            'POST /api/trials/4/conclusion': () => (trial = { ...TRIAL, closed }),
            'DELETE /api/trials/4/conclusion': () => (trial = TRIAL),
        });
        show(<Trials />, '/desk/zones/bench/trials', '/desk/zones/:zone/trials');
        fireEvent.click(await screen.findByText('Reopen trial'));
        fireEvent.click(await screen.findByText('Undo'));
        await waitFor(() =>
            expect(asked.find(({ what }) => what === 'POST /api/trials/4/conclusion')?.body).toEqual({
                conclusion: 'Early pays.',
            }),
        );
    });

    it('offers days to maturity with their evidence, and takes them on a word', async () => {
        const held = {
            id: 9,
            packet_days: 26,
            days: 28.9,
            sowings: 7,
            error_before: 3,
            error_after: 0.3,
            by: 'Wren',
            on: '2026-04-18',
            undone_on: null,
        };
        let now: AnswerTo<'GET /api/zones/bench/local-days'> = { crops: [DAYS], history: [] };
        const asked = fakeServer({
            ...answers(),
            'GET /api/zones/bench/local-days': () => Promise.resolve(now),
            'POST /api/zones/bench/local-days': () =>
                Promise.resolve((now = { crops: [{ ...DAYS, held }], history: [] })),
        });
        show(<Trials />, '/desk/zones/bench/trials', '/desk/zones/:zone/trials');
        const radish = (await screen.findByRole('rowheader', { name: 'Radish' })).closest('tr')!;
        expect(within(radish).getByText('3 d, then 0.3 d')).toBeTruthy();
        fireEvent.click(await within(radish).findByRole('button', { name: 'Use 28.9 days' }));
        await waitFor(() => expect(screen.getByText(/28.9 days, set by Wren on 18 April 2026/)).toBeTruthy());
        expect(asked.find(({ what }) => what === `POST ${base}/local-days`)?.body).toEqual({
            crop: 'radish',
            variety: null,
            route: 'direct',
            replaces: null,
        });
        expect(screen.queryByRole('button', { name: 'Use 28.9 days' })).toBeNull();
    });
});
