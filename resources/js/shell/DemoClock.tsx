import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useSession } from '../access/session';
import { useNavigate } from 'react-router';
import { api, unwrap } from '../api/client';
import { dateInWords, dateAfter } from '../time/days';
import { Action } from '../ui/Action';
import { Problem } from '../ui/Problem';
import { STOPS, useTour } from '../way/tour';
import { say } from '../words/words';

/** The demonstration's date, and how to change it. */
export function DemoClock() {
    const { data: session } = useSession();
    const queries = useQueryClient();
    const navigate = useNavigate();
    const [stop, goTo] = useTour();
    const [asked, setAsked] = useState<string>();
    const move = useMutation({
        mutationFn: async (today: string) => unwrap(api.PUT('/api/demo-clock', { body: { today } })),
        onSuccess: (moved) => {
            setAsked(undefined);
            queries.setQueryData(['session'], moved);
            return queries.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
        },
    });
    if (!session?.demonstration) return null;
    const { today, demonstration } = session;
    const beginTour = () => {
        goTo(0);
        void navigate(STOPS[0].address);
    };
    const go = (to: string) => move.mutate(to < demonstration.last ? to : demonstration.last);
    return (
        <aside className="demo-clock" aria-label={say('clock.the-day')}>
            <span>{say('clock.it-is', { day: dateInWords(today) })}</span>
            <Action onClick={() => go(dateAfter(today, 1))}>{say('clock.a-day-on')}</Action>
            <Action onClick={() => go(dateAfter(today, 7))}>{say('clock.a-week-on')}</Action>
            {asked === undefined ? (
                <Action onClick={() => setAsked(today)}>{say('clock.another-day')}</Action>
            ) : (
                <form
                    onSubmit={(event) => {
                        event.preventDefault();
                        move.mutate(asked);
                    }}
                >
                    <input
                        type="date"
                        aria-label={say('clock.move-to')}
                        required
                        autoFocus
                        min={demonstration.first}
                        max={demonstration.last}
                        value={asked}
                        onChange={(event) => setAsked(event.target.value)}
                    />
                    <button type="submit" className="plain">
                        {say('clock.move')}
                    </button>
                    <Action onClick={() => setAsked(undefined)}>{say('common.cancel')}</Action>
                </form>
            )}
            {stop === null && (
                <span className="end">
                    <Action onClick={beginTour}>{say('tour.start')}</Action>
                </span>
            )}
            <Problem error={move.error} />
        </aside>
    );
}
