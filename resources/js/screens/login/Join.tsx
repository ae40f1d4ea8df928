import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import type { Schema } from '../../api/client';
import { Problem } from '../../ui/Problem';
import { CurrentPasswordField, NewPasswordField } from '../../ui/Credentials';
import { say } from '../../words/words';
import { Fields, Page } from './Frame';
import { useInvited, useJoin } from './queries';

/** Where the link of an invitation leads: a name, a password, and in. */
export function Join() {
    const { secret = '' } = useParams();
    const { data, error } = useInvited(secret);
    return (
        <Page>
            <Problem error={error} />
            {data && <JoinForm secret={secret} invited={data} />}
        </Page>
    );
}

function JoinForm({ secret, invited }: { secret: string; invited: Schema['Invited'] }) {
    const [name, setName] = useState(invited.name);
    const [password, setPassword] = useState('');
    const join = useJoin(secret);
    return (
        <>
            <p>{say('login.invited', { office: invited.office, role: say(`role.${invited.role}`) })}</p>
            <p className="hint">{say(`role.${invited.role}.may`)}</p>
            {invited.has_account && <p>{say('login.invited-again')}</p>}
            <Fields
                name={say('login.join')}
                act={say('login.join')}
                sent={join}
                onSubmit={() => join.mutate({ name, password })}
            >
                {!invited.has_account && (
                    <TextInput
                        label={say('account.name')}
                        autoComplete="name"
                        required
                        maxLength={120}
                        value={name}
                        onChange={(event) => setName(event.currentTarget.value)}
                    />
                )}
                {/* For password managers: what the password belongs to. */}
                <TextInput label={say('login.e-mail-address')} autoComplete="username" readOnly value={invited.email} />
                {invited.has_account ? (
                    <CurrentPasswordField value={password} onChange={setPassword} />
                ) : (
                    <NewPasswordField label={say('login.password')} value={password} onChange={setPassword} />
                )}
            </Fields>
        </>
    );
}
