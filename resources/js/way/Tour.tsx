import { Button, Group } from '@mantine/core';
import { useEffect, useRef } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { Action } from '../ui/Action';
import { say } from '../words/words';
import { STOPS, useTour } from './tour';

/** A stop of the tour: what to see on the screen, and the way to the next. */
export function Tour() {
    const [at, go] = useTour();
    const navigate = useNavigate();
    const { pathname } = useLocation();
    const heading = useRef<HTMLHeadingElement>(null);
    useEffect(() => {
        if (at !== null) heading.current?.focus({ preventScroll: true });
    }, [at]);
    const stop = at === null ? undefined : STOPS[at];
    if (at === null || stop === undefined) return null;
    const to = (next: number) => {
        go(next);
        void navigate(STOPS[next]?.address ?? '/desk');
    };
    const isLast = at === STOPS.length - 1;
    return (
        <section className="tour" aria-labelledby="tour-heading">
            <h2 id="tour-heading" ref={heading} tabIndex={-1}>
                {say('tour.stop', { stop: at + 1, stops: STOPS.length, name: say(`tour.${stop.name}`) })}
            </h2>
            <p>{say(`tour.${stop.name}.text`)}</p>
            {isLast && (
                <p>
                    <a href="/zones/basin-floor" target="_blank" rel="noreferrer">
                        {say('steps.see-the-page')}
                    </a>
                </p>
            )}
            {pathname !== stop.address && (
                <p>
                    <Link to={stop.address}>{say('tour.back-to-it')}</Link>
                </p>
            )}
            <Group gap="sm">
                {at > 0 && (
                    <Button size="xs" variant="default" onClick={() => to(at - 1)}>
                        {say('tour.back')}
                    </Button>
                )}
                <Button size="xs" onClick={() => (isLast ? go(null) : to(at + 1))}>
                    {say(isLast ? 'tour.finish' : 'tour.next')}
                </Button>
                {!isLast && <Action onClick={() => go(null)}>{say('tour.end')}</Action>}
            </Group>
        </section>
    );
}
