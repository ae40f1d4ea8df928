import { useIsFetching, useQueryClient, type Query } from '@tanstack/react-query';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { say } from '../words/words';

/** The longest a screen is held back while it waits for data, ms. */
const LONGEST = 1500;

/** How long nothing must be loading, ms: what was loaded may cause more to load. */
const STILL = 60;

/** Queries without data yet. */
const FIRST_TIME = { predicate: (query: Query) => query.state.status === 'pending' };

/**
 * A screen that is shown once the data it asks for first has arrived, so nothing moves under the eyes and the pointer; or after a moment,
 * with whatever has arrived, and a note on what is still being computed. Keyboard and screen readers can reach it all the while.
 */
export function Settling({ children }: { children: ReactNode }) {
    const waiting = useIsFetching(FIRST_TIME);
    const queries = useQueryClient();
    const [settled, setSettled] = useState(false);
    const isNew = useRef(true);
    useEffect(() => {
        if (settled) return;
        // What the screen asks for has been requested by now: if all of it is known already, there is nothing to wait for.
        const isKnown = isNew.current && queries.isFetching(FIRST_TIME) === 0;
        isNew.current = false;
        if (isKnown) {
            setSettled(true);
            return;
        }
        const timer = setTimeout(() => setSettled(true), waiting > 0 ? LONGEST : STILL);
        return () => clearTimeout(timer);
    }, [settled, waiting, queries]);
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
