import type { Schema } from '../../api/client';
import { fromUnits, inCelsius, toUnits, type Measure } from '../../words/units';
import { say, units } from '../../words/words';

export type Column = Schema['CropColumn'];

/** The columns of the crop table by part of the form, in order. */
export function sections(columns: Column[]): { group: string; title: string; columns: Column[] }[] {
    return [...new Set(columns.map((c) => c.group))].map((group) => ({
        group,
        title: say(`crop-group.${group}`),
        columns: columns.filter((c) => c.group === group),
    }));
}

/** What the numbers of a column measure. The table is metric, and a person reads and types their own units. */
export function measureOf(column: string): Measure | undefined {
    if (column === 'yield_kg_per_m') return 'kg_per_m';
    if (column.endsWith('_cm')) return 'cm';
    return column.endsWith('_c') ? 'celsius' : undefined;
}

/** A cell as a person reads it; what is not a number stays as it is. */
export function asRead(column: string, cell: string): string {
    const measure = measureOf(column);
    return measure && isNumber(cell) ? String(toUnits(measure, Number(cell), units())) : cell;
}

/** What a person typed in a cell, as the table has it. */
export function asKept(column: string, typed: string): string {
    const measure = measureOf(column);
    return measure && isNumber(typed) ? String(fromUnits(measure, Number(typed), units())) : typed;
}

function isNumber(text: string): boolean {
    return text.trim() !== '' && Number.isFinite(Number(text));
}

export function labelOf(column: string): string {
    const soil = /^em_(\d+)$/.exec(column);
    return soil ? say('column.em.label', { celsius: inCelsius(Number(soil[1])) }) : say(`column.${column}.label`);
}

/** "1 to 400 days, or blank; for a steady supply". */
export function meaning(column: Column): string {
    const range = column.choices.length
        ? say('crop-range.choice', { choices: column.choices.join(', ') })
        : column.unit
          ? say(`crop-range.${column.unit}`, {
                least: inReaders(column, column.least),
                most: inReaders(column, column.most),
            })
          : '';
    const asked = range && column.optional ? say('crop-range.optional', { range }) : range;
    return [asked, say(`column.${column.column}.help`)].filter(Boolean).join('; ');
}

/** "Days to maturity: 54 to 70". */
export function changeInWords(column: string, before: string | undefined, after: string): string {
    const blank = say('crop-change.blank');
    return say('crop-change', {
        label: labelOf(column),
        before: asRead(column, before ?? '') || blank,
        after: asRead(column, after) || blank,
    });
}

function inReaders(column: Column, value: number | null): number | null {
    const measure = measureOf(column.column);
    return measure && value !== null ? Math.round(toUnits(measure, value, units())) : value;
}
