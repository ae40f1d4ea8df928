import type { Schema } from '../../api/client';
import { say } from '../../words/words';

export type Column = Schema['CropColumn'];

/** The columns of the crop table by the part of the form they stand in, in order. */
export function sections(columns: Column[]): { group: string; title: string; columns: Column[] }[] {
    return [...new Set(columns.map((c) => c.group))].map((group) => ({
        group,
        title: say(`crop-group.${group}`),
        columns: columns.filter((c) => c.group === group),
    }));
}

/** "1 to 400 days, or blank; for a steady supply". */
export function meaning(column: Column): string {
    const range = column.choices.length
        ? say('crop-range.choice', { choices: column.choices.join(', ') })
        : column.unit
          ? say(`crop-range.${column.unit}`, { least: column.least, most: column.most })
          : '';
    const asked = range && column.optional ? say('crop-range.optional', { range }) : range;
    return [asked, say(`column.${column.column}.help`)].filter(Boolean).join('; ');
}

/** "Days to maturity: 54 to 70". */
export function changeInWords(column: string, before: string | undefined, after: string): string {
    const blank = say('crop-change.blank');
    return say('crop-change', {
        label: say(`column.${column}.label`),
        before: before || blank,
        after: after || blank,
    });
}
