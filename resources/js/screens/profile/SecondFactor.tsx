import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { SquareCode } from '../../charts/SquareCode';
import { Problem } from '../../ui/Problem';
import { CurrentPasswordField } from '../../ui/Credentials';
import { say } from '../../words/words';
import { useBeginSecondFactor, useConfirmSecondFactor, useEndSecondFactor, type AccountData } from './queries';

/** A phone's code as the second step of logging in: set up, with recovery codes shown once, and turned off. */
export function SecondFactor({ account }: { account: AccountData }) {
    const { on, demanded, recovery_codes: left } = account.second_factor;
    const begin = useBeginSecondFactor();
    const confirm = useConfirmSecondFactor();
    return (
        <section style={{ maxWidth: '30rem' }}>
            <h3>{say('account.second-factor')}</h3>
            {confirm.isSuccess ? (
                <RecoveryCodes codes={confirm.data.recovery_codes} />
            ) : on ? (
                <p>{say('account.second-factor-on', { left })}</p>
            ) : (
                <p className={demanded ? 'warning' : 'hint'}>
                    {say(demanded ? 'account.second-factor-demanded' : 'account.second-factor-what')}
                </p>
            )}
            <Problem error={begin.error} />
            {on || confirm.isSuccess ? (
                !demanded && <TurnOff />
            ) : begin.data ? (
                <>
                    <p>{say('account.scan')}</p>
                    <div className="square-code">
                        <SquareCode name={say('account.scan-code')} text={begin.data.address} />
                    </div>
                    <p>
                        {say('account.or-type')} <code>{begin.data.secret.match(/.{1,4}/g)?.join(' ')}</code>
                    </p>
                    <CodeForm confirm={confirm} />
                </>
            ) : (
                <Button variant="default" loading={begin.isPending} onClick={() => begin.mutate()}>
                    {say('account.set-up')}
                </Button>
            )}
        </section>
    );
}

function CodeForm({ confirm }: { confirm: ReturnType<typeof useConfirmSecondFactor> }) {
    const [code, setCode] = useState('');
    return (
        <form
            aria-label={say('account.second-factor')}
            onSubmit={(event) => {
                event.preventDefault();
                confirm.mutate(code.replaceAll(' ', ''));
            }}
        >
            <TextInput
                label={say('account.type-code')}
                w="12rem"
                inputMode="numeric"
                autoComplete="one-time-code"
                required
                value={code}
                onChange={(event) => setCode(event.currentTarget.value)}
            />
            <Problem error={confirm.error} />
            <Button type="submit" mt="sm" loading={confirm.isPending}>
                {say('account.turn-on')}
            </Button>
        </form>
    );
}

function RecoveryCodes({ codes }: { codes: string[] }) {
    return (
        <div role="status">
            <p>{say('account.recovery-codes')}</p>
            <ul className="codes">
                {codes.map((code) => (
                    <li key={code}>
                        <code>{code}</code>
                    </li>
                ))}
            </ul>
        </div>
    );
}

function TurnOff() {
    const [open, setOpen] = useState(false);
    const [password, setPassword] = useState('');
    const end = useEndSecondFactor();
    if (!open) {
        return (
            <Button variant="default" onClick={() => setOpen(true)}>
                {say('account.turn-off')}
            </Button>
        );
    }
    return (
        <form
            aria-label={say('account.turn-off')}
            onSubmit={(event) => {
                event.preventDefault();
                end.mutate(password);
            }}
        >
            <CurrentPasswordField label={say('account.current-password')} value={password} onChange={setPassword} />
            <Problem error={end.error} />
            <Button type="submit" mt="sm" variant="default" loading={end.isPending}>
                {say('account.turn-off')}
            </Button>
        </form>
    );
}
