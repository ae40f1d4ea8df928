import { Button, PasswordInput, Stack, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { api, inWords, taken } from '../../api/client';

export function Login() {
    const [email, setEmail] = useState('');
    const [password, setPassword] = useState('');
    const [error, setError] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const navigate = useNavigate();
    const queries = useQueryClient();
    const submit = async (event: FormEvent) => {
        event.preventDefault();
        setBusy(true);
        setError(null);
        try {
            const session = await taken(api.POST('/api/session', { body: { email, password } }));
            queries.clear();
            queries.setQueryData(['session'], session);
            navigate('/desk');
        } catch (refusal) {
            setError(inWords(refusal, 'The server does not answer. Try again in a moment.'));
            setBusy(false);
        }
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
                    {error && (
                        <p role="alert" className="warning">
                            {error}
                        </p>
                    )}
                    <Button type="submit" loading={busy}>
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
