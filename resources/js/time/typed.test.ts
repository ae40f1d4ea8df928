import { describe, expect, it } from 'vitest';
import { readMonthDay } from './typed';

describe('a day of the year', () => {
    it.each([
        ['04-18', '04-18'],
        ['4/18', '04-18'],
        ['4-18', '04-18'],
        ['4/5', '04-05'],
        ['18/4', '04-18'],
        ['18.4.', '04-18'],
        ['18. 4', '04-18'],
        ['5.4.', '04-05'],
        ['apr 18', '04-18'],
        ['Apr. 18th', '04-18'],
        ['18 April', '04-18'],
        ['18th of april', '04-18'],
        ['sept 1', '09-01'],
        ['  May 31 ', '05-31'],
        ['2/29', '02-28'],
        ['Dec 31', '12-31'],
    ])('is read as people type it: %s', (text, day) => {
        expect(readMonthDay(text)).toBe(day);
    });

    it.each(['', '13/13', '4/31', '0/5', '31.6.', 'apr', 'ap 18', 'juneteenth 3', '4/18/2026', 'apr 0', 'm 5'])(
        'is refused rather than guessed at: %s',
        (text) => {
            expect(readMonthDay(text)).toBeNull();
        },
    );
});
