import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Windows } from './queries';
import { METHOD, RECORD, RULER } from '../../testing';
import { yearDay } from '../../time/days';
import { DayPanel } from './DayPanel';

const flat = (value: number) => Array.from({ length: 365 }, () => value);
const data: Windows = {
    zone: 'test',
    computed_at: '2026-04-20T08:00:00+00:00',
    method: METHOD,
    record: RECORD,
    standards: ['cautious', 'reliable', 'bold'],
    stale: false,
    ruler: { ...RULER, soil: flat(-0.4), day_length: flat(13.78) },
    crops: [
        {
            slug: 'pea',
            name: 'Pea',
            family: 'Fabaceae',
            kind: 'cool',
            school: 'count-back',
            routes: [
                {
                    route: 'direct',
                    act: 'sow-outdoors',
                    windows: [{ first: '03-20', last: '04-25', days: 37 }],
                    fair: [],
                    under_cover: [],
                    harvests: [],
                    reasons: [],
                    ribbon: null,
                },
            ],
        },
        {
            slug: 'kale',
            name: 'Kale',
            family: 'Brassicaceae',
            kind: 'cool',
            school: 'replay',
            routes: [
                {
                    route: 'transplant',
                    act: 'set-out',
                    windows: [{ first: '05-01', last: '08-20', days: 112 }],
                    under_cover: [{ first: '03-27', last: '07-16', days: 112 }],
                    harvests: [],
                    reasons: [],
                    ribbon: {
                        years: 29,
                        outcomes: { harvest: flat(8), 'freeze-young': flat(21) },
                    },
                },
            ],
        },
    ],
};

describe('what a date means', () => {
    it('is said in words, with what is open, what closes soon and what opens next', () => {
        const { container } = render(
            <DayPanel
                ground={{ kind: 'loam', workable: null }}
                data={data}
                day={yearDay('04-20')}
                onChoose={() => {}}
            />,
        );
        const text = container.textContent ?? '';
        expect(text).toContain('In 12 of 29 seasons on record a freeze still came on or after 20 April.');
        expect(text).toContain('The day is 13 h 47 min long.');
        const lists = [...container.querySelectorAll('section')].map((s) => s.textContent);
        expect(lists).toEqual([
            'Sow outdoorsPea6 days left',
            'Start indoorsKaleto 16 Jul',
            'Transplantnothing',
            'A fair chancenothing',
            'WaitKaletransplant 1 Maykilled by frost young, 21 of 29 years',
        ]);
    });

    it('gives the years that came to a harvest where the record was replayed', () => {
        const kale = data.crops[1]!;
        const route = {
            ...kale.routes[0]!,
            ribbon: {
                years: 29,
                outcomes: { harvest: flat(26), heat: flat(3) },
            },
        };
        const fair = { ...route, windows: [], fair: [{ first: '04-01', last: '05-30', days: 60 }] };
        const replayed: Windows = {
            ...data,
            crops: [
                { ...kale, routes: [route] },
                { ...kale, slug: 'beet', name: 'Beet', routes: [fair] },
            ],
        };
        const { container } = render(
            <DayPanel
                ground={{ kind: 'loam', workable: null }}
                data={replayed}
                day={yearDay('05-20')}
                onChoose={() => {}}
            />,
        );
        const lists = [...container.querySelectorAll('section')].map((s) => s.textContent);
        expect(lists[2]).toBe('TransplantKale26 of 29');
        expect(lists[3]).toBe('A fair chanceBeet26 of 29transplant');
    });

    it('turns to the first freeze after summer', () => {
        const { container } = render(
            <DayPanel
                ground={{ kind: 'loam', workable: null }}
                data={data}
                day={yearDay('09-20')}
                onChoose={() => {}}
            />,
        );
        expect(container.textContent).toContain(
            'In 3 of 29 seasons on record the first freeze had come by 20 September.',
        );
    });

    it('says when it is the last day, and opens a crop', () => {
        const choose = vi.fn();
        render(
            <DayPanel ground={{ kind: 'loam', workable: null }} data={data} day={yearDay('04-25')} onChoose={choose} />,
        );
        expect(screen.getByText('last day')).toBeTruthy();
        fireEvent.click(screen.getAllByText('Pea').at(-1) as HTMLElement);
        expect(choose).toHaveBeenCalledWith('pea');
    });
});
