import { Button, Checkbox, Group, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useSession } from '../../access/session';
import { dateInWords } from '../../time/days';
import { Action } from '../../ui/Action';
import { Problem } from '../../ui/Problem';
import { RuledTable } from '../../ui/RuledTable';
import { say } from '../../words/words';
import {
    useChangePerson,
    useInvite,
    usePeople,
    useRemovePerson,
    useWithdrawInvitation,
    type Person,
    type Role,
} from './queries';

const ROLES: Role[] = ['volunteer', 'reviewer', 'educator', 'administrator'];

const roles = ROLES.map((role) => ({ value: role, label: say(`role.${role}`) }));

/** Who may log in and with which role, and who is invited. */
export function People() {
    const { data, error } = usePeople();
    const withdraw = useWithdrawInvitation();
    if (error) {
        return (
            <main className="page">
                <h2>{say('screen.people')}</h2>
                <Problem error={error} />
            </main>
        );
    }
    if (!data) return null;
    return (
        <main className="page">
            <h2>{say('screen.people')}</h2>
            <p>{say('people.what')}</p>
            <Everybody people={data.people} />
            {data.invitations.length > 0 && (
                <>
                    <h3>{say('people.invited')}</h3>
                    <Problem error={withdraw.error} />
                    <RuledTable
                        columns={[
                            say('account.name'),
                            say('login.e-mail-address'),
                            say('people.role'),
                            say('people.link'),
                            say('people.actions'),
                        ]}
                        rows={data.invitations.map((one) => [
                            one.id,
                            one.name,
                            one.email,
                            say(`role.${one.role}`),
                            say('people.days-left', { days: daysLeft(one.until) }),
                            <Action
                                key="withdraw"
                                name={say('people.withdraw-of', { name: one.name })}
                                onClick={() => withdraw.mutate(one.id)}
                            >
                                {say('people.withdraw')}
                            </Action>,
                        ])}
                    />
                </>
            )}
            <Invite />
        </main>
    );
}

const DAY_MS = 86_400_000;

/** In days of the real clock, which links follow in the demonstration too. */
const daysLeft = (until: string) => Math.ceil((Date.parse(until) - Date.now()) / DAY_MS);

function Everybody({ people }: { people: Person[] }) {
    const me = useSession().data?.user?.email;
    const change = useChangePerson();
    const [removing, setRemoving] = useState<Person | null>(null);
    return (
        <>
            <Problem error={change.error} />
            <RuledTable
                columns={[
                    say('account.name'),
                    say('login.e-mail-address'),
                    say('people.role'),
                    say('people.last-seen'),
                    say('people.second-step'),
                    say('people.actions'),
                ]}
                rows={people.map((person) => [
                    person.id,
                    <>
                        {person.name} {person.email === me && <small>{say('people.you')}</small>}{' '}
                        {!person.active && <small>{say('people.deactivated')}</small>}
                    </>,
                    person.email,
                    <NativeSelect
                        key="role"
                        size="xs"
                        aria-label={say('people.role-of', { name: person.name })}
                        value={person.role}
                        data={roles}
                        onChange={(event) => change.mutate({ id: person.id, role: event.currentTarget.value as Role })}
                    />,
                    person.seen === null ? say('people.never') : dateInWords(person.seen),
                    person.second_factor ? (
                        <Action
                            key="second"
                            name={say('people.turn-off-of', { name: person.name })}
                            onClick={() => change.mutate({ id: person.id, second_factor: false })}
                        >
                            {say('people.turn-off')}
                        </Action>
                    ) : (
                        say('people.no-second-step')
                    ),
                    <Group key="acts" gap="sm" wrap="nowrap">
                        <Action
                            name={say(person.active ? 'people.deactivate-of' : 'people.reactivate-of', {
                                name: person.name,
                            })}
                            onClick={() => change.mutate({ id: person.id, active: !person.active })}
                        >
                            {say(person.active ? 'people.deactivate' : 'people.reactivate')}
                        </Action>
                        <Action
                            name={say('people.remove-of', { name: person.name })}
                            onClick={() => setRemoving(person)}
                        >
                            {say('people.remove')}
                        </Action>
                    </Group>,
                ])}
            />
            {removing && <Remove key={removing.id} person={removing} onDone={() => setRemoving(null)} />}
        </>
    );
}

/** Removing somebody cannot be undone, so it is confirmed separately, along with what happens to their name. */
function Remove({ person, onDone }: { person: Person; onDone: () => void }) {
    const [keep, setKeep] = useState(true);
    const remove = useRemovePerson();
    return (
        <form
            aria-label={say('people.remove-of', { name: person.name })}
            className="asked"
            onSubmit={(event) => {
                event.preventDefault();
                remove.mutate({ id: person.id, keep_name: keep }, { onSuccess: onDone });
            }}
        >
            <h3>{say('people.remove-of', { name: person.name })}</h3>
            <p>{say('people.remove-what')}</p>
            <Checkbox
                label={say('people.keep-name')}
                description={say('people.keep-name-help')}
                checked={keep}
                onChange={(event) => setKeep(event.currentTarget.checked)}
            />
            <Problem error={remove.error} />
            <Group mt="sm" gap="sm">
                <Button type="submit" loading={remove.isPending}>
                    {say('people.remove-now')}
                </Button>
                <Button variant="default" onClick={onDone}>
                    {say('common.cancel')}
                </Button>
            </Group>
        </form>
    );
}

function Invite() {
    const invite = useInvite();
    const [name, setName] = useState('');
    const [email, setEmail] = useState('');
    const [role, setRole] = useState<Role>('volunteer');
    return (
        <form
            aria-label={say('people.invite')}
            style={{ maxWidth: '28rem' }}
            onSubmit={(event) => {
                event.preventDefault();
                invite.mutate(
                    { name, email, role },
                    {
                        onSuccess: () => {
                            setName('');
                            setEmail('');
                        },
                    },
                );
            }}
        >
            <h3>{say('people.invite')}</h3>
            <p className="hint">{say('people.invite-what')}</p>
            <TextInput
                label={say('account.name')}
                required
                maxLength={120}
                value={name}
                onChange={(event) => setName(event.currentTarget.value)}
            />
            <TextInput
                mt="xs"
                label={say('login.e-mail-address')}
                type="email"
                required
                value={email}
                onChange={(event) => setEmail(event.currentTarget.value)}
            />
            <NativeSelect
                mt="xs"
                label={say('people.role')}
                description={say(`role.${role}.may`)}
                value={role}
                data={roles}
                onChange={(event) => setRole(event.currentTarget.value as Role)}
            />
            <Problem error={invite.error} />
            {invite.isSuccess && <p role="status">{say('people.invitation-sent')}</p>}
            <Button type="submit" mt="sm" loading={invite.isPending}>
                {say('people.send-invitation')}
            </Button>
        </form>
    );
}
