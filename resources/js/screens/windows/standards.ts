import type { Schema } from '../../api/client';

/** The educator's standard of proof: in how many years a sowing must have come to a harvest. */
export const STANDARDS = [
    { value: 'cautious', label: '9 in 10' },
    { value: 'reliable', label: '8 in 10' },
    { value: 'bold', label: '6 in 10' },
];

export function isStandard(value: string | null): value is Schema['Standard'] {
    return STANDARDS.some((standard) => standard.value === value);
}
