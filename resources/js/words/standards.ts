import { say } from './words';
import type { Schema } from '../api/client';

/** Confidence levels: in how many years a planting must have come to harvest. */
export const STANDARDS = [
    { value: 'cautious', label: say('standards.9-in-10') },
    { value: 'reliable', label: say('standards.8-in-10') },
    { value: 'bold', label: say('standards.6-in-10') },
];

export function isStandard(value: string | null): value is Schema['Standard'] {
    return STANDARDS.some((standard) => standard.value === value);
}
