import { describe, expect, it } from 'vitest';
import { coordinates, readDegrees, readElevation } from './place';

describe('a latitude or longitude', () => {
    it.each([
        ['47.4444', 'NS', 47.4444],
        ['-38.3', 'NS', -38.3],
        ['−38,3', 'NS', -38.3],
        ['122.3138 W', 'EW', -122.3138],
        ['122.3138W', 'EW', -122.3138],
        ['W 122.3138', 'EW', -122.3138],
        ['122.3138° w', 'EW', -122.3138],
        ['47°26\'40"', 'NS', 47.44444],
        ['47° 26′ 40″ N', 'NS', 47.44444],
        ['47 26 40 S', 'NS', -47.44444],
        ['47:26:40', 'NS', 47.44444],
        ["47°26.5' N", 'NS', 47.44167],
        ['0', 'EW', 0],
        ['90', 'NS', 90],
        ['180', 'EW', 180],
        ['8 deg 30 min E', 'EW', 8.5],
    ] as const)('is read as people write it: %s', (text, sides, degrees) => {
        expect(readDegrees(text, sides)).toBe(degrees);
    });

    it.each([
        ['472640', 'NS'],
        ['90.1', 'NS'],
        ['180.01 W', 'EW'],
        ['122.3 N', 'EW'],
        ['47.4 W', 'NS'],
        ['-122.3 W', 'EW'],
        ["47°60'", 'NS'],
        ['47°26\'60"', 'NS'],
        ["47.5°26'", 'NS'],
        ['north', 'NS'],
        ['47 N 122 W', 'NS'],
        ['', 'NS'],
        ['4 7 2 6', 'NS'],
    ] as const)('is refused rather than guessed at: %s', (text, sides) => {
        expect(readDegrees(text, sides)).toBeNull();
    });

    it('is said back without a sign', () => {
        expect(coordinates(47.45, -122.31)).toBe('47.45° N, 122.31° W');
    });
});

describe('an elevation', () => {
    it.each([
        ['130 ft', 40],
        ['130 feet', 40],
        ["130'", 40],
        ['130 m', 130],
        ['130', 130],
        ['1,345 ft', 410],
        ['12,000 ft.', 3658],
        ['39.6 m', 40],
        ['-12 ft', -4],
        ['0', 0],
    ])('is read with its unit: %s', (text, metres) => {
        expect(readElevation(text)).toBe(metres);
    });

    it.each(['', 'high', '1,34', '130 yards', '12 34'])('is refused rather than guessed at: %s', (text) => {
        expect(readElevation(text)).toBeNull();
    });
});
