import { afterEach, expect, it } from 'vitest';
import { alsoIn, own, readAs, readIn, say } from './words';

const METRIC = { language: 'en', units: 'metric', own: {} } as const;

afterEach(() => readAs(METRIC));

it('says the same phrase anew in other units', () => {
    readAs(METRIC);
    expect(say('celsius', { celsius: 10 })).toBe('10 °C');
    expect(say('celsius', { celsius: 10 })).toBe('10 °C');
    readIn('us');
    expect(say('celsius', { celsius: 10 })).toBe('50 °F');
    readIn('metric');
    expect(say('celsius', { celsius: 10 })).toBe('10 °C');
});

it('tells values apart, also those within a phrase within', () => {
    alsoIn({ '/lang/en/test.json': { 'test.sown': '{crop} at {warmth}', 'test.crop': 'Crop {n}' } });
    const at = (n: number, celsius: number) =>
        say('test.sown', { crop: { key: 'test.crop', with: { n } }, warmth: { key: 'celsius', with: { celsius } } });
    expect(at(1, 10)).toBe('Crop 1 at 10 °C');
    expect(at(2, 10)).toBe('Crop 2 at 10 °C');
    expect(at(1, 11)).toBe('Crop 1 at 11 °C');
    expect(say('test.crop', { n: 1 })).toBe('Crop 1');
    expect(say('test.crop', { n: '1' })).toBe('Crop 1');
});

it('says what people wrote in the words of the reading at hand', () => {
    alsoIn({ '/lang/en/test.json': { 'test.note': 'Note: {note}' } });
    readAs({ ...METRIC, own: { 'Water well.': 'Riegue bien.' } });
    expect(say('test.note', { note: 'Water well.' })).toBe('Note: Riegue bien.');
    readAs({ ...METRIC, own: { 'Water well.': 'Riegue mucho.' } });
    expect(say('test.note', { note: 'Water well.' })).toBe('Note: Riegue mucho.');
    expect(own('Water well.')).toBe('Riegue mucho.');
});

it('says words that came later', () => {
    alsoIn({ '/lang/en/test.json': { 'test.outer': 'Look: {what}' } });
    const said = () => say('test.outer', { what: { key: 'test.inner' } });
    expect(said()).toBe('Look: test.inner');
    alsoIn({ '/lang/en/test.json': { 'test.outer': 'Look: {what}', 'test.inner': 'a leaf' } });
    expect(said()).toBe('Look: a leaf');
});
