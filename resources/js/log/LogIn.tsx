import { useState } from 'react';
import { api, unwrap } from '../api/client';
import { Problem } from '../ui/Problem';
import { say } from '../words/words';
import { Field, Press } from './controls';

/** Who is writing; asked when a log-in ran out. What is waiting stays as it is. */
export function LogIn({ onIn, waiting = 0 }: { onIn: () => Promise<void>; waiting?: number }) {
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const [error, setError] = useState<Error | null>(null);
    const logIn = async () => {
        try {
            await unwrap(api.POST('/api/session', { body: { email, password } }));
            setError(null);
            await onIn();
        } catch (why) {
            setError(why as Error);
        }
    };
    return (
        <form
            className="log-in"
            aria-label={say('log.log-in')}
            onSubmit={(event) => {
                event.preventDefault();
                void logIn();
            }}
        >
            <p>{say('log.log-in-to-send', { waiting })}</p>
            <Field
                type="email"
                autoComplete="username"
                label={say('login.e-mail-address')}
                required
                value={email}
                onChange={(event) => setEmail(event.currentTarget.value)}
            />
            <Field
                type="password"
                autoComplete="current-password"
                label={say('login.password')}
                required
                value={password}
                onChange={(event) => setPassword(event.currentTarget.value)}
            />
            <Problem error={error} />
            <Press type="submit">{say('log.log-in')}</Press>
        </form>
    );
}
