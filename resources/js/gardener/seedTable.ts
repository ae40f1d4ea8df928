import type { Units } from '../words/units';
import { seedNeed, unitOfRow, type RowOf } from './seedNeed';

/** The row of the seed table for a length the reader types; it needs a script, so it is only there with one. */
export function reckonSeed(page: Document) {
    const table = page.querySelector<HTMLTableElement>('table.seed');
    const row = table?.querySelector<HTMLTableRowElement>('tr.typed');
    const length = row?.querySelector('input');
    if (!table?.dataset.of || !row || !length) return;
    const of = JSON.parse(table.dataset.of) as RowOf & { units: Units };
    // Made when there is a number to write, because the first one takes a phone a fifth of a second.
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
    // When it goes back to the page, a browser may have kept what was typed.
    reckon();
}
