import { describe, expect, it } from 'vitest';
import { yearDay } from './days';
import { crossings, inRulerOrder, yearScale } from './yearScale';

describe('the year scale', () => {
    it('starts a northern year in January and a southern one in July', () => {
        const north = yearScale('01-01', 730);
        const south = yearScale('07-01', 730);
        expect(north.x(1)).toBe(0);
        expect(south.x(yearDay('07-01'))).toBe(0);
        expect(south.x(yearDay('01-01'))).toBe(2 * 184);
        expect(south.months.map((m) => m.name).slice(0, 7)).toEqual([
            'July',
            'August',
            'September',
            'October',
            'November',
            'December',
            'January',
        ]);
        expect(south.months.reduce((sum, m) => sum + m.width, 0)).toBeCloseTo(730);
    });

    it('finds the day under a point again, and stays inside the year', () => {
        const scale = yearScale('07-01', 803);
        for (const day of [1, 59, 60, 181, 182, 365]) expect(scale.day(scale.x(day) + 1)).toBe(day);
        expect(scale.day(-50)).toBe(yearDay('07-01'));
        expect(scale.day(9999)).toBe(yearDay('06-30'));
    });

    it('cuts a span at the end of the ruler and leaves the cut sides open', () => {
        const scale = yearScale('01-01', 365);
        expect(scale.pieces({ first: '12-22', last: '01-10', days: 20 })).toEqual([
            { from: 355, to: 365, openLeft: false, openRight: true },
            { from: 0, to: 10, openLeft: true, openRight: false },
        ]);
        expect(scale.pieces({ first: '01-01', last: '01-10', days: 10 })).toEqual([
            { from: 0, to: 10, openLeft: false, openRight: false },
        ]);
        expect(scale.pieces({ first: '07-01', last: '06-30', days: 365 })).toHaveLength(1);
    });

    it('puts values in the order of the ruler', () => {
        const values = Array.from({ length: 365 }, (_, i) => i + 1);
        expect(inRulerOrder(values, '07-01')[0]).toBe(182);
        expect(inRulerOrder(values, '07-01')[364]).toBe(181);
    });

    it('finds where a course crosses its levels, rising and falling', () => {
        const course = Array.from({ length: 365 }, (_, i) => 12 - 4 * Math.cos((2 * Math.PI * (i + 10)) / 365));
        const found = crossings(course, [12, 30]);
        expect(found.map((c) => c.level)).toEqual([12, 12]);
        expect(found.map((c) => c.day.slice(0, 2))).toEqual(['03', '09']);
    });
});
