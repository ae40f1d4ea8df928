import { say } from '../../words/words';
import { Button, PasswordInput, Stack, TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useLogIn, useLogInWithCode } from './queries';
import { Problem } from '../../ui/Problem';

/** Where somebody wanted to go before they had to log in: a screen of the desk, and nowhere else. */
function wanted(to: string | null): string {
    return to !== null && /^\/desk(\/(?!login)[^/\\]|\/?(\?|$))/.test(to) ? to : '/desk';
}

export function Login() {
    const [waits, setWaits] = useState(false);
    const navigate = useNavigate();
    const [params] = useSearchParams();
    const enter = (waitsForCode: boolean) => {
        if (waitsForCode) setWaits(true);
        else void navigate(wanted(params.get('to')));
    };
    return (
        <main className="login">
            <h1>{say('login.anthesis')}</h1>
            <p>{say('login.sowing-calendars-from-the-record')}</p>
            {waits ? <Code onEntered={enter} /> : <Password onEntered={enter} />}
            <p className="hint">
                {say('login.gardeners-need-no-account')} <a href="/">{say('login.calendars-are-here')}</a>.
            </p>
        </main>
    );
}

function Password({ onEntered }: { onEntered: (waits: boolean) => void }) {
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const logIn = useLogIn();
    const submit = (event: FormEvent) => {
        event.preventDefault();
        logIn.mutate({ email, password }, { onSuccess: onEntered });
    };
    return (
        <form onSubmit={submit} aria-label={say('login.log-in')}>
            <Stack gap="sm">
                <TextInput
                    label={say('login.e-mail-address')}
                    type="email"
                    autoComplete="username"
                    required
                    autoFocus
                    value={email}
                    onChange={(e) => setEmail(e.currentTarget.value)}
                />
                <PasswordInput
                    label={say('login.password')}
                    autoComplete="current-password"
                    required
                    value={password}
                    onChange={(e) => setPassword(e.currentTarget.value)}
                />
                <Problem error={logIn.error} />
                <Button type="submit" loading={logIn.isPending}>
                    {say('login.log-in')}
                </Button>
                <Link to="/desk/forgot-password">{say('login.forgot')}</Link>
            </Stack>
        </form>
    );
}

/** The second step, after the right password. */
function Code({ onEntered }: { onEntered: (waits: boolean) => void }) {
    const [code, setCode] = useState('');
    const logIn = useLogInWithCode();
    const submit = (event: FormEvent) => {
        event.preventDefault();
        logIn.mutate(code, { onSuccess: onEntered });
    };
    return (
        <form onSubmit={submit} aria-label={say('login.log-in')}>
            <Stack gap="sm">
                <TextInput
                    label={say('login.code')}
                    description={say('login.code-help')}
                    autoComplete="one-time-code"
                    inputMode="numeric"
                    required
                    autoFocus
                    value={code}
                    onChange={(e) => setCode(e.currentTarget.value)}
                />
                <Problem error={logIn.error} />
                <Button type="submit" loading={logIn.isPending}>
                    {say('login.log-in')}
                </Button>
            </Stack>
        </form>
    );
}
