import { describe, expect, it } from 'vitest';
import { isCalled } from './search';

describe('a search by name', () => {
    it.each([
        [['Summer squash', 'zucchini'], 'zucch'],
        [['Early potato', 'papa temprana'], 'papa temprana'],
        [['Shelling pea', 'chícharo'], 'chicharo'],
        [['Sweet corn'], 'Corn'],
        [['Snap and snow pea', 'Fabaceae'], 'fabac'],
        [['Kale', null, undefined], ''],
        [['Semi-dwarf pea'], 'semi dwarf'],
    ])('finds %s by "%s"', (names, asked) => {
        expect(isCalled(names, asked)).toBe(true);
    });

    it('finds words by their beginnings, and nothing in their middles', () => {
        expect(isCalled(['Parsnip'], 'snip')).toBe(false);
        expect(isCalled(['Kale'], 'zucchini')).toBe(false);
    });
});
