import { Button, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { CurrentPasswordField, NewPasswordField } from '../../ui/Credentials';
import { say } from '../../words/words';
import { useAccount, useAskForAddress, useEndLogin, useSaveName, useSavePassword, type AccountData } from './queries';
import { SecondFactor } from './SecondFactor';
import { Tokens } from './Tokens';

/** A person's own name, address, password, second step, and the places where they are logged in. */
export function Account() {
    const { data: account } = useAccount();
    if (!account) return null;
    const mustSetUp = account.second_factor.demanded && !account.second_factor.on;
    return (
        <div className="account">
            <SecondFactor account={account} />
            {!mustSetUp && (
                <>
                    <Name key={account.name} account={account} />
                    <Address account={account} />
                    <Password />
                    <Logins account={account} />
                    <Tokens />
                </>
            )}
        </div>
    );
}

function Part({
    heading,
    act,
    children,
    pending,
    error,
    disabled = false,
    onSave,
}: {
    heading: string;
    act: string;
    children: ReactNode;
    pending: boolean;
    error: Error | null;
    disabled?: boolean;
    onSave: () => void;
}) {
    return (
        <form
            aria-label={heading}
            style={{ maxWidth: '24rem' }}
            onSubmit={(event) => {
                event.preventDefault();
                onSave();
            }}
        >
            <h3>{heading}</h3>
            {children}
            <Problem error={error} />
            <Button type="submit" mt="sm" variant="default" loading={pending} disabled={disabled}>
                {act}
            </Button>
        </form>
    );
}

function Name({ account }: { account: AccountData }) {
    const [name, setName] = useState(account.name);
    const save = useSaveName();
    return (
        <Part
            heading={say('account.name')}
            act={say('account.save-name')}
            pending={save.isPending}
            error={save.error}
            disabled={name.trim() === '' || name === account.name}
            onSave={() => save.mutate(name)}
        >
            <TextInput
                label={say('account.your-name')}
                description={say('account.name-help')}
                autoComplete="name"
                maxLength={120}
                value={name}
                onChange={(event) => setName(event.currentTarget.value)}
            />
        </Part>
    );
}

function Address({ account }: { account: AccountData }) {
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const ask = useAskForAddress();
    return (
        <Part
            heading={say('login.e-mail-address')}
            act={say('account.send-confirmation')}
            pending={ask.isPending}
            error={ask.error}
            onSave={() =>
                ask.mutate(
                    { email, current_password: password },
                    {
                        onSuccess: () => {
                            setEmail('');
                            setPassword('');
                        },
                    },
                )
            }
        >
            <p className="hint">
                {account.new_email
                    ? say('account.address-waits', { email: account.email, new: account.new_email })
                    : say('account.address-is', { email: account.email })}
            </p>
            <TextInput
                label={say('account.new-address')}
                type="email"
                required
                value={email}
                onChange={(event) => setEmail(event.currentTarget.value)}
            />
            <CurrentPasswordField
                mt="xs"
                label={say('account.current-password')}
                value={password}
                onChange={setPassword}
            />
        </Part>
    );
}

function Password() {
    const [password, setPassword] = useState('');
    const [current, setCurrent] = useState('');
    const save = useSavePassword();
    return (
        <Part
            heading={say('login.password')}
            act={say('account.save-password')}
            pending={save.isPending}
            error={save.error}
            onSave={() =>
                save.mutate(
                    { password, current_password: current },
                    {
                        onSuccess: () => {
                            setPassword('');
                            setCurrent('');
                        },
                    },
                )
            }
        >
            <NewPasswordField value={password} onChange={setPassword} />
            <CurrentPasswordField
                mt="xs"
                label={say('account.current-password')}
                value={current}
                onChange={setCurrent}
            />
            {save.isSuccess && <p role="status">{say('account.password-saved')}</p>}
        </Part>
    );
}

/** How many log-ins are shown before the others are asked for; the one used last comes first. */
const LOGINS = 6;

/** Where they are logged in; they can log out everywhere else from here. */
function Logins({ account }: { account: AccountData }) {
    const end = useEndLogin();
    const [all, setAll] = useState(false);
    const shown = all ? account.logins : account.logins.slice(0, LOGINS);
    const more = account.logins.length - shown.length;
    return (
        <section>
            <h3>{say('account.logins')}</h3>
            <Problem error={end.error} />
            <ul className="plain-list">
                {shown.map((login) => (
                    <li key={login.id}>
                        {say(login.here ? 'account.login-here' : 'account.login', {
                            device: login.device,
                            since: dateInWords(login.since),
                            seen: dateInWords(login.seen),
                        })}{' '}
                        {!login.here && (
                            <Action
                                name={say('account.end-login-on', { device: login.device })}
                                onClick={() => end.mutate(login.id)}
                            >
                                {say('account.end-login')}
                            </Action>
                        )}
                    </li>
                ))}
                {more > 0 && (
                    <li>
                        <Action onClick={() => setAll(true)}>{say('folded.and-more', { more })}</Action>
                    </li>
                )}
            </ul>
        </section>
    );
}
