import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { COMPUTATION, EDUCATOR, fakeServer, RECORD, show, ZONE } from '../../testing';
import { forgetDrafts } from '../../ui/kept';
import { Editions } from './Editions';

const edition: Schema['Edition'] = {
    number: 2,
    published_on: '2026-05-12',
    published_by: 'Tobias',
    note: 'A note.',
    checksum: 'ab'.repeat(32),
    in_force: false,
    waits_for: { signature: true, day: null },
    signed_by: null,
    withdrawn: null,
    url: '/zones/bench/editions/2',
};
const zone = {
    ...ZONE,
    record: RECORD,
    computation: { ...COMPUTATION, state: 'done' as const },
    edition: { ...edition, number: 1 },
};
const span = (first: string, last: string) => ({ first, last, days: 30 });
const change = (crop: string, size: number, with_: object = {}): Schema['Change'] => ({
    crop,
    name: crop[0]?.toUpperCase() + crop.slice(1),
    route: 'direct',
    act: 'sow-outdoors',
    kind: 'moved',
    size,
    before: [span('04-10', '05-10')],
    now: [span('04-15', '05-10')],
    why: ['record', 'method'],
    phrase: { key: 'change.new', with: { crop: `The ${crop}` } },
    ...with_,
});
const draft: Schema['Draft'] = {
    number: 2,
    crops: 81,
    against: 1,
    changes: [change('carrot', 20), change('radish', 5, { now: [], why: [] })],
    warnings: [
        { key: 'doubts-3', cause: 'doubts', phrase: { key: 'warning.doubts', with: { doubts: 3 } } },
        {
            key: 'unexplained-kale-direct',
            cause: 'unexplained',
            phrase: { key: 'verbatim', with: { text: 'Kale: no dates.' } },
        },
        {
            key: 'unexplained-leek-direct',
            cause: 'unexplained',
            phrase: { key: 'verbatim', with: { text: 'Leek: no dates.' } },
        },
    ],
    objections: [
        { id: 7, crop: 'carrot', text: 'Too late for us.', author: 'Tobias', answer: null, answered_by: null },
        { id: 8, crop: 'leek', text: 'Rust.', author: 'Tobias', answer: 'Noted.', answered_by: 'Wren' },
    ],
};
const answers = {
    'GET /api/session': EDUCATOR,
    'GET /api/zones/bench': zone,
    'GET /api/zones/bench/editions': [],
    'GET /api/zones/bench/draft': draft,
    'GET /api/translations': { languages: [], texts: [] },
};
const at = (): [string, string] => ['/desk/zones/bench/calendars', '/desk/zones/:zone/calendars'];

describe('the proof of an edition', () => {
    it('holds the draft against the edition in force, with why, and what is objected to', async () => {
        fakeServer(answers);
        show(<Editions />, ...at());
        expect(await screen.findByText('2 tasks changed since edition 1, the largest changes first.')).toBeTruthy();
        const [, carrot, radish] = screen.getAllByRole('row');
        expect(within(carrot as HTMLElement).getByText('10 Apr to 10 May')).toBeTruthy();
        expect(within(carrot as HTMLElement).getByText('15 Apr to 10 May')).toBeTruthy();
        expect(within(carrot as HTMLElement).getByText('The carrot is new.')).toBeTruthy();
        expect(within(carrot as HTMLElement).getByText('the record and the method')).toBeTruthy();
        expect(within(carrot as HTMLElement).getByText(/Too late for us./)).toBeTruthy();
        expect(within(radish as HTMLElement).getByText('no window')).toBeTruthy();
        expect(within(radish as HTMLElement).getByText('not known')).toBeTruthy();
        // Of a crop that does not change.
        expect(screen.getByText(/leek: Rust./)).toBeTruthy();
    });

    it('is not published before each warning is answered', async () => {
        const asked = fakeServer({
            ...answers,
            'POST /api/zones/bench/editions': { id: 1, state: 'failed', error: 'x', done: 0, total: 0, edition },
        });
        show(<Editions />, ...at());
        const answer = await screen.findByLabelText(/3 questionable values have not been decided on/);
        expect(screen.getByText('Write the note and explain 2 warnings to publish.')).toBeTruthy();
        fireEvent.change(screen.getByLabelText(/Note to gardeners/), { target: { value: 'A correction.' } });
        const button = screen.getByRole('button', { name: 'Publish' }) as HTMLButtonElement;
        expect(button.disabled).toBe(true);
        fireEvent.change(answer, { target: { value: 'Looked at.' } });
        expect(screen.getByText('One warning still needs an explanation.')).toBeTruthy();
        expect(screen.getByText('2 crops have no dates, and no reason why')).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Your explanation for all of them'), { target: { value: 'Known.' } });
        expect(button.disabled).toBe(false);
        fireEvent.click(button);
        await waitFor(() =>
            expect(asked.find((a) => a.what === 'POST /api/zones/bench/editions')?.body).toMatchObject({
                note: 'A correction.',
                answers: { doubts: 'Looked at.', unexplained: 'Known.' },
            }),
        );
    });

    it('keeps what was typed when one looks at another screen and comes back', async () => {
        fakeServer(answers);
        const { unmount } = show(<Editions />, ...at());
        fireEvent.change(await screen.findByLabelText(/Note to gardeners/), { target: { value: 'A correction.' } });
        fireEvent.change(await screen.findByLabelText(/3 questionable values/), { target: { value: 'Looked at.' } });
        unmount();
        show(<Editions />, ...at());
        const note = (await screen.findByLabelText(/Note to gardeners/)) as HTMLTextAreaElement;
        expect(note.value).toBe('A correction.');
        expect(((await screen.findByLabelText(/3 questionable values/)) as HTMLInputElement).value).toBe('Looked at.');
        const leaving = new Event('beforeunload', { cancelable: true });
        window.dispatchEvent(leaving);
        expect(leaving.defaultPrevented).toBe(true);
        forgetDrafts();
    });

    it('has objections raised and answered', async () => {
        const asked = fakeServer({
            ...answers,
            'POST /api/zones/bench/objections': draft.objections[0]!,
            'POST /api/objections/7/answer': draft.objections[1]!,
        });
        show(<Editions />, ...at());
        fireEvent.click(await screen.findByText('Add a comment'));
        fireEvent.change(screen.getByLabelText('Crop'), { target: { value: 'radish' } });
        fireEvent.change(screen.getByLabelText('Your comment'), { target: { value: 'Flea beetle.' } });
        fireEvent.submit(screen.getByLabelText('Your comment'));
        await waitFor(() =>
            expect(asked.find((a) => a.what === 'POST /api/zones/bench/objections')?.body).toMatchObject({
                crop: 'radish',
                text: 'Flea beetle.',
            }),
        );
        fireEvent.change(screen.getByLabelText('Answer'), { target: { value: 'A net helps.' } });
        fireEvent.submit(screen.getByLabelText('Answer'));
        await waitFor(() =>
            expect(asked.find((a) => a.what === 'POST /api/objections/7/answer')?.body).toEqual({
                answer: 'A net helps.',
            }),
        );
    });

    it('of a first edition says that there is none to hold it against', async () => {
        fakeServer({
            ...answers,
            'GET /api/zones/bench/draft': {
                ...draft,
                number: 1,
                against: null,
                changes: [],
                warnings: [],
                objections: [],
            },
        });
        show(<Editions />, ...at());
        expect(await screen.findByText('The first edition: 81 crops.')).toBeTruthy();
        expect(screen.queryByText('Add a comment')).toBeNull();
    });
});

describe('editions that were published', () => {
    const with_ = (change: object) => ({ ...answers, 'GET /api/zones/bench/editions': [{ ...edition, ...change }] });

    it('that wait are signed by another than their drafter', async () => {
        const asked = fakeServer({
            ...with_({}),
            'POST /api/zones/bench/editions/2/signature': { ...edition, signed_by: 'Wren' },
        });
        show(<Editions />, ...at());
        expect(await screen.findByText(/waits for a second signature/)).toBeTruthy();
        fireEvent.click(screen.getByText('Sign'));
        await waitFor(() =>
            expect(asked.some((a) => a.what === 'POST /api/zones/bench/editions/2/signature')).toBe(true),
        );
    });

    it('by oneself are not signed by oneself; one that waits for a day says which', async () => {
        fakeServer(with_({ published_by: 'Wren', waits_for: { signature: true, day: '2026-06-01' } }));
        show(<Editions />, ...at());
        expect(await screen.findByText('Undo publishing')).toBeTruthy();
        expect(screen.queryByText('Sign')).toBeNull();
    });

    it('in force are withdrawn with a reason, and say so afterwards', async () => {
        const inForce = { in_force: true, waits_for: null };
        const asked = fakeServer({
            ...with_(inForce),
            'POST /api/zones/bench/editions/2/withdrawal': { ...edition, ...inForce },
        });
        show(<Editions />, ...at());
        fireEvent.click(await screen.findByText('Withdraw'));
        const button = screen.getAllByText('Withdraw').at(-1)?.closest('button') as HTMLButtonElement;
        fireEvent.change(screen.getByLabelText(/^Why/), { target: { value: 'The wrong station.' } });
        fireEvent.submit(screen.getByLabelText(/^Why/));
        await waitFor(() =>
            expect(asked.find((a) => a.what === 'POST /api/zones/bench/editions/2/withdrawal')?.body).toEqual({
                reason: 'The wrong station.',
            }),
        );
        expect(button).toBeTruthy();
        fakeServer(with_({ ...inForce, withdrawn: { on: '2026-05-20', by: 'Wren', reason: 'The wrong station.' } }));
    });

    it('wait for a day when one is chosen, with the note in another language', async () => {
        const asked = fakeServer({
            ...answers,
            'GET /api/translations': { languages: ['es'], texts: [] },
            'POST /api/zones/bench/editions': { id: 1, state: 'waiting', error: null, done: 0, total: 0, edition },
        });
        show(<Editions />, ...at());
        fireEvent.change(await screen.findByLabelText(/Note in Spanish/), { target: { value: 'Una nota.' } });
        fireEvent.change(screen.getByLabelText(/Note to gardeners/), { target: { value: 'A note.' } });
        fireEvent.change(screen.getByLabelText(/Current from/), { target: { value: '2026-06-01' } });
        fireEvent.change(screen.getByLabelText(/3 questionable values/), { target: { value: 'Seen.' } });
        fireEvent.change(screen.getByLabelText('Your explanation for all of them'), { target: { value: 'Seen.' } });
        fireEvent.click(screen.getByRole('button', { name: 'Publish' }));
        await waitFor(() =>
            expect(asked.find((a) => a.what === 'POST /api/zones/bench/editions')?.body).toMatchObject({
                from: '2026-06-01',
                note_in: { es: 'Una nota.' },
            }),
        );
        expect(await screen.findByText(/is locked and waits/)).toBeTruthy();
    });
});
