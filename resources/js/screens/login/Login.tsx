import { CurrentPasswordField, LoginAddressField } from '../../ui/Credentials';
import { say } from '../../words/words';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useLogIn, useLogInWithCode } from './queries';
import { Fields, Page } from './Frame';

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
        <Page>
            <p>{say('login.sowing-calendars-from-the-record')}</p>
            {waits ? <Code onEntered={enter} /> : <Password onEntered={enter} />}
            <p className="hint">
                {say('login.gardeners-need-no-account')} <a href="/">{say('login.calendars-are-here')}</a>.
            </p>
        </Page>
    );
}

function Password({ onEntered }: { onEntered: (waits: boolean) => void }) {
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const logIn = useLogIn();
    return (
        <Fields
            name={say('login.log-in')}
            act={say('login.log-in')}
            sent={logIn}
            onSubmit={() => logIn.mutate({ email, password }, { onSuccess: onEntered })}
            after={<Link to="/desk/forgot-password">{say('login.forgot')}</Link>}
        >
            <LoginAddressField value={email} onChange={setEmail} />
            <CurrentPasswordField value={password} onChange={setPassword} />
        </Fields>
    );
}

/** The second step, after the right password. */
function Code({ onEntered }: { onEntered: (waits: boolean) => void }) {
    const [code, setCode] = useState('');
    const logIn = useLogInWithCode();
    return (
        <Fields
            name={say('login.log-in')}
            act={say('login.log-in')}
            sent={logIn}
            onSubmit={() => logIn.mutate(code, { onSuccess: onEntered })}
        >
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
        </Fields>
    );
}
