import { useState } from 'react';
import { listed, say } from '../words/words';
import { Action } from './Action';

/** How many items of a list are shown before the rest is asked for. */
const FIRST = 6;

/** A list in a sentence, collapsed after the first few. */
export function CollapsedList({ items }: { items: string[] }) {
    const [open, setOpen] = useState(false);
    if (open || items.length <= FIRST + 1) return <>{listed(items)}</>;
    return (
        <>
            {items.slice(0, FIRST).join(', ')}{' '}
            <Action onClick={() => setOpen(true)}>{say('folded.and-more', { more: items.length - FIRST })}</Action>
        </>
    );
}
