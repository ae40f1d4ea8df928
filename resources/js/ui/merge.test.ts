import { expect, it } from 'vitest';
import { merged } from './merge';

it('keeps what was typed and takes what others saved in the fields nobody here touched', () => {
    const base = { name: 'Bench', height: 410, rows: [1, 2] };
    expect(merged(base, { ...base, name: 'Upper Bench' }, { name: 'Old Bench', height: 520, rows: [1, 2, 3] })).toEqual(
        {
            name: 'Upper Bench',
            height: 520,
            rows: [1, 2, 3],
        },
    );
    expect(merged(base, { ...base, rows: [2] }, { ...base, rows: [1, 2, 3] }).rows).toEqual([2]);
});
