import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { listed, say } from '../../words/words';
import { useEndToken, useMakeToken, useTokens, type Scope, type Token } from './queries';

const SCOPES: Scope[] = ['read-zones', 'write-log', 'report-readings'];

const DAYS = [30, 90, 365] as const;

/** Tokens for a person's programs: created here, shown once, and ended here. */
export function Tokens() {
    const { data: tokens } = useTokens();
    const end = useEndToken();
    return (
        <section style={{ maxWidth: '34rem' }}>
            <h3>{say('tokens.heading')}</h3>
            <p className="hint">{say('tokens.what')}</p>
            <Problem error={end.error} />
            {tokens && tokens.length > 0 && (
                <ul className="plain-list">
                    {tokens.map((token) => (
                        <li key={token.id}>
                            {say('tokens.token', {
                                name: token.name,
                                scopes: listed(token.scopes.map((scope) => say(`scope.${scope}.short`))),
                                until: token.until === null ? '' : dateInWords(token.until),
                            })}{' '}
                            {token.used === null
                                ? say('tokens.never-used')
                                : say('tokens.used', { day: dateInWords(token.used) })}{' '}
                            <Action name={say('tokens.end-of', { name: token.name })} onClick={() => end.mutate(token)}>
                                {say('tokens.end')}
                            </Action>
                        </li>
                    ))}
                </ul>
            )}
            <Make tokens={tokens ?? []} />
        </section>
    );
}

function Make({ tokens }: { tokens: Token[] }) {
    const make = useMakeToken();
    const [name, setName] = useState('');
    const [scopes, setScopes] = useState<Scope[]>([]);
    const [days, setDays] = useState<(typeof DAYS)[number]>(90);
    return (
        <form
            aria-label={say('tokens.make')}
            onSubmit={(event) => {
                event.preventDefault();
                make.mutate({ name, scopes, days }, { onSuccess: () => setName('') });
            }}
        >
            <TextInput
                label={say('tokens.name')}
                description={say('tokens.name-help')}
                required
                maxLength={80}
                value={name}
                onChange={(event) => setName(event.currentTarget.value)}
            />
            {SCOPES.map((scope) => (
                <Checkbox
                    key={scope}
                    mt="xs"
                    label={say(`scope.${scope}`)}
                    checked={scopes.includes(scope)}
                    onChange={(event) =>
                        setScopes(
                            event.currentTarget.checked ? [...scopes, scope] : scopes.filter((one) => one !== scope),
                        )
                    }
                />
            ))}
            <NativeSelect
                mt="xs"
                w="12rem"
                label={say('tokens.good-for')}
                value={String(days)}
                data={DAYS.map((one) => ({ value: String(one), label: say('tokens.days', { days: one }) }))}
                onChange={(event) => setDays(DAYS.find((one) => String(one) === event.currentTarget.value) ?? 90)}
            />
            <Problem error={make.error} />
            {make.data && tokens.some(({ id }) => id === make.data.id) && (
                <div role="status">
                    <p>{say('tokens.shown-once')}</p>
                    <p>
                        <code className="token">{make.data.token}</code>
                    </p>
                </div>
            )}
            <Button type="submit" mt="sm" variant="default" loading={make.isPending} disabled={scopes.length === 0}>
                {say('tokens.make')}
            </Button>
        </form>
    );
}
