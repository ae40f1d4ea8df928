import { Button, Checkbox, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { useSession } from '../../access/session';
import { useZones } from '../../api/zones';
import { Problem } from '../../ui/Problem';
import { languageName, say } from '../../words/words';
import { Account } from './Account';
import { useLogOut, useSaveProfile, useToldProfile } from './queries';

/** What people choose for themselves: units, date style, and the zone their desk opens on. */
export function Profile() {
    const { data: session } = useSession();
    const { data: zones } = useZones();
    const save = useSaveProfile();
    const logOut = useLogOut();
    useToldProfile();
    const user = session?.user;
    const saved = {
        units: user?.chosen.units ?? null,
        dates: user?.chosen.dates ?? null,
        language: user?.chosen.language ?? null,
        home_zone: user?.home_zone ?? null,
        digest: user?.digest ?? false,
    };
    const [edited, setEdited] = useState<typeof saved>();
    if (!user) return null;
    const chosen = edited ?? saved;
    const choose =
        (field: 'units' | 'dates' | 'language' | 'home_zone') => (event: { currentTarget: { value: string } }) =>
            setEdited({ ...chosen, [field]: event.currentTarget.value || null });
    return (
        <main className="page">
            <h2>{user.name}</h2>
            <p>
                {user.email} · {say(`role.${user.role}`)}
            </p>
            <Button size="xs" variant="default" onClick={() => logOut.mutate()} loading={logOut.isPending}>
                {say('desk.log-out')}
            </Button>
            {/* Until the second step that the office requires is set up, nothing else is open. */}
            {!user.must_set_second_factor && (
                <form
                    style={{ maxWidth: '24rem' }}
                    onSubmit={(event) => {
                        event.preventDefault();
                        save.mutate({ chosen, before: saved });
                    }}
                >
                    <NativeSelect
                        mt="xs"
                        label={say('profile.units')}
                        description={say('profile.units-help')}
                        value={chosen.units ?? ''}
                        onChange={choose('units')}
                        data={[
                            { value: '', label: say('profile.as-the-office') },
                            { value: 'us', label: say('units.us') },
                            { value: 'metric', label: say('units.metric') },
                        ]}
                    />
                    <NativeSelect
                        mt="xs"
                        label={say('profile.dates')}
                        value={chosen.dates ?? ''}
                        onChange={choose('dates')}
                        data={[
                            { value: '', label: say('profile.as-the-office') },
                            { value: 'month', label: say('dates.month') },
                            { value: 'day', label: say('dates.day') },
                        ]}
                    />
                    <NativeSelect
                        mt="xs"
                        label={say('profile.language')}
                        description={say('profile.language-help')}
                        value={chosen.language ?? user.languages[0]}
                        onChange={choose('language')}
                        data={user.languages.map((value) => ({ value, label: languageName(value) }))}
                    />
                    <NativeSelect
                        mt="xs"
                        label={say('profile.home-zone')}
                        description={say('profile.home-zone-help')}
                        value={chosen.home_zone ?? ''}
                        onChange={choose('home_zone')}
                        data={[
                            { value: '', label: say('profile.no-home-zone') },
                            ...(zones ?? []).map((zone) => ({ value: zone.slug, label: zone.name })),
                        ]}
                    />
                    <Checkbox
                        mt="md"
                        label={say('profile.digest')}
                        description={say('profile.digest-help')}
                        checked={chosen.digest}
                        onChange={(event) => setEdited({ ...chosen, digest: event.currentTarget.checked })}
                    />
                    <Problem error={save.error} />
                    <Button
                        type="submit"
                        mt="md"
                        loading={save.isPending}
                        disabled={JSON.stringify(chosen) === JSON.stringify(saved)}
                    >
                        {say('common.save')}
                    </Button>
                </form>
            )}
            <Account />
        </main>
    );
}
