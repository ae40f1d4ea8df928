import { useEffect } from 'react';
import { Link, useLocation, useMatch } from 'react-router';
import { useCan } from '../access/session';
import type { Zone } from '../api/client';
import { useNoted } from '../ui/noted';
import { Action } from '../ui/Action';
import { say } from '../words/words';
import { stepsOf, useLooked, useStepsHidden, type Step } from './steps';

/** Above the screens of a zone that has no calendar yet: the four steps to it, and what the next one needs. */
export function Steps({ zone }: { zone: Zone | undefined }) {
    const slug = zone?.slug ?? 'new';
    const mayEdit = useCan('edit-zones');
    const { pathname } = useLocation();
    const isNew = useMatch('/desk/zones/new') !== null;
    const [hidden, hide] = useStepsHidden(slug);
    const [looked, look] = useLooked(slug);
    // If somebody is still on the steps when the zone's calendar is published, they stay until they are closed, and end with a link to the
    // page.
    const [atIt, setAtIt] = useNoted(`steps-at:${slug}`);
    const sees = zone?.record != null && pathname.startsWith(`/desk/zones/${slug}/planting-windows`);
    useEffect(() => {
        if (sees && looked === null) look('yes');
    }, [sees, looked, look]);
    const isOpen = zone !== undefined && zone.edition === null;
    useEffect(() => {
        if (isOpen && atIt === null) setAtIt('yes');
    }, [isOpen, atIt, setAtIt]);
    if (!mayEdit || hidden !== null || !(isNew || isOpen || (zone && atIt !== null))) return null;
    const steps = stepsOf(zone, looked !== null);
    const now = steps.find((step) => step.state === 'now');
    const computing = zone?.computation && ['queued', 'running'].includes(zone.computation.state);
    return (
        <nav className="way-steps" aria-label={say('steps.label')}>
            <StepList steps={steps} here={pathname} />
            <p role="status">
                {now === undefined && zone ? (
                    <>
                        {say('steps.all-done')}{' '}
                        <a href={`/zones/${zone.slug}`} target="_blank" rel="noreferrer">
                            {say('steps.see-the-page')}
                        </a>
                    </>
                ) : computing ? (
                    say('steps.computing')
                ) : (
                    now && say(`steps.${now.name}.needs`)
                )}
            </p>
            {!isNew && <Action onClick={() => hide('yes')}>{say(now ? 'steps.hide' : 'steps.close')}</Action>}
        </nav>
    );
}

/** The steps in a row, each with how long it takes or that it is done. */
export function StepList({ steps, here }: { steps: Step[]; here?: string }) {
    return (
        <ol>
            {steps.map((step, i) => (
                <li key={step.name} className={step.state} aria-current={step.state === 'now' ? 'step' : undefined}>
                    <span className="number" aria-hidden>
                        {i + 1}
                    </span>
                    {step.address && step.state !== 'later' && step.address !== here ? (
                        <Link to={step.address}>{say(`steps.${step.name}`)}</Link>
                    ) : (
                        <span>{say(`steps.${step.name}`)}</span>
                    )}
                    <small>{say(step.state === 'done' ? 'steps.done' : `steps.${step.name}.takes`)}</small>
                </li>
            ))}
        </ol>
    );
}
