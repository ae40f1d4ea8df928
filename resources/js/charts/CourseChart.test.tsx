import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { CourseChart, LightChart } from './CourseChart';
import { yearScale } from '../time/yearScale';

const flat = (value: number) => Array.from({ length: 365 }, () => value);
const normal = { starts: '01-01', minimum: flat(2), maximum: flat(12), soil: flat(8) };

describe('CourseChart', () => {
    it('draws the days of a year that are on record and leaves the others out', () => {
        const partly = flat(0).map((_, i) => (i < 100 ? 5 : null));
        const { container } = render(
            <svg>
                <CourseChart
                    scale={yearScale('01-01', 730)}
                    normal={normal}
                    year={{ minimum: partly, maximum: partly, soil: partly }}
                />
            </svg>,
        );
        const strokes = [...container.querySelectorAll('line[stroke="var(--stone)"]')];
        expect(strokes).toHaveLength(100);
        expect(container.innerHTML).not.toContain('NaN');
    });

    it('widens its scale to what is laid over', () => {
        const { container } = render(
            <svg>
                <CourseChart
                    scale={yearScale('01-01', 730)}
                    normal={normal}
                    other={{ ...normal, minimum: flat(-24) }}
                />
            </svg>,
        );
        expect(container.textContent).toContain('−30 °C');
    });

    it('draws a polar day and a polar night', () => {
        const { container } = render(
            <svg>
                <LightChart
                    scale={yearScale('01-01', 730)}
                    starts="01-01"
                    hours={flat(24).map((h, i) => (i < 60 ? 0 : h))}
                    twilight={flat(24).map((h, i) => (i < 60 ? 3 : h))}
                />
            </svg>,
        );
        expect(container.textContent).toContain('24 h');
        expect(container.innerHTML).not.toContain('NaN');
    });
});
