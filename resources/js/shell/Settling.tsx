import { useIsFetching } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { say } from '../words/words';

/** The longest a screen is held back while it waits for data, ms. */
const LONGEST = 1500;

/** How long nothing must be loading, ms: what was loaded may cause more to load. */
const STILL = 60;

/**
 * A screen that is shown once the data it asks for first has arrived, so nothing moves under the eyes and the pointer; or after a moment,
 * with whatever has arrived, and a note on what is still being computed. Keyboard and screen readers can reach it all the while.
 */
export function Settling({ children }: { children: ReactNode }) {
    const waiting = useIsFetching({ predicate: (query) => query.state.status === 'pending' });
    const [settled, setSettled] = useState(false);
    useEffect(() => {
        if (settled) return;
        const timer = setTimeout(() => setSettled(true), waiting > 0 ? LONGEST : STILL);
        return () => clearTimeout(timer);
    }, [settled, waiting]);
    return (
        <>
            <div className={settled ? undefined : 'settling'}>{children}</div>
            {waiting > 0 && <Waiting />}
        </>
    );
}

/** Says that something is still being computed, once it has taken a while. */
function Waiting() {
    const [isLong, setLong] = useState(false);
    useEffect(() => {
        const timer = setTimeout(() => setLong(true), LONGEST);
        return () => clearTimeout(timer);
    }, []);
    return (
        <p role="status" className="waiting">
            {isLong && say('desk.working-on-it')}
        </p>
    );
}
