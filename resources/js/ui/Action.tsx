import type { ReactNode } from 'react';

/** A small act beside what it acts on: edit, take out, undo. */
export function Action({
    onClick,
    name,
    children,
}: {
    onClick: () => void;
    /** read out in place of what it says, where that does not tell it from others */
    name?: string;
    children: ReactNode;
}) {
    return (
        <button type="button" className="plain" aria-label={name} onClick={onClick}>
            {children}
        </button>
    );
}
