import { Button, PasswordInput, Stack } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { useNewPassword } from './queries';

/** Where the link for a forgotten password leads. */
export function NewPassword() {
    const { secret = '' } = useParams();
    const [params] = useSearchParams();
    const [password, setPassword] = useState('');
    const save = useNewPassword();
    return (
        <main className="login">
            <h1>{say('login.anthesis')}</h1>
            <h2>{say('login.new-heading')}</h2>
            {save.isSuccess ? (
                <p role="status">{say('login.new-saved')}</p>
            ) : (
                <form
                    aria-label={say('login.new-heading')}
                    onSubmit={(event) => {
                        event.preventDefault();
                        save.mutate({ email: params.get('email') ?? '', token: secret, password });
                    }}
                >
                    <Stack gap="sm">
                        <PasswordInput
                            label={say('account.new-password')}
                            description={say('account.password-help')}
                            autoComplete="new-password"
                            required
                            value={password}
                            onChange={(event) => setPassword(event.currentTarget.value)}
                        />
                        <Problem error={save.error} />
                        <Button type="submit" loading={save.isPending}>
                            {say('account.save-password')}
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
