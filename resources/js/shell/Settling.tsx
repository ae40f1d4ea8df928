import { useIsFetching } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { say } from '../words/words';

/** The longest a screen is held back for what it still waits for, ms. */
const LONGEST = 1500;

/** How long it has to be still, ms: what was asked for may lead to more being asked for. */
const STILL = 60;

/**
 * A screen, shown once what it asks for first has come, so that nothing moves under the eyes and the pointer while it does; or after a
 * moment, whatever has come; what is still being computed then is said to be. It is there for the keyboard and for readers' aids all
 * the while.
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
