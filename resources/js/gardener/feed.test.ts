import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';

// Written by the core (EditionFormatsTest keeps it up to date), read here by a reader that knows nothing of it.
const feed = readFileSync('core/tests/fixtures/edition.ics', 'utf8');

describe('the calendar feed', () => {
    const calendar = new ICAL.Component(ICAL.parse(feed));
    const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));

    it('holds an all-day event a window', () => {
        expect(events.map((event) => event.summary)).toEqual([
            'Radish: sow outdoors',
            'Broccoli: sow outdoors',
            'Broccoli: transplant',
            'Broccoli: start indoors',
        ]);
        expect(events.every((event) => event.startDate.isDate)).toBe(true);
        expect(events[0]?.startDate.toString()).toBe('2026-03-25');
        expect(events[0]?.endDate.toString()).toBe('2026-09-09');
        expect(events[3]?.startDate.toString()).toBe('2026-03-04');
    });

    it('comes back every year', () => {
        const radish = events[0];
        expect(radish?.isRecurring()).toBe(true);
        const years = radish?.iterator();
        expect([years?.next()?.year, years?.next()?.toString()]).toEqual([2026, '2027-03-25']);
    });

    it('keeps its text whole through folding and escaping', () => {
        expect(events[0]?.description).toContain('25 March to 8 September.');
        expect(events[0]?.description).toContain('Product labels, local rules, and medical advice come first.');
    });
});
