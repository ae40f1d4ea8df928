import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { useCan } from '../../access/session';
import { say } from '../../words/words';
import { STEPS } from '../../way/steps';

/** An installation without a zone: what it will do, and the four steps to the first calendar. */
export function Welcome() {
    const mayEdit = useCan('edit-zones');
    return (
        <section className="welcome" aria-labelledby="welcome">
            <h2 id="welcome">{say('welcome.heading')}</h2>
            <p>{say('welcome.what')}</p>
            <ol>
                {STEPS.map((step) => (
                    <li key={step}>
                        <strong>{say(`steps.${step}`)}</strong> <small>{say(`steps.${step}.takes`)}</small>
                        <p>{say(`steps.${step}.what`)}</p>
                    </li>
                ))}
            </ol>
            <p className="hint">{say('welcome.leave')}</p>
            {mayEdit ? (
                <Button component={Link} to="/desk/zones/new">
                    {say('welcome.begin')}
                </Button>
            ) : (
                <p>{say('welcome.ask-an-educator')}</p>
            )}
        </section>
    );
}
