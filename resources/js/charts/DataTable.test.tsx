import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DataTable, csv } from './DataTable';

describe('Behind', () => {
    it('shows the numbers of a chart as a table once it is opened', async () => {
        render(
            <DataTable
                name="Freezes"
                file="freezes"
                columns={['season', 'last']}
                rows={() => [
                    [2005, '2005-05-02'],
                    [2006, null],
                ]}
            />,
        );
        expect(screen.queryAllByRole('row', { hidden: true })).toHaveLength(0);
        fireEvent.click(screen.getByText('Freezes: table'));
        expect(await screen.findAllByRole('row', { hidden: true })).toHaveLength(3);
    });

    it('writes them as CSV that a spreadsheet reads as it is', () => {
        expect(
            csv(
                ['a', 'b'],
                [
                    [1.5, 'x, “y”'],
                    [-2, 'say "no"'],
                    [null, '=SUM(A1)'],
                ],
            ),
        ).toBe('a,b\r\n1.5,"x, “y”"\r\n-2,"say ""no"""\r\n,\'=SUM(A1)\r\n');
    });
});
