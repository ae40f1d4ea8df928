import type { ReactNode } from 'react';

/** A small act beside what it acts on: edit, take out, undo. */
export function Action({ onClick, children }: { onClick: () => void; children: ReactNode }) {
    return (
        <button type="button" className="plain" onClick={onClick}>
            {children}
        </button>
    );
}
