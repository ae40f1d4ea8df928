import { describe, expect, it } from 'vitest';
import { unpacked } from './packed';

describe('a packed ribbon', () => {
    it('is what the server packed', () => {
        // As in tests/Feature/PackedRibbonTest.php.
        const ribbon = unpacked({ years: 29, width: 1, outcomes: { harvest: 'A_A_A_A_A_dy', heat: 'd_d_d_d_d_Ay' } });
        expect(ribbon.outcomes.harvest).toHaveLength(365);
        expect(ribbon.outcomes.harvest?.slice(313, 317)).toEqual([0, 0, 29, 29]);
        expect(ribbon.outcomes.heat?.at(-1)).toBe(0);
    });

    it('has two digits where years are many', () => {
        expect(unpacked({ years: 130, width: 2, outcomes: { harvest: 'CCBBAB' } }).outcomes.harvest).toEqual([130, 64]);
    });

    it('is refused where it is none', () => {
        expect(() => unpacked({ years: 1, width: 1, outcomes: { harvest: 'A ' } })).toThrow(RangeError);
    });
});
