import { useState } from 'react';
import { LoginAddressField } from '../../ui/Credentials';
import { say } from '../../words/words';
import { BackToLogin, Fields, Page } from './Frame';
import { usePasswordLink } from './queries';

/** Asks for a link with which to set a new password. */
export function ForgotPassword() {
    const [email, setEmail] = useState('');
    const ask = usePasswordLink();
    const heading = say('login.forgot-heading');
    return (
        <Page heading={heading}>
            {ask.isSuccess ? (
                <p role="status">{say('login.link-sent', { email })}</p>
            ) : (
                <Fields name={heading} act={say('login.send-link')} sent={ask} onSubmit={() => ask.mutate(email)}>
                    <LoginAddressField value={email} onChange={setEmail} />
                </Fields>
            )}
            <BackToLogin />
        </Page>
    );
}
