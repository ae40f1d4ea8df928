import type { Units } from '../words/units';
import { seedNeed, unitOfRow, type RowOf } from './seedNeed';

/** The row of the seed table for a length a reader types: there only with a script to reckon it. */
export function reckonSeed(page: Document) {
    const table = page.querySelector<HTMLTableElement>('table.seed');
    const row = table?.querySelector<HTMLTableRowElement>('tr.typed');
    const length = row?.querySelector('input');
    if (!table?.dataset.of || !row || !length) return;
    const of = JSON.parse(table.dataset.of) as RowOf & { units: Units };
    // Made when there is a number to write: a phone takes a fifth of a second for the first.
    let numbers: Intl.NumberFormat | undefined;
    const written = (value: number) =>
        (numbers ??= new Intl.NumberFormat(page.documentElement.lang || undefined)).format(value);
    const reckon = () => {
        const metres = length.valueAsNumber * unitOfRow(of.units);
        const need = metres > 0 && length.validity.valid ? seedNeed(of, metres, of.units) : null;
        for (const cell of row.querySelectorAll<HTMLElement>('[data-is]')) {
            const value = need?.[cell.dataset.is as keyof typeof need];
            cell.textContent = value == null ? '' : written(value);
        }
    };
    row.hidden = false;
    length.addEventListener('input', reckon);
    // A browser that goes back to the page may have kept what was typed.
    reckon();
}
