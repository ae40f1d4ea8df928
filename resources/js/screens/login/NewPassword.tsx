import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { NewPasswordField } from '../../ui/Credentials';
import { say } from '../../words/words';
import { BackToLogin, Fields, Page } from './Frame';
import { useNewPassword } from './queries';

/** Where the link for a forgotten password leads. */
export function NewPassword() {
    const { secret = '' } = useParams();
    const [params] = useSearchParams();
    const [password, setPassword] = useState('');
    const save = useNewPassword();
    const heading = say('login.new-heading');
    return (
        <Page heading={heading}>
            {save.isSuccess ? (
                <p role="status">{say('login.new-saved')}</p>
            ) : (
                <Fields
                    name={heading}
                    act={say('account.save-password')}
                    sent={save}
                    onSubmit={() => save.mutate({ email: params.get('email') ?? '', token: secret, password })}
                >
                    <NewPasswordField value={password} onChange={setPassword} />
                </Fields>
            )}
            <BackToLogin />
        </Page>
    );
}
