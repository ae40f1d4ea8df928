import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { renderToString } from 'react-dom/server';
import { afterEach, describe, expect, it } from 'vitest';
import { alsoIn, readAs } from '../../words/words';
import { filterCrops } from '../filter';
import { CROP_SHEET } from '../../testing';
import { GardenerPage } from './GardenerPage';
import type { CalendarCrop, Common, PageData, Task } from './props';
import { ReadingHere } from './reading';

const risk = (date: string | null) => ({
    risk: 0.5,
    phrase: { key: 'risk.one-in', with: { years: 2 } },
    date,
    earliest: null,
    latest: null,
});
const year = Array.from({ length: 365 }, (_, i) => i / 365);
const common = {
    base: '/zones/test',
    zone: { slug: 'test', name: 'Test Bench', district: 'District', hemisphere: 'north', height_m: 400 },
    edition: { number: 2, published_on: '2026-05-12', published_by: 'W', note: 'A note.', checksum: 'ab'.repeat(32) },
    method_edition: 2,
    lasting: 'https://calendar.example/zones/test/editions/2',
    guidance: [{ key: 'verbatim', with: { text: 'Guidance, not warranty.' } }],
    first_guess: null,
} satisfies Common;
const task: Task = {
    crop: 'kale',
    name: 'Kale',
    act: 'sow-outdoors',
    opens: '04-01',
    closes: '05-14',
    last_chance: true,
    opening: false,
};
const week = (tasks: Task[]): PageData => ({
    page: 'week',
    props: {
        ...common,
        week: { week: 19, first: '05-07', last: '05-13', tasks },
        cautions: { kale: [{ key: 'verbatim', with: { text: 'Take care with it.' } }] },
        opens_next:
            tasks.length > 0 ? [] : [{ crop: 'radish', name: 'Radish', act: 'sow-outdoors', opens: '05-20', week: 20 }],
        previous: 18,
        next: 20,
        freezes: { starts: '01-01', seasons: 29, to_come: 3, has_come: 26 },
    },
});
const route = (name: 'direct' | 'transplant', act: Task['act']): CalendarCrop['routes'][number] => ({
    route: name,
    act,
    windows: [{ first: '03-25', last: '09-08', days: 168 }],
    under_cover: name === 'transplant' ? [{ first: '02-25', last: '08-11', days: 168 }] : [],
    harvests:
        name === 'transplant'
            ? [
                  { first: '06-17', last: '08-14', days: 59 },
                  { first: '08-06', last: '11-10', days: 97 },
              ]
            : [],
});
const calendar: Extract<PageData, { page: 'calendar' }> = {
    page: 'calendar',
    props: {
        ...common,
        record: { station: 's', first: '1996-01-01', last: '2025-12-31', checksum: 'cd'.repeat(32) },
        ruler: {
            starts: '01-01',
            seasons: 29,
            short_record: false,
            freeze_to_come: year,
            freeze_has_come: year,
            freeze_chance: year,
            hot_chance: year,
            soil: year,
            day_length: year,
            freezes: [
                {
                    threshold: 'light-freeze',
                    celsius: 0,
                    phrase: { key: 'threshold.light-freeze' },
                    last: [risk('04-29')],
                    first: [risk(null)],
                    free_days: [null],
                },
            ],
        },
        crops: [
            {
                slug: 'radish',
                name: 'Radish',
                kind: 'cool',
                family: 'Brassicaceae',
                also_called: null,
                routes: [route('direct', 'sow-outdoors')],
            },
            {
                slug: 'kale',
                name: 'Kale',
                kind: 'cool',
                family: 'Brassicaceae',
                also_called: null,
                routes: [route('transplant', 'set-out')],
            },
        ],
    },
};

afterEach(cleanup);

describe('gardener’s pages', () => {
    it('name what closes, with its caution, and where the neighbouring weeks are', () => {
        const html = renderToString(<GardenerPage data={week([task])} />).replaceAll('<!-- -->', '');
        expect(html).toMatch(/Last chance<\/h2>.*Kale<\/a>.*sow outdoors to 14 May/);
        expect(html).toContain('Take care with it.');
        expect(html).toContain('In 3 of 29 seasons on record a freeze still came on or after 7 May.');
        expect(html).toContain('href="/zones/test/weeks/18"');
        expect(html).toContain('to 14 May');
        expect(html).toContain('edition 2, published 12 May 2026 by W');
        expect(html).toContain('href="/zones/test/editions/2"');
    });

    it('leave out on the day it is read what closed earlier in its week', () => {
        const page = (on: string) => {
            const data = week([{ ...task, closes: '05-09' }]) as Extract<PageData, { page: 'week' }>;
            return renderToString(<GardenerPage data={{ ...data, props: { ...data.props, on } }} />);
        };
        expect(page('2026-05-09')).toContain('Last chance');
        expect(page('2026-05-10')).not.toContain('Last chance');
        expect(page('2026-05-10')).toContain('Nothing to sow or transplant this week.');
    });

    it('say the next step when there is nothing to do', () => {
        const html = renderToString(<GardenerPage data={week([])} />);
        expect(html).toContain('Nothing to sow or transplant this week.');
        expect(html.replaceAll('<!-- -->', '')).toContain('sow outdoors, from 20 May');
        expect(html).not.toContain('Take care');
    });

    it('show a crop in the columns of its routes, and find it by a part of its name', () => {
        render(<GardenerPage data={calendar} />);
        filterCrops(document);
        const cells = [...document.querySelectorAll('tbody tr')].map((row) =>
            [...row.querySelectorAll('td[data-title]')].map((cell) => cell.textContent),
        );
        expect(cells[0]).toEqual(['', '25 Mar to 8 Sep', '', '']);
        expect(cells[1]).toEqual(['25 Feb to 11 Aug', '', '25 Mar to 8 Sep', '17 Jun to 10 Nov']);
        expect(document.body.textContent).toContain('Last freeze: 29 April (1 year in 2 later). First freeze: none.');
        fireEvent.input(screen.getByLabelText('Find a crop'), { target: { value: 'KAL' } });
        const seen = () => [...document.querySelectorAll('tbody tr:not([hidden]) th')].map((cell) => cell.textContent);
        expect(seen()).toEqual(['Kale']);
        fireEvent.input(screen.getByLabelText('Find a crop'), { target: { value: 'moon' } });
        expect(seen()).toEqual([]);
        expect(screen.getByRole('status').textContent).toBe('No crop here has that name.');
    });

    it('say on every page when they stand on a short record', () => {
        const short = { ...common, first_guess: { key: 'first-guess', with: { seasons: 3 } } };
        for (const data of [week([task]), calendar] as PageData[]) {
            const html = renderToString(
                <GardenerPage data={{ ...data, props: { ...data.props, ...short } } as PageData} />,
            );
            expect(html).toContain('Only 3 winters on record: treat these dates as a rough guess.');
            expect(renderToString(<GardenerPage data={data} />)).not.toContain('rough guess');
        }
    });

    const crop = (change: object): PageData => ({
        page: 'crop',
        props: {
            ...common,
            ruler: calendar.props.ruler,
            crop: {
                ...CROP_SHEET,
                depth_cm: 1.5,
                routes: [{ ...route('direct', 'sow-outdoors'), reasons: [], derivation: [], ...change }],
            },
        },
    });

    it('say the best days of a window, and fair chances beside it', () => {
        const evidence = [
            {
                best: '04-12',
                span: { first: '04-02', last: '05-04', days: 33 },
                harvests: 29,
                years: 29,
                slack: 3,
                from_first: null,
                from_last: null,
            },
        ];
        const chances = [{ first: '10-01', last: '10-09', days: 9, of_ten: 6 }];
        const html = renderToString(<GardenerPage data={crop({ evidence, chances })} />).replaceAll('<!-- -->', '');
        expect(html).toContain(
            '25 March to 8 September; best 2 April to 4 May; a fair chance, 6 years in 10: 1 October to 9 October.',
        );
        expect(html).toContain('best days');
        expect(html.match(/class="best"/g)?.length).toBeGreaterThan(1);
    });

    it('tell of a fair chance where there is no reliable window, and say so where there is neither', () => {
        const chances = [{ first: '03-20', last: '04-11', days: 23, of_ten: 7 }];
        const said = (change: object) => renderToString(<GardenerPage data={crop({ windows: [], ...change })} />);
        expect(said({ chances })).toContain(
            'There is no reliable window to sow outdoors here; a fair chance, 7 years in 10: 20 March to 11 April.',
        );
        const phrases = [
            { key: 'no-window.variety', with: { days: 85 } },
            {
                key: 'no-window.opened',
                with: {
                    cover: { key: 'cover.low-tunnel' },
                    first: { key: 'day', with: { month: 4, day: 12 } },
                    last: { key: 'day', with: { month: 5, day: 3 } },
                },
            },
        ];
        expect(said({ chances: [], no_window: { phrases } })).toContain(
            'There is no window to sow outdoors here. It needs a variety that matures in 85 days or fewer. Under a low tunnel it opens: 12 April to 3 May.',
        );
    });

    it('give each variety dates of its own, the quickest first', () => {
        const variety = (name: string, days: number, windows: object[], chances: object[]) => ({
            name,
            days,
            basis: 'sowing',
            tags: ['quick'],
            routes: [{ ...route('direct', 'sow-outdoors'), windows, chances, best: [], harvests: [] }],
        });
        const page = crop({});
        Object.assign((page.props as { crop: object }).crop, {
            varieties: [
                variety('Basin Long', 82, [], [{ first: '05-01', last: '05-20', days: 20, of_ten: 6 }]),
                variety('Basin Quick', 58, [{ first: '04-02', last: '05-04', days: 33 }], []),
            ],
        });
        const html = renderToString(<GardenerPage data={page} />).replaceAll('<!-- -->', '');
        expect(html.indexOf('Basin Quick')).toBeLessThan(html.indexOf('Basin Long'));
        expect(html).toContain('58 days, quick');
        expect(html).toContain('Sow outdoors 2 Apr to 4 May');
        expect(html).toContain('a fair chance, 6 years in 10: 1 May to 20 May');
    });

    it('show a fair chance in the year’s table and the week, told apart from windows', () => {
        const chances = [{ first: '05-01', last: '05-20', days: 20, of_ten: 6 }];
        const year = JSON.parse(JSON.stringify(calendar)) as PageData & { page: 'calendar' };
        year.props.crops.forEach((c) => c.routes.forEach((r) => Object.assign(r, { windows: [], chances })));
        const html = renderToString(<GardenerPage data={year} />).replaceAll('<!-- -->', '');
        expect(html).toContain('class="fair">1 May to 20 May <small>a fair chance, 6 years in 10</small>');
        expect(renderToString(<GardenerPage data={week([{ ...task, of_ten: 6 }])} />)).toContain(
            '; a fair chance, 6 years in 10',
        );
        expect(renderToString(<GardenerPage data={week([task])} />)).not.toContain('a fair chance');
    });

    it('name the edition of the method', () => {
        expect(renderToString(<GardenerPage data={calendar} />)).toContain('By the 2nd edition of the method.');
    });

    it('say how this season runs and what that means for an act that does not go as the calendar says', () => {
        const page = week([task, { ...task, crop: 'beet', name: 'Beet', last_chance: false }]);
        if (page.page !== 'week') return;
        const act = (pile: 'go' | 'hold-a-week', until: string | null) => ({ pile, until, harvests: 12, of: 29 });
        const night = { date: '2026-05-10', members: 20, of: 29, celsius: -1.4 };
        page.props.season = {
            on: '2026-05-09',
            record_ends: '2026-05-08',
            outlook: 'simulated',
            members: 29,
            position: { degree_days: 80, days_ahead: -6, soil: 9.5, soil_above: -1.8 },
            freezes: { side: 'to-come', of: 29, members: 11 },
            ready: [
                { celsius: 5, now: true, dates: [null, null, null] },
                { celsius: 7, now: true, dates: [null, null, null] },
                { celsius: 10, now: false, dates: ['2026-05-11', '2026-05-13', '2026-05-20'] },
                { celsius: 15, now: false, dates: ['2026-06-01', '2026-06-04', '2026-06-11'] },
            ],
            nights: { expected: [night, { ...night, date: '2026-05-11' }], tender: [] },
            ground: { fit: false, half: '2026-05-14' },
            water: { rain: 7.9, et0: 22.6 },
            acts: {
                'kale.sow-outdoors': act('hold-a-week', '2026-05-16'),
                'beet.sow-outdoors': act('go', null),
            },
        };
        render(<GardenerPage data={page} />);
        expect(screen.getByText('This season, 9 May 2026')).toBeTruthy();
        expect(
            screen.getByText(/Soil at 5 cm is 9.5 °C, 1.8 °C below normal. Season: 6 days behind normal./),
        ).toBeTruthy();
        screen.getByText('Ground is too wet, frozen, or under snow to dig. Loam is likely fit by 14 May.');
        screen.getByText(
            /a garden loses about 22\.6 mm of water, and rain usually brings 7\.9 mm\. Water the difference/,
        );
        expect(screen.getByText('Soil of 7 °C: now. Soil of 10 °C: 13 May (11 May to 20 May).')).toBeTruthy();
        expect(screen.getByText(/A freeze is expected in the night to 10 May: −1.4 °C/)).toBeTruthy();
        expect(screen.queryByText(/night to 11 May/)).toBeNull();
        expect(screen.getAllByText(/^this season:/).map((note) => note.textContent)).toEqual([
            'this season: wait until 16 May',
        ]);
        expect(
            screen.getByText(/29 past years continued from this day. The weather shown here is simulated./),
        ).toBeTruthy();
    });

    it('say what the educator advises, and what was withdrawn and why', () => {
        const page = week([task]);
        if (page.page !== 'week') return;
        const advisory = { text: 'Cover beans.', author: 'Wren', published_on: '2026-05-08', until: '2026-05-12' };
        const withdrawn = { on: '2026-05-09', by: 'Wren', reason: 'The cloud stayed.' };
        page.props.advisories = [
            { ...advisory, withdrawn: null },
            { ...advisory, text: 'Water early.', withdrawn },
        ];
        render(<GardenerPage data={page} />);
        expect(screen.getByText('Cover beans.').tagName).toBe('P');
        expect(screen.getAllByText('Wren, 8 May 2026; holds until 12 May 2026.')).toHaveLength(2);
        expect(screen.getByText('Water early.').tagName).toBe('S');
        expect(screen.getByText(/Withdrawn on 9 May 2026: The cloud stayed./)).toBeTruthy();
    });

    it('say what changed since the edition before, the first few at once', () => {
        const changed = (count: number): PageData => ({
            page: 'calendar',
            props: {
                ...calendar.props,
                changes: {
                    against: 3,
                    phrases: Array.from({ length: count }, (_, i) => ({
                        key: 'change.new',
                        with: { crop: `Crop ${i}` },
                    })),
                },
            },
        });
        render(<GardenerPage data={changed(9)} />);
        expect(screen.getByText('What changed since edition 3')).toBeTruthy();
        expect(screen.getByText('All 9 changes').parentElement?.textContent).toContain('Crop 8 is new.');
        expect(screen.getByText('Crop 7 is new.').closest('details')).toBeNull();
        render(<GardenerPage data={changed(0)} />);
        expect(screen.getByText('Every window is the same as in edition 3.')).toBeTruthy();
    });

    it('tell a gardener whose place is not known what to do', () => {
        const html = renderToString(
            <GardenerPage data={{ page: 'home', props: { office: null, asked: true, found: false, zones: [] } }} />,
        );
        expect(html).toContain('We know no zone by that name.');
        expect(html).toContain('No calendar has been published yet.');
    });
});

describe('what a gardener chooses', () => {
    const mine = (crops: string[]): PageData => ({
        page: 'mine',
        props: {
            ...common,
            starts: '01-01',
            chosen: crops,
            crops: calendar.page === 'calendar' ? calendar.props.crops.filter((crop) => crops.includes(crop.slug)) : [],
            all: [
                { slug: 'kale', name: 'Kale' },
                { slug: 'radish', name: 'Radish' },
            ],
            week: { week: 19, first: '05-07', last: '05-13', tasks: crops.includes('kale') ? [task] : [] },
            host: 'https://calendar.example',
            papers: ['a4', 'letter'],
        },
    });

    it('is offered as a feed, on paper and as a link, and can be changed', () => {
        const html = renderToString(<GardenerPage data={mine(['kale'])} />).replaceAll('<!-- -->', '');
        expect(html).toContain('href="webcal://calendar.example/zones/test/calendar.ics?crops=kale&amp;events=short"');
        expect(html).toContain('href="/zones/test/paper/year.pdf?crops=kale&amp;size=letter"');
        expect(html).toContain('https://calendar.example/zones/test/mine?crops=kale');
        expect(html).toContain('to 14 May');
        expect(html).toMatch(/<input type="checkbox" name="kale" checked=""/);
        expect(html).toMatch(/<input type="checkbox" name="radish" value="1"/);
        expect(renderToString(<GardenerPage data={mine([])} />)).toContain('Choose the crops you grow.');
    });

    it('narrows the year by month, family, cover and haste', () => {
        render(<GardenerPage data={calendar} />);
        filterCrops(document);
        const seen = () => [...document.querySelectorAll('tbody tr:not([hidden]) th')].map((cell) => cell.textContent);
        const choose = (label: string, value: string) =>
            fireEvent.input(screen.getByLabelText(label), { target: { value } });
        expect(seen()).toHaveLength(2);
        choose('To do in', '2');
        expect(seen()).toHaveLength(1);
        choose('To do in', '9');
        expect(seen()).toHaveLength(2);
        choose('Family', 'Brassicaceae');
        expect(seen()).toHaveLength(2);
        fireEvent.click(screen.getByLabelText('started indoors'));
        expect(seen()).toHaveLength(1);
        fireEvent.click(screen.getByLabelText(/^quick/));
        expect(seen()).toHaveLength(0);
    });

    it('is read in another language and other units, with what is not translated marked', () => {
        const languages = import.meta.glob<Record<string, string>>('../../../../lang/*/*.json', {
            eager: true,
            import: 'default',
        });
        alsoIn(languages);
        readAs({ language: 'es', units: 'us', own: { Kale: 'Col rizada' } });
        const here = {
            reading: { prefix: '/es-f', language: 'es', units: 'us' as const },
            readings: [
                { prefix: '', language: 'en', units: 'metric' as const },
                { prefix: '/en-f', language: 'en', units: 'us' as const },
                { prefix: '/es', language: 'es', units: 'metric' as const },
                { prefix: '/es-f', language: 'es', units: 'us' as const },
            ],
            path: '/zones/test/weeks/19',
        };
        const html = renderToString(
            <ReadingHere here={here}>
                <GardenerPage data={week([task, { ...task, crop: 'leek', name: 'Leek' }])} />
            </ReadingHere>,
        ).replaceAll('<!-- -->', '');
        readAs({ language: 'en', units: 'metric', own: {} });
        expect(html).toContain('Col rizada');
        expect(html).toContain('<span lang="en">Leek</span>');
        expect(html).toContain('hasta el 14 de mayo');
        expect(html).toContain('href="/en-f/zones/test/weeks/19" data-reading="/en-f" lang="en"');
        expect(html).toContain('href="/es/zones/test/weeks/19" data-reading="/es"');
        expect(html).not.toContain('data-reading=""');
    });
});

describe('pages beside the calendar', () => {
    it('tell honestly where a place lies between two zones', () => {
        const near = [
            { slug: 'low', name: 'Low', inside: false, km: 6, height_m: -120 },
            { slug: 'high', name: 'High', inside: false, km: 7, height_m: 0 },
        ];
        const said = (change: object) =>
            renderToString(
                <GardenerPage
                    data={{
                        page: 'find',
                        props: { known: true, at: '46,-98', height_m: 400, between: true, near, ...change },
                    }}
                />,
            ).replaceAll('<!-- -->', '');
        expect(said({})).toContain('This place is between Low and High.');
        expect(said({})).toContain('6 km, this place is 120 m lower');
        expect(said({})).toContain('7 km, the same elevation');
        expect(said({ between: false })).toContain('Low is the nearest');
        expect(said({ near: [] })).toContain('No zone is near this place.');
        expect(said({ known: false, near: [] })).toContain('No position was given.');
        expect(said({ height_m: null })).toContain('name="height"');
    });

    it('carry a code that leads to the page a sheet was made from', () => {
        const paper: PageData = {
            page: 'paper',
            props: {
                ...common,
                ruler: calendar.props.ruler,
                sheet: 'year',
                size: 'a4',
                crops: calendar.page === 'calendar' ? calendar.props.crops : [],
                week: { week: 19, first: '05-07', last: '05-13', tasks: [task] },
                crop: null,
                url: 'https://calendar.example/zones/test',
            },
        };
        const html = renderToString(<GardenerPage data={paper} />);
        expect(html).toContain('class="sheet year a4"');
        expect(html).toContain('href="https://calendar.example/zones/test"');
        // Three finder patterns of seven modules, at the quiet zone's edge.
        expect(html.match(/M4 4h1v1h-1z/g)).toHaveLength(1);
        expect(html).toContain('class="large"');
    });
});
