import { Tooltip } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { say } from '../words/words';
import type { TermName } from './help';

/** A word of the trade that is explained while the pointer or keyboard focus is on it; Escape hides the explanation. */
export function Term({ of, children }: { of: TermName; children?: ReactNode }) {
    const [opened, setOpened] = useState(false);
    const show = () => setOpened(true);
    const hide = () => setOpened(false);
    return (
        <Tooltip
            label={say(`term.${of}.means`)}
            opened={opened}
            multiline
            w={280}
            withArrow={false}
            radius={0}
            openDelay={150}
            // Attached to the body, it would be outside every landmark.
            portalProps={{ target: 'main' }}
        >
            <span
                className="term"
                tabIndex={0}
                onMouseEnter={show}
                onMouseLeave={hide}
                onFocus={show}
                onBlur={hide}
                onKeyDown={(event) => event.key === 'Escape' && hide()}
            >
                {children ?? say(`term.${of}`)}
            </span>
        </Tooltip>
    );
}
