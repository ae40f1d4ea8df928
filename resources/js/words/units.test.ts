import { describe, expect, it } from 'vitest';
import known from '../../../core/tests/fixtures/units.json';
import { inText, withUnits } from './units';

describe('units', () => {
    it('are beside the metric value, as growers say them', () => {
        const us = (values: Record<string, number>) => withUnits(values, 'us');
        expect(us({ celsius: -2.2 })).toEqual({ celsius: -2.2, fahrenheit: 28, units: 'us' });
        expect(us({ celsius: -17.8 }).fahrenheit).toBe(0);
        expect(us({ celsius_more: 1.8 }).fahrenheit_more).toBe(3.2);
        expect([0.2, 1, 2, 4, 10.1, 30].map((cm) => us({ cm }).inches)).toEqual(['¼', '½', '¾', '1½', '4', '12']);
        expect([us({ metres: 410 }).feet, us({ km: 16 }).miles, us({ kg: 2.5 }).pounds]).toEqual([1350, 10, 5.5]);
        expect(withUnits({ days: 3 }, 'metric')).toEqual({ days: 3, units: 'metric' });
    });

    it('are as reckoned by hand, to the digit', () => {
        for (const [name, value, other, said] of known as [string, number, string, number | string][]) {
            const values: Record<string, unknown> = withUnits({ [name]: value }, 'us');
            expect(values[other], `${name} ${value}`).toBe(said);
        }
    });

    it('within a sentence are the reader’s', () => {
        expect(inText('soil above about 27 °C', 'us')).toBe('soil above about 81 °F');
        expect(inText('above −10 °C; from 10 to 15 °C', 'us')).toBe('above 14 °F; from 50 to 59 °F');
        expect(inText('30 cm apart, 2 cm deep', 'us')).toBe('12 in apart, ¾ in deep');
        expect(inText('27 °C', 'metric')).toBe('27 °C');
    });
});
