import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { KeptBook, LoggedEntry } from './book';

/** An entry that is waiting on this phone, or came back with the reason. */
export type WaitingLine = {
    /** in the order in which they were written */
    id?: number;
    key: string;
    zone: string;
    /** e-mail address of the writer */
    writer: string;
    entry: LoggedEntry;
    /** a JPEG */
    photo: ArrayBuffer | null;
    /** why it was refused; null: it is waiting */
    refused: { field: string; message: string } | null;
    /** it was sent at least once, so the server may have it */
    sending?: boolean;
};

/** What was sent recently and when, ms: to be undone or corrected, and known here before the book is loaded again. */
export type SentLine = { id?: number; key: string; zone: string; writer: string; entry: LoggedEntry; at?: number };

/** Whose phone this is, and what was open on it last. */
export type Owner = { email: string; name: string; zone: string | null };

interface LogStore extends DBSchema {
    waiting: { key: number; value: WaitingLine; indexes: { key: string } };
    sent: { key: number; value: SentLine };
    books: { key: string; value: KeptBook };
    owner: { key: string; value: Owner };
    zones: { key: string; value: { slug: string; name: string }[] };
}

const NAME = 'anthesis-log';
const SENT_KEPT = 30;

let database: Promise<IDBPDatabase<LogStore>> | undefined;

/** @throws DOMException if the browser stores nothing for this site, or another tab does not let go of its copy */
function open(): Promise<IDBPDatabase<LogStore>> {
    if (database === undefined) {
        database = opened();
        // The next try asks again, because storage may have been allowed in the meantime.
        database.catch(() => (database = undefined));
    }
    return database;
}

async function opened(): Promise<IDBPDatabase<LogStore>> {
    let blocked: (why: Error) => void = () => undefined;
    const isBlocked = new Promise<never>((_, reject) => (blocked = reject));
    const opening = openDB<LogStore>(NAME, 1, {
        blocked: () => blocked(new DOMException(undefined, 'InvalidStateError')),
        upgrade(db) {
            db.createObjectStore('waiting', { keyPath: 'id', autoIncrement: true }).createIndex('key', 'key', {
                unique: true,
            });
            db.createObjectStore('sent', { keyPath: 'id', autoIncrement: true });
            db.createObjectStore('books');
            db.createObjectStore('owner');
            db.createObjectStore('zones');
        },
    });
    return Promise.race([opening, isBlocked]);
}

/** Lets go of the database, so another test starts with its own. */
export async function closeStore() {
    (await database)?.close();
    database = undefined;
}

/** @throws DOMException QuotaExceededError if the phone has no room; then nothing is saved */
export async function keepLine(line: WaitingLine) {
    const db = await open();
    const before = line.id === undefined ? await db.getFromIndex('waiting', 'key', line.key) : undefined;
    await db.put('waiting', before?.id === undefined ? line : { ...line, id: before.id });
}

export async function waitingLines(): Promise<WaitingLine[]> {
    return (await open()).getAll('waiting');
}

/** Changes an entry that is still waiting; one that was undone in the meantime stays gone. */
export async function changeLine(line: WaitingLine) {
    const all = (await open()).transaction('waiting', 'readwrite');
    if (line.id !== undefined && (await all.store.get(line.id))) await all.store.put(line);
    await all.done;
}

/** Marks entries as being sent while reading them, in one step, so none is sent after it was undone. */
export async function claimLines(ids: number[]): Promise<WaitingLine[]> {
    const all = (await open()).transaction('waiting', 'readwrite');
    const claimed: WaitingLine[] = [];
    for (const id of ids) {
        const line = await all.store.get(id);
        if (!line) continue;
        claimed.push({ ...line, sending: true });
        await all.store.put({ ...line, sending: true });
    }
    await all.done;
    return claimed;
}

/**
 * Undoes an entry that is waiting. One that was never sent is deleted. One that may have reached the server stays in the queue, followed by
 * the entry that deletes it: the server knows both by their keys, so this is right whether or not the first one arrived.
 */
export async function undoLine(key: string, takeBack: LoggedEntry) {
    const all = (await open()).transaction('waiting', 'readwrite');
    const line = await all.store.index('key').get(key);
    if (line?.id !== undefined) {
        const { zone, writer } = line;
        if (!line.sending) await all.store.delete(line.id);
        else await all.store.add({ key: takeBack.key, zone, writer, entry: takeBack, photo: null, refused: null });
    }
    await all.done;
    return line !== undefined;
}

export async function dropLine(key: string) {
    const db = await open();
    const line = await db.getFromIndex('waiting', 'key', key);
    if (line?.id !== undefined) await db.delete('waiting', line.id);
}

/** What the server has is no longer waiting. */
export async function lineSent(line: WaitingLine) {
    const db = await open();
    const { key, zone, writer, entry } = line;
    const both = db.transaction(['waiting', 'sent'], 'readwrite');
    if (line.id !== undefined) await both.objectStore('waiting').delete(line.id);
    await both.objectStore('sent').add({ key, zone, writer, entry, at: Date.now() });
    const old = (await both.objectStore('sent').getAllKeys()).slice(0, -SENT_KEPT);
    for (const id of old) await both.objectStore('sent').delete(id);
    await both.done;
}

export async function sentLines(): Promise<SentLine[]> {
    return (await (await open()).getAll('sent')).reverse();
}

export async function keepBook(zone: string, kept: KeptBook) {
    await (await open()).put('books', kept, zone);
}

export async function keptBook(zone: string): Promise<KeptBook | undefined> {
    return (await open()).get('books', zone);
}

export async function keepOwner(owner: Owner) {
    await (await open()).put('owner', owner, 'owner');
}

export async function keptOwner(): Promise<Owner | undefined> {
    return (await open()).get('owner', 'owner');
}

export async function keepZones(zones: { slug: string; name: string }[]) {
    await (await open()).put('zones', zones, 'zones');
}

export async function keptZones(): Promise<{ slug: string; name: string }[]> {
    return (await (await open()).get('zones', 'zones')) ?? [];
}
