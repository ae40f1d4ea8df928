import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import {
    COMPUTATION,
    EDUCATOR,
    fakeServer,
    METHOD,
    RECORD,
    Refused,
    RULER,
    show,
    SITE,
    ZONE,
    type AnswerTo,
} from '../../testing';
import { Windows } from './Windows';

type WindowsData = AnswerTo<'GET /api/zones/bench/windows'>;

const route = (first: string, last: string, days: number): WindowsData['crops'][number]['routes'][number] => ({
    route: 'direct',
    act: 'sow-outdoors',
    windows: days === 0 ? [] : [{ first, last, days }],
    fair: [],
    under_cover: [],
    harvests: [],
    reasons: [],
    ribbon: { years: 30, width: 1, outcomes: { harvest: 'b_b_b_b_b_by', heat: 'D_D_D_D_D_Dy' } },
});
const crop = (
    slug: string,
    name: string,
    family: string,
    kind: WindowsData['crops'][number]['kind'],
    routes: WindowsData['crops'][number]['routes'],
    school: WindowsData['crops'][number]['school'] = 'replay',
): WindowsData['crops'][number] => ({
    slug,
    name,
    family,
    kind,
    school,
    routes,
});
const windows: WindowsData = {
    zone: 'bench',
    computed_at: '2026-04-20T08:00:00+00:00',
    method: METHOD,
    record: RECORD,
    standards: ['cautious', 'reliable', 'bold'],
    stale: false,
    ruler: RULER,
    crops: [
        crop('radish', 'Radish', 'Brassicaceae', 'cool', [route('03-31', '06-21', 83)]),
        crop('bean', 'Bush bean', 'Fabaceae', 'warm', [route('05-13', '07-08', 57)]),
        crop('pumpkin', 'Pumpkin', 'Cucurbitaceae', 'warm', [route('09-01', '09-20', 20)], 'own'),
        crop('okra', 'Okra', 'Malvaceae', 'warm', [route('', '', 0)]),
    ],
};
const sites = [
    { ...SITE, id: 1, name: 'open ground' },
    { ...SITE, name: 'low tunnel' },
];
const zone = { ...ZONE, version: 4 };
const answers = {
    'GET /api/session': EDUCATOR,
    'GET /api/sites': sites,
    'GET /api/zones/bench': zone,
    'GET /api/zones/bench/windows': windows,
};
const at = (search = '') =>
    ['/desk/zones/bench/planting-windows' + search, '/desk/zones/:zone/planting-windows'] as const;
const groups = () => [...document.querySelectorAll('text.group')].map((t) => t.textContent);

describe('the windows of a zone', () => {
    it('stand by family, by season, or by what is next', async () => {
        fakeServer(answers);
        show(<Windows />, ...at());
        expect(await screen.findByText('4 of 4 crops')).toBeTruthy();
        expect(groups()).toEqual(['Brassicaceae', 'Fabaceae', 'Cucurbitaceae', 'Malvaceae']);
        fireEvent.change(screen.getByLabelText('Grouped'), { target: { value: 'season' } });
        expect(groups()).toEqual(['Cool season', 'Warm season']);
        fireEvent.change(screen.getByLabelText('Grouped'), { target: { value: 'next' } });
        expect(groups()).toEqual(['Open now', 'Opens within four weeks', 'Later', 'No window here']);
    });

    it('name the crops whose last 15 years clearly differ, with a way to other years', async () => {
        const turned: AnswerTo<'GET /api/zones/bench/track-record/turned'>[number] = {
            crop: 'bean',
            name: 'Bush bean',
            family: 'Fabaceae',
            runs: 0,
            harvests: 0,
            promised: 0.8,
            kept: 21,
            years: 29,
            low: 0.5,
            high: 0.9,
            short: false,
            p: 0.01,
            lost: [],
            route: 'direct',
            act: 'sow-outdoors',
            lately: { kept: 7, years: 15 },
            before: { kept: 14, years: 14 },
            turned: 'worse',
        };
        fakeServer({ ...answers, 'GET /api/zones/bench/track-record/turned': [turned] });
        show(<Windows />, ...at());
        expect(
            await screen.findByText(/^The last 15 years clearly differ from the years before in Bush bean\./),
        ).toBeTruthy();
        expect(screen.getByRole('link', { name: 'See how' }).getAttribute('href')).toBe(
            '/desk/zones/bench/track-record',
        );
    });

    it('from a short record say so, and offer no standard that makes no difference', async () => {
        const short = { ...windows, standards: [], ruler: { ...windows.ruler, seasons: 3, short_record: true } };
        fakeServer({ ...answers, 'GET /api/zones/bench/windows': short });
        show(<Windows />, ...at());
        expect(await screen.findByText(/Only 3 winters on record: a rough guess/)).toBeTruthy();
        expect(screen.queryByText('harvest in')).toBeNull();
    });

    it('say that they are older than what is known, and why', async () => {
        const failed: Schema['Computation'] = {
            ...COMPUTATION,
            state: 'failed',
            step: 'stopped',
            error: 'The record is too short.',
        };
        fakeServer({
            ...answers,
            'GET /api/zones/bench': { ...zone, stale: true, computation: failed },
            'GET /api/zones/bench/windows': { ...windows, stale: true },
        });
        show(<Windows />, ...at());
        expect(
            await screen.findByText('The last update failed: The record is too short. These windows are out of date.'),
        ).toBeTruthy();
    });

    it('that could not be computed at all say what failed, not to bring a file that was brought', async () => {
        const failed: Schema['Computation'] = {
            ...COMPUTATION,
            state: 'failed',
            step: 'stopped',
            error: 'No cold season is complete.',
        };
        fakeServer({
            ...answers,
            'GET /api/zones/bench': { ...zone, computation: failed },
            'GET /api/zones/bench/windows': new Refused(404, { message: 'Upload a station file first.' }),
        });
        show(<Windows />, ...at());
        expect((await screen.findByRole('alert')).textContent).toContain('No cold season is complete.');
        expect(screen.queryByText(/Upload station file first/)).toBeNull();
    });

    it('are read by name and dates, and stand in a table behind', async () => {
        fakeServer(answers);
        show(<Windows />, ...at());
        expect(
            await screen.findByRole('button', { name: /^Radish: sow outdoors 31 March to 21 June\.$/ }),
        ).toBeTruthy();
        fireEvent.click(screen.getByText(/^All windows/));
        const cells = await screen.findAllByRole('cell', { hidden: true });
        expect(cells.map((cell) => cell.textContent)).toContain('31 March to 21 June');
    });

    it('show own dates in plum', async () => {
        fakeServer(answers);
        show(<Windows />, ...at());
        await screen.findByText('4 of 4 crops');
        expect(document.querySelectorAll('#row-pumpkin path.own')).toHaveLength(1);
        expect(document.querySelectorAll('#row-radish path.own')).toHaveLength(0);
        expect(document.querySelectorAll('#row-radish path.bracket')).toHaveLength(1);
    });

    it('are found by name or family, and say so when there is none', async () => {
        fakeServer(answers);
        show(<Windows />, ...at());
        fireEvent.change(await screen.findByLabelText('Find a crop'), { target: { value: 'fabac' } });
        expect(screen.getByText('1 of 4 crops')).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Find a crop'), { target: { value: 'unicorn' } });
        expect(screen.getByText('No crop or plant family has that name here.')).toBeTruthy();
    });

    it('read the day under the cursor, which keys move', async () => {
        fakeServer(answers);
        show(<Windows />, ...at('?on=04-20'));
        expect(await screen.findByText('On 20 April')).toBeTruthy();
        fireEvent.keyDown(window, { key: ']' });
        expect(screen.getByText('On 27 April')).toBeTruthy();
        fireEvent.keyDown(window, { key: '{' });
        expect(screen.getByText('On 26 April')).toBeTruthy();
        const open = screen.getByText('Sow outdoors').closest('section');
        expect(open?.textContent).toBe('Sow outdoorsRadish27 of 30');
        expect(screen.getByText('Wait').closest('section')?.textContent).toBe(
            'WaitBush beansow outdoors 13 Maylost to heat, 3 of 30 years',
        );
    });

    it('are walked through in the order they are seen in', async () => {
        const asked = fakeServer(answers);
        show(<Windows />, ...at('?by=next&on=05-20'));
        await screen.findByText('4 of 4 crops');
        fireEvent.keyDown(window, { key: 'j' });
        fireEvent.keyDown(window, { key: 'j' });
        fireEvent.keyDown(window, { key: 'j' });
        await waitFor(() => expect(asked.some((a) => a.what.endsWith('/windows/pumpkin'))).toBe(true));
        const crops = asked.map((a) => /windows\/(\w+)$/.exec(a.what)?.[1]).filter(Boolean);
        expect(crops).toEqual(['radish', 'bean', 'pumpkin']);
        fireEvent.keyDown(window, { key: 'Escape' });
        expect(await screen.findByText('On 20 May')).toBeTruthy();
    });

    it('by a bolder standard are looked at first, and then used in the calendar', async () => {
        const bold = { ...windows, method: { ...windows.method, standard: 'bold' as const } };
        const asked = fakeServer({
            ...answers,
            'GET /api/zones/bench/windows?standard=bold': bold,
            'PUT /api/zones/bench/method': { ...COMPUTATION, id: 4 },
            'GET /api/computations/4': { ...COMPUTATION, id: 4, state: 'done', step: 'done', done: 1, total: 1 },
        });
        show(<Windows />, ...at());
        fireEvent.click(await screen.findByLabelText('6 of 10'));
        fireEvent.click(await screen.findByText('Use in the calendar'));
        await waitFor(() => expect(asked.some((a) => a.what === 'PUT /api/zones/bench/method')).toBe(true));
        expect(asked.find((a) => a.what.startsWith('PUT'))?.body).toEqual({
            standard: 'bold',
            light: 'radiation',
            version: 4,
        });
    });

    it('at a site nobody has looked at are computed, with progress, and that can be cancelled', async () => {
        const running: Schema['Computation'] = {
            ...COMPUTATION,
            id: 6,
            state: 'running',
            step: 'replay',
            done: 20,
            total: 71,
        };
        const asked = fakeServer({
            ...answers,
            'GET /api/zones/bench/windows?site=2': new Refused(404, { message: 'Not computed for this site yet.' }),
            'POST /api/zones/bench/computations': running,
            'GET /api/computations/6': running,
            'DELETE /api/computations/6': { ...running, state: 'cancelled' },
        });
        show(<Windows />, ...at('?site=2'));
        expect(await screen.findByText('Figuring planting windows: low tunnel')).toBeTruthy();
        expect(await screen.findByText('simulating every planting date in every year …')).toBeTruthy();
        expect(asked.find((a) => a.what.startsWith('POST'))?.body).toEqual({ site: 2 });
        fireEvent.click(screen.getByText('Cancel'));
        await waitFor(() => expect(asked.some((a) => a.what === 'DELETE /api/computations/6')).toBe(true));
        expect(asked.filter((a) => a.what.startsWith('POST'))).toHaveLength(1);
    });

    it('that are not there yet lead to the record', async () => {
        fakeServer({
            ...answers,
            'GET /api/zones/bench/windows': new Refused(404, { message: 'Upload a station file first.' }),
        });
        show(<Windows />, ...at());
        expect(await screen.findByText('No windows yet')).toBeTruthy();
        expect(screen.getByText('Open the climate record').getAttribute('href')).toBe('/desk/zones/bench/climate');
    });
});
