import 'fake-indexeddb/auto';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { asBrowser, EDUCATOR, fakeServer, Refused } from '../testing';
import folds from '../../../core/tests/fixtures/sowing-fold.json';
import { begun, newerLines, sowingsFor, today, withEntry, type LogBook, type LoggedEntry, type Sowing } from './book';
import { Log } from './Log';
import { sendWaiting } from './send';
import {
    closeStore,
    keepBook,
    keepLine,
    keepOwner,
    sentLines,
    undoLine,
    waitingLines,
    type WaitingLine,
} from './store';

const sowing = (key: string, name: string, sown: string, days: Partial<Sowing['days']> = {}): Sowing => ({
    key,
    crop: name.toLowerCase(),
    name,
    variety: null,
    bed: { garden: 'School', name: 'Bed 1', site: 'open ground' },
    under_cover: false,
    days: {
        sown,
        set_out: null,
        up: null,
        thinned: null,
        first_picked: null,
        last_picked: null,
        lost: null,
        ...days,
    },
    cause: null,
    metres: null,
    kilograms: null,
    stems: null,
    quality: null,
});

const BOOK: LogBook = {
    today: '2026-04-18',
    zone: { slug: 'basin-floor', name: 'Basin Floor' },
    user: 'Wren',
    crops: [
        { slug: 'kale', name: 'Kale', names: ['Kale'], start: 'seed', cautions: [], varieties: [] },
        {
            slug: 'radish',
            name: 'Radish',
            names: ['Radish', 'rábano'],
            start: 'seed',
            cautions: ['treated_seed', 'burns_skin'],
            varieties: ['Harrow Red'],
        },
    ],
    cautions: { sown: ['treated_seed'], thinned: ['burns_skin'] },
    usual_days: { up: 10, thinned: 24, 'set-out': 42, 'first-picked': 60 },
    likely: ['radish'],
    beds: [
        { garden: 'School', name: 'Bed 3', site: 'open ground' },
        { garden: 'School', name: 'Bed 1', site: 'open ground' },
    ],
    sowings: [sowing('sown-before', 'Kale', '2026-04-08'), sowing('sown-today', 'Radish', '2026-04-18')],
    due: [],
    cues: [{ id: 4, plant: 'Lilac', stage: 'first leaf' }],
};

const line = (key: string, with_: Partial<WaitingLine> = {}): WaitingLine => ({
    key,
    zone: 'basin-floor',
    writer: 'wren@kestrel.example',
    entry: { key, act: 'note', on: '2026-04-18', text: key, written_at: 1_800_000_000_000 },
    photo: null,
    refused: null,
    ...with_,
});

type Sent = { sent_at: number; entries: LoggedEntry[] };

const takes = (refuse: Record<string, string> = {}) => ({
    'POST /api/zones/basin-floor/log-entries': (body: Sent) => ({
        kept: body.entries.map((e) => e.key).filter((key) => !refuse[key]),
        refused: body.entries
            .filter((e) => refuse[e.key])
            .map((e) => ({ key: e.key, field: 'on', message: refuse[e.key] ?? '' })),
        clock_minutes: 0,
    }),
});

const HERE = {
    'GET /api/session': EDUCATOR,
    'GET /api/zones/basin-floor/log-book': BOOK,
};

/** Of an educator with two zones, at home in one or in none. */
const ofTwoZones = (home: string | null) => ({
    ...EDUCATOR,
    user: {
        ...EDUCATOR.user,
        home_zone: home,
        offices: EDUCATOR.user.offices.map((office) => ({
            ...office,
            zones: [...office.zones, { slug: 'lakeshore', name: 'Lakeshore' }],
        })),
    },
});

beforeEach(asBrowser);

afterEach(async () => {
    vi.restoreAllMocks();
    await closeStore();
    indexedDB.deleteDatabase('anthesis-log');
});

describe('what waits', () => {
    it('goes in the order in which it was written, each line once, over three broken lines', async () => {
        const keys = Array.from({ length: 500 }, (_, i) => `line-number-${i}`);
        for (const key of keys) await keepLine(line(key));
        const reached: string[] = [];
        let tries = 0;
        fakeServer({
            'POST /api/zones/basin-floor/log-entries': async (body: Sent) => {
                tries++;
                // The line breaks before the server hears of it, and after: what it has already it keeps once.
                if (tries === 2 || tries === 9) throw new TypeError('broken');
                for (const { key } of body.entries) if (!reached.includes(key)) reached.push(key);
                if (tries === 5) throw new TypeError('broken');
                return { kept: body.entries.map((e) => e.key), refused: [], clock_minutes: 0 };
            },
        });
        const ends = [];
        for (let i = 0; i < 4; i++) ends.push((await sendWaiting('wren@kestrel.example')).ended);
        expect(ends).toEqual(['no-line', 'no-line', 'no-line', 'all']);
        expect(reached).toEqual(keys);
        expect(await waitingLines()).toEqual([]);
        expect((await sentLines())[0]?.key).toBe('line-number-499');
    });

    it('is taken back after it, when it is undone while it is being sent', async () => {
        await keepLine(line('sent-while-undone'));
        const takeBack: LoggedEntry = {
            key: 'takes-it-back',
            act: 'note',
            on: '2026-04-18',
            corrects: 'sent-while-undone',
            taken_back: true,
            written_at: 1_800_000_000_001,
        };
        const reached: string[][] = [];
        fakeServer({
            'POST /api/zones/basin-floor/log-entries': async (body: Sent & { written_by: string }) => {
                expect(body.written_by).toBe('wren@kestrel.example');
                reached.push(body.entries.map((e) => e.key));
                // The thumb is faster than the answer.
                if (reached.length === 1) expect(await undoLine('sent-while-undone', takeBack)).toBe(true);
                return { kept: body.entries.map((e) => e.key), refused: [], clock_minutes: 0 };
            },
        });
        expect((await sendWaiting('wren@kestrel.example')).ended).toBe('all');
        expect(reached).toEqual([['sent-while-undone'], ['takes-it-back']]);
        expect(await waitingLines()).toEqual([]);
    });

    it('is sent again with what takes it back, when the answer was lost', async () => {
        await keepLine(line('answer-was-lost'));
        const takeBack: LoggedEntry = {
            ...line('x').entry,
            key: 'takes-it-back',
            corrects: 'answer-was-lost',
            taken_back: true,
        };
        let tries = 0;
        const server: string[] = [];
        fakeServer({
            'POST /api/zones/basin-floor/log-entries': (body: Sent) => {
                for (const { key } of body.entries) if (!server.includes(key)) server.push(key);
                if (++tries === 1) throw new TypeError('broken');
                return { kept: body.entries.map((e) => e.key), refused: [], clock_minutes: 0 };
            },
        });
        expect((await sendWaiting('wren@kestrel.example')).ended).toBe('no-line');
        await undoLine('answer-was-lost', takeBack);
        expect((await waitingLines()).map(({ key }) => key)).toEqual(['answer-was-lost', 'takes-it-back']);
        expect((await sendWaiting('wren@kestrel.example')).ended).toBe('all');
        expect(server).toEqual(['answer-was-lost', 'takes-it-back']);
    });

    it('is simply gone when it is undone before it was ever sent, or when the server refuses both', async () => {
        const takeBack = (of: string): LoggedEntry => ({
            ...line('x').entry,
            key: `no-${of}`,
            corrects: of,
            taken_back: true,
        });
        await keepLine(line('never-sent'));
        expect(await undoLine('never-sent', takeBack('never-sent'))).toBe(true);
        expect(await undoLine('never-sent', takeBack('never-sent'))).toBe(false);
        expect(await waitingLines()).toEqual([]);
        await keepLine(line('cannot-be', { sending: true }));
        await undoLine('cannot-be', takeBack('cannot-be'));
        fakeServer(takes({ 'cannot-be': 'It has not come yet.', 'no-cannot-be': 'It is not in this log.' }));
        expect((await sendWaiting('wren@kestrel.example')).ended).toBe('all');
        expect(await waitingLines()).toEqual([]);
    });

    it('waits for the person who wrote it, when somebody else is logged in', async () => {
        await keepLine(line('written-by-wren'));
        fakeServer({
            'POST /api/zones/basin-floor/log-entries': new Refused(409, { message: 'Log in as who wrote it.' }),
        });
        expect((await sendWaiting('wren@kestrel.example')).ended).toBe('somebody-else');
        expect((await waitingLines()).map(({ key, refused }) => [key, refused])).toEqual([['written-by-wren', null]]);
    });

    it('comes back with the reason where it cannot stand, and the rest goes', async () => {
        for (const key of ['first-line', 'wrong-line', 'third-line']) await keepLine(line(key));
        fakeServer(takes({ 'wrong-line': '2026-04-19 has not come yet.' }));
        expect(await sendWaiting('wren@kestrel.example')).toEqual({ ended: 'all', kept: 2, refused: 1, clock: 0 });
        const [left] = await waitingLines();
        expect(left?.refused).toEqual({ field: 'on', message: '2026-04-19 has not come yet.' });
        // It is not sent again by itself; fixed, it is.
        expect((await sendWaiting('wren@kestrel.example')).kept).toBe(0);
        await keepLine({ ...line('wrong-line'), refused: null });
        fakeServer(takes());
        expect((await sendWaiting('wren@kestrel.example')).kept).toBe(1);
        expect(await waitingLines()).toEqual([]);
    });

    it('waits for the log-in, and for the one who wrote it', async () => {
        await keepLine(line('my-own-line'));
        await keepLine(line('of-somebody-else', { writer: 'tobias@kestrel.example' }));
        fakeServer({
            'POST /api/zones/basin-floor/log-entries': new Refused(401, { message: 'Nobody is logged in.' }),
        });
        expect((await sendWaiting('wren@kestrel.example')).ended).toBe('log-in');
        fakeServer({ 'POST /api/zones/basin-floor/log-entries': new Refused(503, { message: 'Busy.' }) });
        expect((await sendWaiting('wren@kestrel.example')).ended).toBe('busy');
        const asked = fakeServer(takes());
        expect((await sendWaiting('wren@kestrel.example')).kept).toBe(1);
        expect((asked[0]?.body as Sent).entries.map((e) => e.key)).toEqual(['my-own-line']);
        expect((await waitingLines()).map((one) => one.key)).toEqual(['of-somebody-else']);
    });

    it('says that another tab is at it, and not that the server is busy', async () => {
        await keepLine(line('my-own-line'));
        vi.stubGlobal('navigator', {
            locks: { request: (_: string, __: unknown, act: (lock: null) => unknown) => act(null) },
        });
        const asked = fakeServer(takes());
        expect((await sendWaiting('wren@kestrel.example')).ended).toBe('sending');
        expect(asked).toEqual([]);
    });

    it('sends a photo before its line, and the line alone says where that is refused', async () => {
        await keepLine(line('with-picture', { photo: new ArrayBuffer(3) }));
        const asked = fakeServer({ 'POST /api/log-photos': { photo: 'abc', width: 1, height: 1 }, ...takes() });
        expect((await sendWaiting('wren@kestrel.example')).kept).toBe(1);
        expect(asked.map(({ what }) => what)).toEqual([
            'POST /api/log-photos',
            'POST /api/zones/basin-floor/log-entries',
        ]);
        expect((asked[1]?.body as Sent).entries[0]?.photo).toBe('abc');
        await keepLine(line('with-no-picture', { photo: new ArrayBuffer(3) }));
        await keepLine(line('without-picture'));
        fakeServer({ 'POST /api/log-photos': new Refused(422, { message: 'This is not a photo.' }), ...takes() });
        expect(await sendWaiting('wren@kestrel.example')).toMatchObject({ kept: 1, refused: 1 });
        expect((await waitingLines())[0]?.refused).toEqual({ field: 'photo', message: 'This is not a photo.' });
    });

    it('is kept once under its key, however often it is written anew', async () => {
        await keepLine(line('only-once-kept'));
        await keepLine({ ...line('only-once-kept'), refused: { field: 'on', message: 'why' } });
        expect((await waitingLines()).length).toBe(1);
    });
});

describe('the book', () => {
    it('tells the day by those that have passed, whatever the clock of the phone says', () => {
        const wrong = new Date(2020, 0, 1, 12).getTime();
        expect(today({ book: BOOK, fetched: wrong }, wrong)).toBe('2026-04-18');
        expect(today({ book: BOOK, fetched: wrong }, wrong + 2 * 86_400_000)).toBe('2026-04-20');
        expect(today({ book: BOOK, fetched: wrong }, wrong - 86_400_000)).toBe('2026-04-18');
    });

    it('offers the sowings an act may be of, with what waits taken for known', () => {
        const names = (act: Parameters<typeof sowingsFor>[0], waiting: LoggedEntry[] = []) =>
            sowingsFor(act, BOOK, waiting, '2026-04-18').map((one) => one.key);
        expect(names('up')).toEqual(['sown-before', 'sown-today']);
        const up: LoggedEntry = { key: 'up-1', act: 'up', on: '2026-04-18', sowing: 'sown-before', written_at: 0 };
        expect(names('up', [up])).toEqual(['sown-today']);
        const own: LoggedEntry = { key: 'new-1', act: 'sown', on: '2026-04-18', crop: 'kale', written_at: 0 };
        expect(names('lost', [own])).toContain('new-1');
        expect(names('set-out')).toEqual([]);
        const raised: LoggedEntry = { ...own, key: 'new-2', under_cover: true };
        expect(names('set-out', [raised])).toEqual(['new-2']);
        expect(names('first-picked', [raised])).not.toContain('new-2');
        const lost: LoggedEntry = { key: 'l', act: 'lost', on: '2026-04-18', sowing: 'sown-before', written_at: 0 };
        expect(names('lost', [lost])).toEqual(['sown-today']);
        // The book has the line already: what it tells of it stands.
        expect(names('lost', [{ ...own, key: 'sown-today' }])).toEqual(['sown-today', 'sown-before']);
        const undone = { key: 'u', act: 'sown' as const, on: '2026-04-18', corrects: 'new-1', written_at: 0 };
        expect(names('lost', [own, { ...undone, taken_back: true }])).toEqual(['sown-today', 'sown-before']);
        const mended = sowingsFor(
            'lost',
            BOOK,
            [own, up, { ...undone, crop: 'radish', on: '2026-04-16' }],
            '2026-04-18',
        );
        expect(mended.map(({ key, name, days }) => [key, name, days.sown, days.up])).toEqual([
            ['sown-today', 'Radish', '2026-04-18', null],
            ['new-1', 'Radish', '2026-04-16', null],
            ['sown-before', 'Kale', '2026-04-08', '2026-04-18'],
        ]);
    });

    it('are told by what went since the book was fetched and what waits, of this zone', () => {
        const sent = (key: string, at?: number) => ({ ...line(key), ...(at !== undefined && { at }) });
        const newer = newerLines(
            { book: BOOK, fetched: 1000 },
            'basin-floor',
            [sent('went-last', 1002), sent('went-first', 1000), sent('before', 999), sent('of-an-older-log')],
            [line('waits'), line('elsewhere', { zone: 'lakeshore' })],
        );
        expect(newer.map(({ key }) => key)).toEqual(['went-first', 'went-last', 'waits']);
    });
});

describe('the log', () => {
    const open = () => render(<Log />);

    it('takes a sowing in three touches', async () => {
        const asked = fakeServer({ ...HERE, ...takes() });
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'sown' }));
        fireEvent.click(screen.getByRole('button', { name: 'Radish' }));
        fireEvent.click(screen.getByRole('button', { name: 'Save: sown, Radish, Bed 3' }));
        await screen.findByText(/^Saved: sown/);
        const sent = asked.filter(({ what }) => what.startsWith('POST')).map(({ body }) => (body as Sent).entries)[0];
        expect(sent?.[0]).toMatchObject({
            act: 'sown',
            on: '2026-04-18',
            crop: 'radish',
            garden: 'School',
            bed: 'Bed 3',
        });
        // The likely crop stands first, and the way back is there.
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(asked.filter(({ what }) => what.startsWith('POST')).length).toBe(2));
        const back = asked.filter(({ what }) => what.startsWith('POST'))[1]?.body as Sent;
        expect(back.entries[0]).toMatchObject({ act: 'sown', corrects: sent?.[0]?.key, taken_back: true });
    });

    it('begins with the home zone of the person, where none was open before', async () => {
        const asked = fakeServer({
            ...HERE,
            'GET /api/session': ofTwoZones('lakeshore'),
            'GET /api/zones/lakeshore/log-book': BOOK,
        });
        open();
        await screen.findByRole('button', { name: 'sown' });
        expect(asked.some(({ what }) => what === 'GET /api/zones/lakeshore/log-book')).toBe(true);
    });

    it('opens another zone once it is here, and stays where it is as long as that cannot be fetched', async () => {
        const answers = {
            ...HERE,
            'GET /api/session': ofTwoZones(null),
            'GET /api/zones/lakeshore/log-book': new Refused(404, { message: 'Not yet.' }) as Refused | typeof BOOK,
        };
        fakeServer(answers);
        open();
        await screen.findByRole('button', { name: 'sown' });
        fireEvent.change(screen.getByLabelText('Zone'), { target: { value: 'lakeshore' } });
        await screen.findByText(/^Lakeshore could not be loaded, so you are still in Basin Floor/);
        expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Basin Floor');
        answers['GET /api/zones/lakeshore/log-book'] = { ...BOOK, zone: { slug: 'lakeshore', name: 'Lakeshore' } };
        fireEvent.change(screen.getByLabelText('Zone'), { target: { value: 'lakeshore' } });
        await waitFor(() => expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Lakeshore'));
        expect(screen.queryByText(/could not be loaded/)).toBeNull();
    });

    it('takes a watering in two touches, with the amount only where it is known', async () => {
        const asked = fakeServer({ ...HERE, ...takes() });
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'watered' }));
        fireEvent.click(screen.getByRole('button', { name: 'Save: watered, Bed 3' }));
        await screen.findByText(/^Saved: watered/);
        const sent = () =>
            asked.filter(({ what }) => what.startsWith('POST')).map(({ body }) => (body as Sent).entries[0]);
        expect(sent()[0]).toMatchObject({ act: 'watered', on: '2026-04-18', garden: 'School', bed: 'Bed 3', mm: null });
        fireEvent.click(screen.getByRole('button', { name: 'rain gauge' }));
        expect(screen.getByRole('button', { name: 'Enter what it caught' })).toHaveProperty('disabled', true);
        fireEvent.change(screen.getByLabelText(/^It caught/), { target: { value: '0' } });
        fireEvent.click(screen.getByRole('button', { name: 'Save: rain gauge, Bed 3' }));
        await screen.findByText(/^Saved: rain gauge/);
        expect(sent()[1]).toMatchObject({ act: 'gauge', mm: 0 });
    });

    it('says what can hurt where the act is, and not elsewhere', async () => {
        fakeServer({ ...HERE, ...takes() });
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'sown' }));
        fireEvent.click(screen.getByRole('button', { name: 'Kale' }));
        expect(screen.queryByText(/wear gloves/)).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Radish' }));
        expect(screen.getByText(/^Seed may be treated: wear gloves/)).toBeTruthy();
        expect(screen.queryByText(/can burn skin/)).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Back' }));
        fireEvent.click(await screen.findByRole('button', { name: 'thinned' }));
        fireEvent.click(screen.getByRole('button', { name: /^Radish, Bed 1/ }));
        expect(screen.getByText(/^The juice can burn skin/)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Back' }));
        fireEvent.click(await screen.findByRole('button', { name: 'amended' }));
        expect(screen.getByText(/^No raw manure from 120 days/)).toBeTruthy();
    });

    it('knows what it sent before the book comes again, and moves nothing under a thumb when it does', async () => {
        let again: (book: LogBook) => void = () => undefined;
        let book: LogBook | Promise<LogBook> = BOOK;
        const asked = fakeServer({ ...HERE, ...takes(), 'GET /api/zones/basin-floor/log-book': () => book });
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'sown' }));
        fireEvent.click(screen.getByRole('button', { name: 'Kale' }));
        book = new Promise((resolve) => (again = resolve));
        fireEvent.click(screen.getByRole('button', { name: 'Save: sown, Kale, Bed 3' }));
        await screen.findByText(/^Saved: sown/);
        fireEvent.click(screen.getByRole('button', { name: 'lost' }));
        const sowings = () =>
            within(screen.getByRole('group', { name: 'Which planting' }))
                .getAllByRole('button')
                .map(({ textContent }) => textContent);
        const before = ['Radish, Bed 1, sown on 18 Apr', 'Kale, Bed 3, sown on 18 Apr', 'Kale, Bed 1, sown on 8 Apr'];
        expect(sowings()).toEqual(before);
        const { key } = (asked.find(({ what }) => what.startsWith('POST'))?.body as Sent).entries[0]!;
        const own = { ...sowing(key, 'Kale', '2026-04-18'), bed: BOOK.beds[0]! };
        const colleagues = sowing('of-a-colleague', 'Garlic', '2026-04-18');
        again({ ...BOOK, sowings: [colleagues, own, ...BOOK.sowings] });
        await screen.findByRole('button', { name: /^Garlic/ });
        expect(sowings()).toEqual([...before, 'Garlic, Bed 1, sown on 18 Apr']);
    });

    it('opens without a line on what it has, keeps what is written, and says so', async () => {
        await keepOwner({ email: 'wren@kestrel.example', name: 'Wren', zone: 'basin-floor' });
        await keepBook('basin-floor', { book: BOOK, fetched: Date.now() });
        vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('no line')));
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'emerged' }));
        const which = screen.getByRole('group', { name: 'Which planting' });
        fireEvent.click(within(which).getByRole('button', { name: /^Kale/ }));
        fireEvent.click(screen.getByRole('button', { name: 'Save: emerged, Kale, Bed 1' }));
        await screen.findByText(/Saved on this phone: emerged/);
        await screen.findByText(/You are offline/);
        expect((await waitingLines()).map(({ entry }) => [entry.act, entry.sowing])).toEqual([['up', 'sown-before']]);
    });

    it('shows what came back with the reason, and keeps what was typed while it is put right', async () => {
        await keepLine(line('came-back-line', { refused: { field: 'on', message: 'It has not come yet.' } }));
        const asked = fakeServer({ ...HERE, ...takes() });
        open();
        fireEvent.click(await screen.findByRole('button', { name: /one needs fixing/ }));
        await screen.findByText('It has not come yet.');
        fireEvent.click(screen.getByRole('button', { name: 'Fix' }));
        expect((screen.getByLabelText('Note') as HTMLTextAreaElement).value).toBe('came-back-line');
        fireEvent.click(screen.getByRole('button', { name: /^Save/ }));
        await waitFor(() => expect(asked.some(({ what }) => what.startsWith('POST'))).toBe(true));
        expect((asked.find(({ what }) => what.startsWith('POST'))?.body as Sent).entries[0]?.key).toBe(
            'came-back-line',
        );
    });

    it('keeps the form where the phone has no room', async () => {
        fakeServer({ ...HERE, ...takes() });
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'note' }));
        fireEvent.change(screen.getByLabelText('Note'), { target: { value: 'Flea beetles.' } });
        const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
            throw new DOMException('full', 'QuotaExceededError');
        });
        fireEvent.click(screen.getByRole('button', { name: /^Save/ }));
        await screen.findByText(/This phone has no room for the entry/);
        expect((screen.getByLabelText('Note') as HTMLTextAreaElement).value).toBe('Flea beetles.');
        put.mockRestore();
        fireEvent.click(screen.getByRole('button', { name: /^Save/ }));
        await screen.findByText(/^Saved: note/);
    });

    it('asks for the log-in where it ran out, and what waits goes then', async () => {
        await keepOwner({ email: 'wren@kestrel.example', name: 'Wren', zone: 'basin-floor' });
        await keepBook('basin-floor', { book: BOOK, fetched: Date.now() });
        await keepLine(line('waits-for-log-in'));
        const out = { ...EDUCATOR, user: null };
        let inside = false;
        fakeServer({
            ...HERE,
            'GET /api/session': () => (inside ? EDUCATOR : out),
            'POST /api/session': () => {
                inside = true;
                return EDUCATOR;
            },
            'POST /api/zones/basin-floor/log-entries': (body: Sent) =>
                inside
                    ? { kept: body.entries.map((e) => e.key), refused: [], clock_minutes: -1440 }
                    : new Refused(401, { message: 'Nobody is logged in.' }),
        });
        open();
        await screen.findByText(/One entry waits here and is sent when you log in/);
        fireEvent.change(screen.getByLabelText(/E-mail/), { target: { value: 'wren@kestrel.example' } });
        fireEvent.change(screen.getByLabelText(/Password/, { selector: 'input' }), { target: { value: 'secret' } });
        fireEvent.submit(screen.getByRole('form', { name: 'Log in' }));
        await screen.findByText('Everything is sent');
        expect(await waitingLines()).toEqual([]);
        await screen.findByText(/This phone’s clock is 24 hours slow/);
    });
});

describe('a sowing told on the phone', () => {
    const fields = (sowing: Record<string, unknown>) => {
        const { variety, metres, under_cover, cause, kilograms, stems } = sowing;
        const days = Object.entries(sowing.days ?? {}).filter(([, day]) => day);
        return { variety, metres, under_cover, cause, kilograms, stems, days: Object.fromEntries(days) };
    };

    // The server's fold is held to the same file. What begins with nothing is refused there and never shown here.
    it.each(folds.filter(({ sowing }) => sowing !== null))(
        'is what the server will tell: $name',
        ({ entries, sowing }) => {
            const [first, ...rest] = entries.map((entry, i) => ({ key: `entry-${i}`, ...entry })) as LoggedEntry[];
            const told = rest.reduce(withEntry, begun(first as LoggedEntry, new Map()));
            expect(fields(told)).toEqual(fields(sowing ?? {}));
        },
    );
});

describe('where the browser keeps nothing', () => {
    it('says so, with what to do, and opens once it may', async () => {
        await closeStore();
        asBrowser();
        fakeServer({ 'GET /api/session': { ...EDUCATOR, user: null } });
        const open = vi.spyOn(indexedDB, 'open').mockImplementation(() => {
            throw new DOMException('Storage is switched off.', 'SecurityError');
        });
        render(<Log />);
        expect((await screen.findByRole('alert')).textContent).toMatch(/does not let the logbook save anything/);
        expect(screen.queryByText('Opening …')).toBeNull();
        open.mockRestore();
        fireEvent.click(screen.getByText('Try again'));
        await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    });
});
