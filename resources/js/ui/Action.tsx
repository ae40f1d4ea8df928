import type { ReactNode } from 'react';

/** A small button beside what it acts on: edit, delete, undo. */
export function Action({
    onClick,
    name,
    children,
}: {
    onClick: () => void;
    /** read out instead of its text, if that does not tell it from others */
    name?: string;
    children: ReactNode;
}) {
    return (
        <button type="button" className="plain" aria-label={name} onClick={onClick}>
            {children}
        </button>
    );
}
