import { useState } from 'react';
import { dateInWords, inWords } from '../time/days';
import { say } from '../words/words';
import { ACTS } from '../api/log';
import { newerLines, today, type Act } from './book';
import { Pick, Press } from './controls';
import { LogIn } from './LogIn';
import { Lines } from './Lines';
import type { SentLine, WaitingLine } from './store';
import { useLog } from './useLog';
import { plotLine, Write, type Draft } from './Write';

type View = { at: 'acts' } | { at: 'lines' } | { at: 'write'; draft: Draft };

/** A clock that is off by more than this is mentioned, minutes. */
const CLOCK_OFF = 12 * 60;

/** The logbook in a pocket: first what was done, then what and where, with likely answers first. */
export function Log() {
    const log = useLog();
    const [view, setView] = useState<View>({ at: 'acts' });
    const [kept, setKept] = useState<string | null>(null);
    const { owner, book } = { owner: log.owner, book: log.kept?.book };
    if (log.noStorage) {
        return (
            <main className="log">
                <h1>{say('log.log')}</h1>
                <div role="alert" className="warning">
                    <p>{say('log.no-storage')}</p>
                    <p>{say('log.no-storage-remedy')}</p>
                </div>
                <Press onClick={() => void log.openAgain()}>{say('log.try-again')}</Press>
                <p>
                    <a href="/desk">{say('log.to-the-desk')}</a>
                </p>
            </main>
        );
    }
    if (!log.ready) return <main className="log">{say('log.opening')}</main>;
    if (!owner || !log.kept || !book) {
        return (
            <main className="log">
                <h1>{say('log.log')}</h1>
                {log.stranger ? <LogIn onIn={log.arrived} /> : <p>{say('log.needs-a-line-once')}</p>}
            </main>
        );
    }
    const day = today(log.kept, Date.now());
    const mine = log.waiting.filter((line) => line.writer === owner.email);
    const write = (draft: Draft) => setView({ at: 'write', draft });
    const correct = (line: SentLine) => write({ act: line.entry.act, entry: line.entry, corrects: line.key });
    const mend = (line: WaitingLine) =>
        write({ act: line.entry.act, entry: line.entry, line, refused: line.refused ?? undefined });
    return (
        <main className="log">
            <header>
                <h1>{book.zone.name}</h1>
                <p>
                    {dateInWords(day)} · {owner.name}
                </p>
                <State log={log} others={log.waiting.length - mine.length} onLines={() => setView({ at: 'lines' })} />
            </header>
            {log.stranger && <LogIn onIn={log.arrived} waiting={mine.length} />}
            {view.at === 'write' ? (
                <Write
                    key={view.draft.line?.key ?? view.draft.corrects ?? view.draft.act}
                    book={book}
                    day={day}
                    newer={newerLines(log.kept, owner.zone, log.sent, mine)}
                    draft={view.draft}
                    onKeep={async (entry, photo) => {
                        await log.write(entry, photo);
                        setKept(entry.key);
                        setView({ at: 'acts' });
                    }}
                    onBack={() => setView({ at: 'acts' })}
                />
            ) : view.at === 'lines' ? (
                <Lines
                    book={book}
                    waiting={mine}
                    sent={log.sent.filter((line) => line.writer === owner.email)}
                    onMend={mend}
                    onDrop={(line) => log.undo(line.key, takenBack(line))}
                    onCorrect={correct}
                    onTakeBack={(line) => log.write(takenBack(line), null)}
                    onBack={() => setView({ at: 'acts' })}
                />
            ) : (
                <>
                    {kept && (
                        <Kept
                            log={log}
                            keptKey={kept}
                            onUndone={() => setKept(null)}
                            takeBack={(line) => log.write(takenBack(line), null)}
                        />
                    )}
                    {book.due.length > 0 && (
                        <section aria-label={say('log.due')}>
                            <h2>{say('log.due')}</h2>
                            {book.due.slice(0, 4).map((plot) => (
                                <button
                                    key={plot.plot}
                                    type="button"
                                    className="due"
                                    onClick={() =>
                                        write({ act: plot.set_out ? 'set-out' : 'sown', entry: plotLine(plot) })
                                    }
                                >
                                    {say('log.due-plot', {
                                        crop: plot.name,
                                        variety: plot.variety ?? 'none',
                                        wave: plot.wave,
                                        day: inWords(plot.on.slice(5)),
                                        repeat: plot.repeat,
                                        bed: plot.bed?.name ?? 'none',
                                    })}
                                </button>
                            ))}
                        </section>
                    )}
                    <Acts onAct={(act) => write({ act })} />
                    <ChooseZone log={log} here={book.zone.name} value={owner.zone ?? ''} />
                </>
            )}
        </main>
    );
}

function takenBack(line: Pick<SentLine, 'key' | 'entry'>) {
    const { act, on } = line.entry;
    return { key: crypto.randomUUID(), act, on, corrects: line.key, taken_back: true, written_at: Date.now() };
}

function Acts({ onAct }: { onAct: (act: Act) => void }) {
    return (
        <nav className="acts" aria-label={say('log.what-was-done')}>
            {ACTS.map((act) => (
                <button key={act} type="button" onClick={() => onAct(act)}>
                    {say(`logged.${act}`)}
                </button>
            ))}
        </nav>
    );
}

/** The entry that was just saved, and how to undo it. */
function Kept({
    log,
    keptKey,
    onUndone,
    takeBack,
}: {
    log: ReturnType<typeof useLog>;
    keptKey: string;
    onUndone: () => void;
    takeBack: (line: Pick<SentLine, 'key' | 'entry'>) => void;
}) {
    const waits = log.waiting.find((line) => line.key === keptKey);
    const sent = log.sent.find((line) => line.key === keptKey);
    const line = waits ?? sent;
    if (!line || waits?.refused) return null;
    const undo = async () => {
        onUndone();
        if (!(await log.undo(keptKey, takenBack(line)))) takeBack(line);
    };
    return (
        <p className="kept" role="status">
            {say(waits ? 'log.kept-here' : 'log.kept', { act: say(`logged.${line.entry.act}`) })}{' '}
            <button type="button" className="plain" onClick={() => void undo()}>
                {say('log.undo')}
            </button>
        </p>
    );
}

/** What is waiting, what came back, and how far off the clock is. */
function State({ log, others, onLines }: { log: ReturnType<typeof useLog>; others: number; onLines: () => void }) {
    const refused = log.waiting.filter((line) => line.refused && line.writer === log.owner?.email).length;
    const waits = log.waiting.length - others - refused;
    const clock = log.last?.clock ?? 0;
    return (
        <div className="state">
            <button type="button" className="plain" onClick={onLines}>
                {waits === 0 && refused === 0 ? say('log.all-sent') : say('log.waits', { waits, refused })}
            </button>
            {log.last?.ended === 'no-line' && waits > 0 && <p>{say('log.no-line')}</p>}
            {log.last?.ended === 'somebody-else' && waits > 0 && (
                <p>{say('log.somebody-else', { name: log.owner?.name ?? '' })}</p>
            )}
            {log.last?.ended === 'sending' && waits > 0 && <p>{say('log.being-sent')}</p>}
            {log.last?.ended === 'busy' && waits > 0 && <p>{say('log.server-busy')}</p>}
            {refused > 0 && (
                <p role="alert" className="warning">
                    {say('log.came-back', { refused })}
                </p>
            )}
            {others > 0 && <p>{say('log.of-others', { others })}</p>}
            {Math.abs(clock) > CLOCK_OFF && (
                <p role="note" className="warning">
                    {say('log.clock', { hours: Math.round(Math.abs(clock) / 60), side: clock > 0 ? 'fast' : 'slow' })}
                </p>
            )}
        </div>
    );
}

/** Another zone, which opens once it is on this phone. */
function ChooseZone({ log, here, value }: { log: ReturnType<typeof useLog>; here: string; value: string }) {
    return (
        <>
            {log.unreached && (
                <p role="alert" className="warning">
                    {say('log.zone-unreached', { zone: log.unreached, here })}
                </p>
            )}
            <Pick
                label={say('log.zone')}
                value={value}
                onChange={(event) => void log.choose(event.currentTarget.value)}
                options={log.zones.map(({ slug, name }) => ({ value: slug, label: name }))}
            />
        </>
    );
}
