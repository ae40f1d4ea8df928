import { Button, Stack, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { usePasswordLink } from './queries';

/** Asks for a link with which to set a new password. */
export function ForgotPassword() {
    const [email, setEmail] = useState('');
    const ask = usePasswordLink();
    return (
        <main className="login">
            <h1>{say('login.anthesis')}</h1>
            <h2>{say('login.forgot-heading')}</h2>
            {ask.isSuccess ? (
                <p role="status">{say('login.link-sent', { email })}</p>
            ) : (
                <form
                    aria-label={say('login.forgot-heading')}
                    onSubmit={(event) => {
                        event.preventDefault();
                        ask.mutate(email);
                    }}
                >
                    <Stack gap="sm">
                        <TextInput
                            label={say('login.e-mail-address')}
                            type="email"
                            autoComplete="username"
                            required
                            autoFocus
                            value={email}
                            onChange={(event) => setEmail(event.currentTarget.value)}
                        />
                        <Problem error={ask.error} />
                        <Button type="submit" loading={ask.isPending}>
                            {say('login.send-link')}
                        </Button>
                    </Stack>
                </form>
            )}
            <p>
                <Link to="/desk/login">{say('login.back')}</Link>
            </p>
        </main>
    );
}
