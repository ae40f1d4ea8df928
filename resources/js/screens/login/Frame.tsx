import { Button, Stack } from '@mantine/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';

/** A page for somebody who is not logged in. */
export function Page({ heading, children }: { heading?: string; children: ReactNode }) {
    return (
        <main className="login">
            <h1>{say('login.anthesis')}</h1>
            {heading && <h2>{heading}</h2>}
            {children}
        </main>
    );
}

/** The fields of such a page, one under the other, and its one button. */
export function Fields({
    name,
    act,
    sent,
    onSubmit,
    children,
    after,
}: {
    name: string;
    /** on the button */
    act: string;
    sent: { error: Error | null; isPending: boolean };
    onSubmit: () => void;
    children: ReactNode;
    /** under the button */
    after?: ReactNode;
}) {
    return (
        <form
            aria-label={name}
            onSubmit={(event) => {
                event.preventDefault();
                onSubmit();
            }}
        >
            <Stack gap="sm">
                {children}
                <Problem error={sent.error} />
                <Button type="submit" loading={sent.isPending}>
                    {act}
                </Button>
                {after}
            </Stack>
        </form>
    );
}

export function BackToLogin() {
    return (
        <p>
            <Link to="/desk/login">{say('login.back')}</Link>
        </p>
    );
}
