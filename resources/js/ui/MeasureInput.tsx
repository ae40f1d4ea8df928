import { NumberInput, type NumberInputProps } from '@mantine/core';
import type { Measure } from '../words/units';
import { labeled, useTyped } from './measure';

/** A number that is typed and shown in the person's units and passed on in metric; "" if there is none. */
export function MeasureInput({
    measure,
    label,
    value,
    onChange,
    ...props
}: Omit<NumberInputProps, 'value' | 'onChange' | 'label' | 'min' | 'max'> & {
    measure: Measure;
    /** without its unit; none if the column says it */
    label?: string;
    /** metric */
    value: number | string;
    onChange: (metric: number | '') => void;
}) {
    const reads = useTyped(measure, value);
    return (
        <NumberInput
            {...props}
            label={label === undefined ? undefined : labeled(label, measure)}
            value={reads.shown}
            onChange={(typed) => onChange(reads.type(typed))}
        />
    );
}
