import { useMutation, useQuery, type QueryClient } from '@tanstack/react-query';
import { api, unwrap, type Schema } from '../api/client';
import { tab } from '../api/tab';
import { readAsChosen } from '../words/remembered';

/** Who is logged in, and the server's date. */

export function useSession() {
    return useQuery({
        queryKey: ['session'],
        queryFn: async () => asChosen(await unwrap(api.GET('/api/session'))),
    });
}

/** Sets the person's units and date style before anything at the desk is drawn. */
function asChosen(session: Schema['Session']): Schema['Session'] {
    if (session.user) {
        readAsChosen(session.user);
        tab.office = session.user.office.slug;
    }
    return session;
}

/** Logs in; who is here, and how they read, is known at once. Returns whether the second step comes first. */
export async function logIn(queries: QueryClient, who: { email: string; password: string }): Promise<boolean> {
    return entered(queries, await unwrap(api.POST('/api/session', { body: who })));
}

/** The second step: a code from the phone, or a recovery code. */
export async function logInWithCode(queries: QueryClient, code: string): Promise<boolean> {
    return entered(queries, await unwrap(api.POST('/api/session/code', { body: { code } })));
}

function entered(queries: QueryClient, session: Schema['Session']): boolean {
    if (!session.waits_for_code) queries.setQueryData(['session'], asChosen(session));
    return session.waits_for_code;
}

/** Switches the desk to another office, and loads everything again. */
export function useChooseOffice() {
    return useMutation({
        mutationFn: (office: string) => unwrap(api.PUT('/api/session/office', { body: { office } })),
        onSuccess: () => window.location.assign('/desk'),
    });
}

const LAST = { zone: 'anthesis-desk-zone', screen: 'anthesis-desk-screen' };

/** The zone, or the screen of a zone, that was open last in this browser. */
export function lastLookedAt(what: keyof typeof LAST): string | null {
    try {
        return localStorage.getItem(LAST[what]);
    } catch {
        return null;
    }
}

export function rememberLook(zone: string, screen: string) {
    try {
        localStorage.setItem(LAST.zone, zone);
        localStorage.setItem(LAST.screen, screen);
    } catch {
        // The home zone is opened instead.
    }
}

/** The zone to start with: the last one open, the person's own, or the first. */
export function useZoneToBegin(zones: { slug: string }[] | undefined): string | undefined {
    const { data: session } = useSession();
    const is = (slug: string | null | undefined) => zones?.some((zone) => zone.slug === slug);
    return [lastLookedAt('zone'), session?.user?.home_zone].find(is) ?? zones?.[0]?.slug;
}

/** Whether the logged-in person may do something. The server decides, and refuses what it does not allow. */
export function useCan(ability: Schema['Ability']): boolean {
    return useSession().data?.user?.can.includes(ability) ?? false;
}
