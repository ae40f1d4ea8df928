import { Button, Group, Modal, TextInput } from '@mantine/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { logIn, logInWithCode } from '../access/session';
import { whenLoggedOut } from '../api/again';
import type { Schema } from '../api/client';
import { Problem } from '../ui/Problem';
import { CurrentPasswordField } from '../ui/Credentials';
import { say } from '../words/words';

/** Asks for the password when the log-in ran out, over whatever is being done; that stays as it is, and continues afterward. */
export function LogInAgain({ user }: { user: NonNullable<Schema['Session']['user']> }) {
    const queries = useQueryClient();
    const [open, setOpen] = useState(false);
    const [password, setPassword] = useState('');
    const [code, setCode] = useState<string | null>(null);
    const [error, setError] = useState<Error | null>(null);
    const answer = useRef<((isIn: boolean) => void) | null>(null);
    const ask = useCallback(
        () =>
            new Promise<boolean>((resolve) => {
                answer.current = resolve;
                setOpen(true);
            }),
        [],
    );
    useEffect(() => whenLoggedOut(user.email, ask), [user.email, ask]);
    const end = (isIn: boolean) => {
        setOpen(false);
        setPassword('');
        setCode(null);
        setError(null);
        answer.current?.(isIn);
        answer.current = null;
    };
    const submit = async () => {
        try {
            const waits = await (code === null
                ? logIn(queries, { email: user.email, password })
                : logInWithCode(queries, code));
            if (waits) setCode('');
            else end(true);
        } catch (why) {
            setError(why as Error);
        }
    };
    return (
        <Modal
            opened={open}
            onClose={() => end(false)}
            title={say('login.again')}
            closeButtonProps={{ 'aria-label': say('desk.close') }}
        >
            <form
                aria-label={say('login.again')}
                onSubmit={(event) => {
                    event.preventDefault();
                    void submit();
                }}
            >
                <p>{say('login.again-why', { email: user.email })}</p>
                <CurrentPasswordField value={password} onChange={setPassword} />
                {code !== null && (
                    <TextInput
                        mt="xs"
                        label={say('login.code')}
                        description={say('login.code-help')}
                        autoComplete="one-time-code"
                        required
                        autoFocus
                        value={code}
                        onChange={(event) => setCode(event.currentTarget.value)}
                    />
                )}
                <Problem error={error} />
                <Group mt="md" gap="sm">
                    <Button type="submit">{say('login.log-in')}</Button>
                    <Button variant="subtle" color="gray" onClick={() => end(false)}>
                        {say('common.cancel')}
                    </Button>
                </Group>
            </form>
        </Modal>
    );
}
