import { Button, PasswordInput, Stack, TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { useLogIn } from './queries';
import { Problem } from '../../ui/Problem';

export function Login() {
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const navigate = useNavigate();
    const logIn = useLogIn();
    const submit = (event: FormEvent) => {
        event.preventDefault();
        logIn.mutate({ email, password }, { onSuccess: () => navigate('/desk') });
    };
    return (
        <main className="login">
            <h1>Anthesis</h1>
            <p>Sowing calendars from the record.</p>
            <form onSubmit={submit} aria-label="Log in">
                <Stack gap="sm">
                    <TextInput
                        label="E-mail address"
                        type="email"
                        autoComplete="username"
                        required
                        autoFocus
                        value={email}
                        onChange={(e) => setEmail(e.currentTarget.value)}
                    />
                    <PasswordInput
                        label="Password"
                        autoComplete="current-password"
                        required
                        value={password}
                        onChange={(e) => setPassword(e.currentTarget.value)}
                    />
                    <Problem error={logIn.error} />
                    <Button type="submit" loading={logIn.isPending}>
                        Log in
                    </Button>
                </Stack>
            </form>
            <p className="hint">
                Gardeners need no account: <a href="/">calendars are here</a>.
            </p>
        </main>
    );
}
