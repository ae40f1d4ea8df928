import { api, asForm, Refusal, unwrap } from '../api/client';
import { changeLine, claimLines, dropLine, lineSent, waitingLines, type WaitingLine } from './store';

/**
 * How a sending ended: everything went, the phone is offline, one has to log in, somebody else is logged in, the server is busy, or another
 * sending is in progress.
 */
export type Sent = {
    ended: 'all' | 'no-line' | 'log-in' | 'somebody-else' | 'busy' | 'sending';
    kept: number;
    refused: number;
    clock: number | null;
};

/** Entries sent at a time. */
const BATCH = 50;

const NO_ACCOUNT = [401, 419];

/**
 * Sends what a writer has waiting, in the order in which it was written, each entry once: the server recognizes its key. One tab at a time.
 */
export async function sendWaiting(writer: string): Promise<Sent> {
    const none: Sent = { ended: 'sending', kept: 0, refused: 0, clock: null };
    if (!navigator.locks) return sendAll(writer);
    return navigator.locks.request('anthesis-log', { ifAvailable: true }, (lock) => (lock ? sendAll(writer) : none));
}

async function sendAll(writer: string): Promise<Sent> {
    const sent: Sent = { ended: 'all', kept: 0, refused: 0, clock: null };
    try {
        for (;;) {
            const waiting = (await waitingLines()).filter((line) => line.writer === writer && line.refused === null);
            const zone = waiting[0]?.zone;
            if (zone === undefined) return sent;
            await sendBatch(writer, zone, waiting.filter((line) => line.zone === zone).slice(0, BATCH), sent);
        }
    } catch (error) {
        return { ...sent, ended: ending(error) };
    }
}

async function sendBatch(writer: string, zone: string, batch: WaitingLine[], sent: Sent) {
    const ids: number[] = [];
    for (const line of batch) {
        const whole = await withPhoto(line);
        if (whole) ids.push(whole.id ?? -1);
        else sent.refused++;
    }
    const lines = await claimLines(ids);
    if (lines.length === 0) return;
    const body = {
        sent_at: Date.now(),
        by: 'phone' as const,
        written_by: writer,
        entries: lines.map((line) => line.entry),
    };
    const answer = await unwrap(api.POST('/api/zones/{zone}/log-entries', { params: { path: { zone } }, body }));
    sent.clock = answer.clock_minutes;
    for (const line of lines) {
        const refused = answer.refused.find((one) => one.key === line.key);
        if (refused && (await isForNothing(line))) {
            await dropLine(line.key);
            await dropLine(line.entry.corrects ?? '');
        } else if (refused) {
            await changeLine({ ...line, sending: false, refused: { field: refused.field, message: refused.message } });
            sent.refused++;
        } else if (answer.kept.includes(line.key)) {
            await lineSent(line);
            sent.kept++;
        }
    }
    if (!lines.some((line) => answer.kept.includes(line.key) || answer.refused.some((one) => one.key === line.key))) {
        throw new Refusal('', 500);
    }
}

/** Whether an entry deletes one that the server refused as well: then both are gone, as intended. */
async function isForNothing({ entry }: WaitingLine): Promise<boolean> {
    return (
        entry.taken_back === true && (await waitingLines()).some((line) => line.key === entry.corrects && line.refused)
    );
}

/** The entry with its photo on the server; null if that was refused: then the entry says why. */
async function withPhoto(line: WaitingLine): Promise<WaitingLine | null> {
    if (line.photo === null) return line;
    const form = new FormData();
    form.set('photo', new Blob([line.photo], { type: 'image/jpeg' }), 'photo.jpg');
    try {
        const { photo } = await unwrap(api.POST('/api/log-photos', asForm(form)));
        const whole = { ...line, photo: null, entry: { ...line.entry, photo } };
        await changeLine(whole);
        return whole;
    } catch (error) {
        if (!(error instanceof Refusal) || (error.status !== 422 && error.status !== 413)) throw error;
        await changeLine({ ...line, refused: { field: 'photo', message: error.message } });
        return null;
    }
}

function ending(error: unknown): Sent['ended'] {
    if (!(error instanceof Refusal)) return 'no-line';
    if (error.status === 409) return 'somebody-else';
    return NO_ACCOUNT.includes(error.status) ? 'log-in' : 'busy';
}
