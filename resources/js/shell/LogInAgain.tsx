import { Button, Group, Modal, PasswordInput } from '@mantine/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useQueryClient } from '@tanstack/react-query';
import { logIn } from '../access/session';
import { whenLoggedOut } from '../api/again';
import type { Schema } from '../api/client';
import { Problem } from '../ui/Problem';
import { say } from '../words/words';

/** Asks for the password where the log-in ran out, over whatever is being done: that stays as it is, and goes on afterwards. */
export function LogInAgain({ user }: { user: NonNullable<Schema['Session']['user']> }) {
    const queries = useQueryClient();
    const [open, setOpen] = useState(false);
    const [password, setPassword] = useState('');
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
        setError(null);
        answer.current?.(isIn);
        answer.current = null;
    };
    const submit = async () => {
        try {
            await logIn(queries, { email: user.email, password });
            end(true);
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
                <PasswordInput
                    label={say('login.password')}
                    autoComplete="current-password"
                    required
                    data-autofocus
                    value={password}
                    onChange={(event) => setPassword(event.currentTarget.value)}
                />
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
