import { useState } from 'react';
import { Action } from '../ui/Action';
import { isCalled } from '../words/search';
import { say } from '../words/words';
import { Field } from './controls';

/** How many answers are shown before the rest is asked for. */
const FIRST = 8;

/** One of several answers, likely ones first; the rest are found by part of their name. */
export function Choices({
    label,
    options,
    chosen,
    onChoose,
    find,
    empty,
}: {
    label: string;
    /** `names`: other names, for the search */
    options: { value: string; label: string; names?: string[] }[];
    chosen: string | null;
    onChoose: (value: string) => void;
    /** shown if there are many to look through */
    find?: string;
    /** shown if there are none */
    empty?: string;
}) {
    const [all, setAll] = useState(false);
    const [asked, setAsked] = useState('');
    const plain = asked.trim();
    const found = options.filter((option) => isCalled([option.label, ...(option.names ?? [])], plain));
    const shown = all || plain ? found : found.slice(0, FIRST);
    const known = options.find((option) => option.value === chosen);
    const list = known && !shown.includes(known) ? [known, ...shown] : shown;
    return (
        <fieldset className="choices">
            <legend>{label}</legend>
            {options.length === 0 && empty && <p>{empty}</p>}
            {list.map((option) => (
                <button
                    key={option.value}
                    type="button"
                    aria-pressed={option.value === chosen}
                    onClick={() => onChoose(option.value)}
                >
                    {option.label}
                </button>
            ))}
            {found.length > shown.length && (
                <Action onClick={() => setAll(true)}>
                    {say('folded.and-more', { more: found.length - shown.length })}
                </Action>
            )}
            {find && (
                <Field
                    aria-label={find}
                    placeholder={find}
                    value={asked}
                    onChange={(event) => setAsked(event.currentTarget.value)}
                />
            )}
        </fieldset>
    );
}
