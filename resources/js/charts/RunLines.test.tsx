import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { RunLines, runInWords, runsOn, type YearRun } from './RunLines';
import { yearScale } from '../time/yearScale';

const year = (value: number) => Array.from({ length: 365 }, () => value);
const runs = {
    outcomes: ['harvest', 'freeze-young'],
    years: [
        { year: 2000, outcome: year(0), up: year(8), harvest: year(60), end: year(80) },
        { year: 2001, outcome: year(1), up: year(9), harvest: year(-1), end: year(14) },
        { year: 2002, outcome: year(-1), up: year(-1), harvest: year(-1), end: year(-1) },
    ],
};

describe('runs of one sow day', () => {
    it('are read from the arrays, and years that do not count are left out', () => {
        const found = runsOn(runs, 100);
        expect(found.map((r) => [r.year, r.outcome, r.up, r.harvest, r.end])).toEqual([
            [2000, 'harvest', 8, 60, 80],
            [2001, 'freeze-young', 9, null, 14],
        ]);
    });

    it('are said in words, with their dates', () => {
        const [good, lost] = runsOn(runs, 100) as [YearRun, YearRun];
        expect(runInWords(good, 100)).toBe('2000: 10 Apr, emerged 18 Apr, first harvest 9 Jun, ended 29 Jun');
        expect(runInWords(lost, 100)).toBe('2001: 10 Apr, emerged 19 Apr, killed by frost when young, 24 Apr');
    });

    it('go on at the start of the ruler where they run past its end', () => {
        const { container } = render(
            <svg>
                <RunLines scale={yearScale('01-01', 365)} runs={runsOn(runs, 350)} day={350} />
            </svg>,
        );
        const harvest = [...container.querySelectorAll('rect[fill="var(--leaf)"]')];
        expect(harvest.map((r) => Number(r.getAttribute('x')))).toEqual([349 + 60 - 365]);
        for (const rect of container.querySelectorAll('rect')) {
            expect(Number(rect.getAttribute('x')) + Number(rect.getAttribute('width'))).toBeLessThanOrEqual(371);
        }
    });
});
