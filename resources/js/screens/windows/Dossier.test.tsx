import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { CROP_SHEET, EDUCATOR, fakeServer, METHOD, Refused, ROUTE, RULER, show, type AnswerTo } from '../../testing';
import { Dossier } from './Dossier';

const flat = (value: number) => Array.from({ length: 365 }, () => value);
const said = (text: string) => ({ key: 'verbatim', with: { text } });
const span = (first: string, last: string, days: number) => ({ first, last, days });
const sheet = (
    route: 'direct' | 'transplant',
    act: Schema['Act'],
    windows: Schema['Span'][],
): Schema['ReplayedRoute'] => ({
    ...ROUTE,
    route,
    act,
    windows,
    derivation: [{ key: 'first', label: said('First day'), date: '03-31', days: null, source: said('the replay') }],
    evidence: [
        {
            best: '04-27',
            span: { first: '04-20', last: '05-31', days: 42 },
            harvests: 29,
            years: 30,
            slack: 11,
            from_first: ['05-10', '05-16', '05-21'],
            from_last: ['07-31', '08-01', '08-03'],
        },
    ],
    ribbon: {
        years: 30,
        reliability: flat(0.9),
        expected: flat(0.8),
        outcomes: { harvest: flat(27), 'freeze-young': flat(3) },
    },
});
const dossier: Schema['Dossier'] = {
    crop: {
        ...CROP_SHEET,
        school: 'own',
        cautions: [{ code: 'x', phrase: { key: 'verbatim', with: { text: 'Seed may be treated.' } } }],
        routes: [sheet('direct', 'sow-outdoors', [span('02-10', '02-20', 11)])],
    },
    method: METHOD,
    ruler: RULER,
    replay: [
        sheet('direct', 'sow-outdoors', [span('03-31', '07-10', 102)]),
        sheet('transplant', 'set-out', [span('04-16', '06-26', 72)]),
    ],
    schools: [
        {
            school: 'count-back',
            routes: [sheet('direct', 'sow-outdoors', [span('03-25', '09-08', 168)])],
            differences: [{ route: 'direct', act: 'sow-outdoors', opens: 6, closes: -1 }],
        },
    ],
    choice: { id: 1, school: 'own', reason: 'The club.', by: 'Wren', at: '2026-03-01T10:00:00+00:00' },
    disagreements: [{ key: 'disagreement', with: { act: { key: 'act.sow-outdoors.lead' }, poor: 11, days: 11 } }],
    standards: ['cautious', 'reliable', 'bold'],
    varieties: [{ id: 7, name: 'Harrow Red', tags: ['quick'] }],
};
const runs = {
    route: 'direct',
    outcomes: ['harvest'],
    years: [{ year: 2024, outcome: flat(0), up: flat(8), harvest: flat(45), end: flat(55) }],
};
const compared: AnswerTo<'GET /api/zones/bench/windows/radish/compared'> = {
    sites: [
        {
            name: 'low tunnel',
            route: 'direct',
            act: 'sow-outdoors',
            windows: [span('03-12', '07-10', 121)],
            phrase: { key: 'verbatim', with: { text: '19 days earlier' } },
        },
        {
            name: 'low tunnel',
            route: 'transplant',
            act: 'set-out',
            windows: [],
            phrase: { key: 'verbatim', with: { text: 'no window' } },
        },
    ],
    varieties: [
        {
            name: 'Harrow Red',
            route: 'direct',
            act: 'sow-outdoors',
            windows: [],
            phrase: { key: 'verbatim', with: { text: 'the same' } },
        },
    ],
};
const base = '/api/zones/bench/windows/radish';
const answers = {
    'GET /api/session': EDUCATOR,
    'GET /api/zones/bench/windows/radish': dossier,
    'GET /api/zones/bench/windows/radish/runs': runs,
    'GET /api/zones/bench/windows/radish/compared': compared,
    'GET /api/zones/bench/windows/radish/succession': new Promise<never>(() => {}),
};
const at = (search = '') =>
    ['/desk/zones/bench/planting-windows/radish' + search, '/desk/zones/:zone/planting-windows/:crop'] as const;

describe('the dossier of a crop', () => {
    it('says whose word the calendar follows, why, and where the record disagrees', async () => {
        fakeServer(answers);
        show(<Dossier />, ...at());
        expect(await screen.findByText(/The calendar follows your own dates\./)).toBeTruthy();
        expect(screen.getByText(/Wren, 1 March 2026: The club\./)).toBeTruthy();
        expect(screen.getByText(/on 11 of these 11 days/)).toBeTruthy();
        expect(screen.getByText('Seed may be treated.')).toBeTruthy();
        expect(document.querySelectorAll('path.own')).toHaveLength(1);
        expect(document.querySelectorAll('path.other')).toHaveLength(1);
    });

    it('holds the schools against each other, with the evidence of each window', async () => {
        fakeServer(answers);
        show(<Dossier />, ...at('?on=04-20'));
        expect(
            await screen.findByText(/The replay opens 6 days later and closes 1 day earlier than counting/),
        ).toBeTruthy();
        expect(screen.getByText(/best 20 April to 31 May; on 27 Apr, harvest in 29 of 30 years/).textContent).toContain(
            'First harvest from the first planting 16 May (10 May to 21 May); from the last 1 Aug (31 Jul to 3 Aug). 11 days to spare',
        );
        expect(screen.getByText('27 of 30 years')).toBeTruthy();
    });

    it('reads what the date under the cursor came to, as it moves', async () => {
        const asked = fakeServer(answers);
        show(<Dossier />, ...at('?on=04-10'));
        expect(
            await screen.findByText('2024: 10 Apr, emerged 18 Apr, first harvest 25 May, ended 4 Jun.'),
        ).toBeTruthy();
        await screen.findByText('19 days earlier', { exact: false });
        const before = asked.length;
        fireEvent.keyDown(window, { key: ']' });
        expect(screen.getByText('2024: 17 Apr, emerged 25 Apr, first harvest 1 Jun, ended 11 Jun.')).toBeTruthy();
        expect(asked).toHaveLength(before);
    });

    it('shows other sites and varieties for the way of growing that is chosen', async () => {
        const asked = fakeServer(answers);
        show(<Dossier />, ...at());
        expect(await screen.findByText('19 days earlier', { exact: false })).toBeTruthy();
        fireEvent.click(screen.getByLabelText('transplant'));
        expect(await screen.findByText('Counting back has no rule for this crop.')).toBeTruthy();
        expect(screen.queryByText('19 days earlier', { exact: false })).toBeNull();
        expect(asked.some((a) => a.what === `GET ${base}/runs?route=transplant`)).toBe(true);
        fireEvent.change(screen.getByLabelText('Simulated seasons of'), { target: { value: '7' } });
        // It stands on the best day, as long as no other is asked for.
        await screen.findByText('On 27 April');
        expect(asked.some((a) => a.what === `GET ${base}/runs?route=transplant&variety=7`)).toBe(true);
    });

    it('of a crop without a window says why, what would open one, and which varieties fit', async () => {
        const variety = (
            name: string,
            days: number,
            windows: Schema['Span'][],
            chances: Schema['VarietySheet']['routes'][number]['chances'] = [],
        ): Schema['VarietySheet'] => ({
            name,
            days,
            basis: 'sowing',
            tags: [],
            routes: [
                { route: 'direct', act: 'sow-outdoors', windows, chances, best: [], under_cover: [], harvests: [] },
            ],
        });
        const none: Schema['ReplayedRoute'] = {
            ...sheet('direct', 'sow-outdoors', []),
            evidence: [],
            no_window: {
                nearest: '06-02',
                harvests: 12,
                years: 30,
                reason: null,
                opened_by: [],
                longest_days: 55,
                phrases: [{ key: 'no-window.variety', with: { days: 55 } }],
            },
        };
        const varieties = [
            variety('Long', 82, []),
            variety('Fair', 60, [], [{ ...span('05-01', '05-20', 20), of_ten: 6 }]),
            variety('Quick', 50, [span('05-01', '05-20', 20)]),
        ];
        fakeServer({
            ...answers,
            'GET /api/zones/bench/windows/radish': {
                ...dossier,
                crop: { ...dossier.crop, school: 'replay', varieties },
                replay: [none],
            },
        });
        show(<Dossier />, ...at());
        expect(
            await screen.findByText('It needs a variety that matures in 55 days or fewer.', { selector: 'p' }),
        ).toBeTruthy();
        expect(screen.getByText('On 2 June')).toBeTruthy();
        expect(
            screen.getByLabelText(
                'Long, 82 days: does not fit; Fair, 60 days: a fair chance; Quick, 50 days: has a window',
            ),
        ).toBeTruthy();
        expect([...document.querySelectorAll('circle.fit')].map((c) => c.getAttribute('class'))).toEqual([
            'fit window',
            'fit chance',
            'fit none',
        ]);
    });

    it('of a crop that is not there says so', async () => {
        fakeServer({
            ...answers,
            'GET /api/zones/bench/windows/radish': new Refused(404, { message: 'There is no crop “radish”.' }),
        });
        show(<Dossier />, ...at());
        expect(await screen.findByText('There is no crop “radish”.')).toBeTruthy();
        expect(screen.getByText('Back to planting windows')).toBeTruthy();
    });
});
