import { useCallback, useEffect, useRef, useState } from 'react';
import { api, Refusal, unwrap } from '../api/client';
import type { KeptBook, LoggedEntry } from './book';
import { readAsChosen } from '../words/remembered';
import { keepForOffline } from './offline';
import { sendWaiting, type Sent } from './send';
import {
    keepBook,
    keepLine,
    keepOwner,
    keepZones,
    keptBook,
    keptOwner,
    keptZones,
    sentLines,
    undoLine,
    waitingLines,
    type Owner,
    type SentLine,
    type WaitingLine,
} from './store';

/** How often waiting entries are tried again, ms. */
const AGAIN = 45_000;

export type LogState = {
    owner: Owner | null;
    zones: { slug: string; name: string }[];
    kept: KeptBook | null;
    waiting: WaitingLine[];
    sent: SentLine[];
    /** how the last sending ended; null: none was tried yet */
    last: Sent | null;
    /** somebody has to log in before anything is sent */
    stranger: boolean;
    ready: boolean;
    /** name of the zone that was chosen and could not be loaded, so the one before stays; null: none */
    unreached: string | null;
    /** the browser stores nothing for this site, so nothing can be written here */
    noStorage: boolean;
};

const EMPTY: LogState = {
    owner: null,
    zones: [],
    kept: null,
    waiting: [],
    sent: [],
    last: null,
    stranger: false,
    ready: false,
    unreached: null,
    noStorage: false,
};

/** Starts, and sends again whenever the phone may be back online, or somebody looks. */
function useWhileOpen(start: () => Promise<void>, send: () => Promise<void>) {
    useEffect(() => {
        // What fails because the phone is offline is reported where it is shown, and tried again.
        void start().catch(() => undefined);
        const again = () => document.visibilityState === 'visible' && void send().catch(() => undefined);
        window.addEventListener('online', again);
        document.addEventListener('visibilitychange', again);
        const timer = setInterval(again, AGAIN);
        return () => {
            window.removeEventListener('online', again);
            document.removeEventListener('visibilitychange', again);
            clearInterval(timer);
        };
    }, [start, send]);
}

/** Loads a zone's book, and keeps it. */
async function fetchBook(zone: string) {
    const book = await unwrap(api.GET('/api/zones/{zone}/log-book', { params: { path: { zone } } }));
    await keepBook(zone, { book, fetched: Date.now() });
}

/** One step after the other: somebody who chooses a zone while the first one is still loading gets their choice. */
function useTurns() {
    const last = useRef<Promise<unknown>>(Promise.resolve());
    return useCallback(<T>(step: () => Promise<T>): Promise<T> => {
        const mine = last.current.then(step, step);
        last.current = mine;
        return mine;
    }, []);
}

/** The log on this phone: what is written is saved here first, and sent when the phone is online. */
export function useLog() {
    const [state, setState] = useState(EMPTY);
    const owner = useRef<Owner | null>(null);
    const set = useCallback((part: Partial<LogState>) => setState((before) => ({ ...before, ...part })), []);

    const fromStore = useCallback(async () => {
        owner.current = (await keptOwner()) ?? null;
        const zone = owner.current?.zone;
        set({
            owner: owner.current,
            zones: await keptZones(),
            kept: zone ? ((await keptBook(zone)) ?? null) : null,
            waiting: await waitingLines(),
            sent: await sentLines(),
            ready: true,
            noStorage: false,
        });
    }, [set]);

    const inTurn = useTurns();

    /** Asks who is there and for the book; a phone that is offline continues with what it has. */
    const askServer = useCallback(async () => {
        try {
            const { user } = await unwrap(api.GET('/api/session'));
            if (user) readAsChosen(user);
            if (!user) return set({ stranger: true });
            // In every office they work in: a zone's address says which one is meant.
            const zones = user.offices.flatMap((office) => office.zones);
            await keepZones(zones);
            // The one open last, the person's own, or the first.
            const is = (zone: string | null | undefined) => zones.some(({ slug }) => slug === zone);
            const zone = [owner.current?.zone, user.home_zone].find(is) ?? zones[0]?.slug ?? null;
            await keepOwner({ email: user.email, name: user.name, zone });
            if (zone) await fetchBook(zone);
            set({ stranger: false });
            await fromStore();
        } catch (error) {
            if (error instanceof Refusal && error.status === 401) set({ stranger: true });
        }
    }, [fromStore, set]);
    const fromServer = useCallback(() => inTurn(askServer), [askServer, inTurn]);

    const send = useCallback(async () => {
        if (!owner.current) return;
        const last = await sendWaiting(owner.current.email);
        const [waiting, sent] = [await waitingLines(), await sentLines()];
        setState((before) => ({
            ...before,
            // If there was nothing to send, nothing was learned about the clock.
            last: { ...last, clock: last.clock ?? before.last?.clock ?? null },
            stranger: last.ended === 'log-in' || last.ended === 'somebody-else',
            waiting,
            sent,
        }));
        if (last.kept > 0) await fromServer();
    }, [fromServer]);

    const start = useCallback(async () => {
        try {
            await fromStore();
        } catch {
            return set({ noStorage: true });
        }
        await fromServer();
        await send();
        await keepForOffline();
    }, [fromServer, fromStore, send, set]);
    useWhileOpen(start, send);

    return {
        ...state,
        /** Tries again to open what this phone stores. */
        openAgain: start,
        /** @throws where the phone has no room for it */
        write: async (entry: LoggedEntry, photo: ArrayBuffer | null) => {
            if (!owner.current?.zone) return;
            const { zone, email } = owner.current;
            // The server may have what is being sent, so a change is sent after it.
            const before = (await waitingLines()).find((line) => line.key === entry.key);
            const whole = before?.sending ? { ...entry, key: crypto.randomUUID(), corrects: entry.key } : entry;
            await keepLine({ key: whole.key, zone, writer: email, entry: whole, photo, refused: null });
            set({ waiting: await waitingLines() });
            void send();
        },
        /** Undoes an entry that is waiting here, or returns that none is: it was sent in the meantime. */
        undo: async (key: string, takeBack: LoggedEntry): Promise<boolean> => {
            const waited = await undoLine(key, takeBack);
            set({ waiting: await waitingLines(), sent: await sentLines() });
            void send();
            return waited;
        },
        choose: async (zone: string) => {
            await inTurn(async () => {
                if (!owner.current) return;
                set({ unreached: null });
                try {
                    // A zone that is not here yet opens once it is.
                    if (!(await keptBook(zone))) await fetchBook(zone);
                } catch {
                    const zones = await keptZones();
                    return set({ unreached: zones.find(({ slug }) => slug === zone)?.name ?? zone });
                }
                await keepOwner({ ...owner.current, zone });
                await fromStore();
            });
            await fromServer();
        },
        arrived: async () => {
            await fromServer();
            await send();
        },
        send,
    };
}
