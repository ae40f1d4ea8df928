import { Button } from '@mantine/core';
import { Link, useParams } from 'react-router';
import { Problem } from '../../ui/Problem';
import { say } from '../../words/words';
import { Page } from './Frame';
import { useNewAddress } from './queries';

/** Where the link leads that confirms a new e-mail address. It takes a click, because mail programs follow links on their own. */
export function NewAddress() {
    const { secret = '' } = useParams();
    const confirm = useNewAddress(secret);
    return (
        <Page heading={say('login.address-heading')}>
            <Problem error={confirm.error} />
            {confirm.isSuccess ? (
                <p role="status">{say('login.address-confirmed')}</p>
            ) : (
                <Button loading={confirm.isPending} onClick={() => confirm.mutate()}>
                    {say('login.confirm-address')}
                </Button>
            )}
            <p>
                <Link to="/desk">{say('login.to-the-desk')}</Link>
            </p>
        </Page>
    );
}
