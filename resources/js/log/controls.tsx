import { useId, type ComponentProps, type ReactNode } from 'react';
import { labeled, useTyped } from '../ui/measure';
import type { Measure } from '../words/units';

// The phone's own fields, large. The desk's library would take as long to load as the rest of the log.

/** A field under its label. */
export function Field({ label, ...props }: { label?: string } & ComponentProps<'input'>) {
    const id = useId();
    return (
        <div className="field">
            {label && <label htmlFor={id}>{label}</label>}
            <input id={id} {...props} />
        </div>
    );
}

/** A number, on the phone's number keys; "" if there is none. */
export function Figure({
    value,
    onChange,
    step = 'any',
    ...props
}: {
    label: string;
    value: number | string;
    min?: number;
    max?: number;
    step?: number | 'any';
    onChange: (value: number | '') => void;
}) {
    return (
        <Field
            {...props}
            type="number"
            inputMode="decimal"
            step={step}
            value={value}
            onChange={({ currentTarget: { valueAsNumber } }) =>
                onChange(Number.isNaN(valueAsNumber) ? '' : valueAsNumber)
            }
        />
    );
}

/** Several lines of text. */
export function Words({ label, ...props }: { label: string } & ComponentProps<'textarea'>) {
    const id = useId();
    return (
        <div className="field">
            <label htmlFor={id}>{label}</label>
            <textarea id={id} rows={2} {...props} />
        </div>
    );
}

/** Yes or no. */
export function Tick({ label, ...props }: { label: string } & ComponentProps<'input'>) {
    return (
        <label className="tick">
            <input type="checkbox" {...props} /> {label}
        </label>
    );
}

/** One of a few. */
export function Pick({
    label,
    options,
    ...props
}: { label: string; options: { value: string; label: string }[] } & ComponentProps<'select'>) {
    const id = useId();
    return (
        <div className="field">
            <label htmlFor={id}>{label}</label>
            <select id={id} {...props}>
                {options.map((option) => (
                    <option key={option.value} value={option.value}>
                        {option.label}
                    </option>
                ))}
            </select>
        </div>
    );
}

/** The button of a form. */
export function Press(props: ComponentProps<'button'>) {
    return <button className="press" {...props} />;
}

/** Two fields side by side. */
export function Pair({ children }: { children: ReactNode }) {
    return <div className="pair">{children}</div>;
}

/** A number in the person's units, passed on in metric; "" if there is none. */
export function Measured({
    measure,
    label,
    value,
    onChange,
    step,
}: {
    measure: Measure;
    label: string;
    value: number | string;
    step?: number;
    onChange: (metric: number | '') => void;
}) {
    const reads = useTyped(measure, value);
    return (
        <Figure
            label={labeled(label, measure)}
            value={reads.shown}
            step={step}
            onChange={(typed) => onChange(reads.type(typed))}
        />
    );
}
