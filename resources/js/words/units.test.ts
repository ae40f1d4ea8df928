import { describe, expect, it } from 'vitest';
import known from '../../../core/tests/fixtures/units.json';
import { fromUnits, inText, toUnits, withUnits, type Measure } from './units';

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

    it('of a form are kept in metric, and read again as they were typed, ten thousand times', () => {
        const typed: Record<Measure, [number, number, number]> = {
            celsius: [-40, 130, 1],
            celsius_more: [-20, 20, 2],
            cm: [0, 120, 2],
            m: [0, 400, 2],
            mm: [0, 20, 2],
            kg: [0, 900, 2],
            kg_per_m: [0, 20, 2],
            kg_per_m2: [0, 2, 3],
            elevation: [-300, 14000, 0],
            lapse: [-10, 10, 2],
            per_m2: [0, 100, 3],
            price: [0, 90, 2],
            price_per_kg: [0, 90, 2],
        };
        let seed = 7;
        const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
        const measures = Object.entries(typed) as [Measure, [number, number, number]][];
        for (let i = 0; i < 10_000; i++) {
            const [measure, [least, most, digits]] = measures[i % measures.length]!;
            const value = Number((least + random() * (most - least)).toFixed(digits)) || 0;
            const kept = fromUnits(measure, value, 'us');
            expect(toUnits(measure, kept, 'us'), `${measure} ${value}, kept as ${kept}`).toBe(value);
            expect(fromUnits(measure, value, 'metric')).toBe(value);
        }
    });

    it('of a form are those of the trade', () => {
        expect(fromUnits('celsius', 50, 'us')).toBe(10);
        expect(toUnits('celsius', 10, 'us')).toBe(50);
        expect(fromUnits('celsius_more', 9, 'us')).toBe(5);
        expect(fromUnits('cm', 1, 'us')).toBe(2.54);
        expect(fromUnits('m', 10, 'us')).toBe(3.048);
        expect(fromUnits('kg', 10, 'us')).toBe(4.5359);
        expect(fromUnits('kg_per_m', 1, 'us')).toBe(1.4882);
        expect(fromUnits('kg_per_m2', 1, 'us')).toBe(4.8824);
        expect(fromUnits('elevation', 1000, 'us')).toBe(304.8);
        expect(toUnits('lapse', -0.65, 'us')).toBe(-3.57);
    });
});
