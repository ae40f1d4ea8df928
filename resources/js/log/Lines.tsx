import { dateInShort } from '../time/days';
import { Action } from '../ui/Action';
import { say } from '../words/words';
import type { LogBook, LoggedEntry } from './book';
import type { SentLine, WaitingLine } from './store';

/** What is waiting on this phone, what came back with the reason, and what was sent recently. */
export function Lines({
    book,
    waiting,
    sent,
    onMend,
    onDrop,
    onCorrect,
    onTakeBack,
    onBack,
}: {
    book: LogBook;
    waiting: WaitingLine[];
    sent: SentLine[];
    onMend: (line: WaitingLine) => void;
    onDrop: (line: WaitingLine) => void;
    onCorrect: (line: SentLine) => void;
    onTakeBack: (line: SentLine) => void;
    onBack: () => void;
}) {
    const entries = [...waiting, ...sent].map((line) => line.entry);
    return (
        <>
            <p>
                <Action onClick={onBack}>{say('log.back')}</Action>
            </p>
            <h2>{say('log.waiting')}</h2>
            {waiting.length === 0 && <p>{say('log.nothing-waits')}</p>}
            <ul className="lines">
                {waiting.map((line) => (
                    <li key={line.key}>
                        <p>{inWords(line.entry, book, entries)}</p>
                        {line.refused && (
                            <p role="alert" className="warning">
                                {line.refused.message}
                            </p>
                        )}
                        <p>
                            <Action onClick={() => onMend(line)}>{say('log.put-right')}</Action>{' '}
                            <Action onClick={() => onDrop(line)}>{say('log.throw-away')}</Action>
                        </p>
                    </li>
                ))}
            </ul>
            <h2>{say('log.sent')}</h2>
            <ul className="lines">
                {sent.map((line) => (
                    <li key={line.key}>
                        <p>{inWords(line.entry, book, entries)}</p>
                        {!line.entry.taken_back && (
                            <p>
                                <Action onClick={() => onCorrect(line)}>{say('log.put-right')}</Action>{' '}
                                <Action onClick={() => onTakeBack(line)}>{say('log.take-back')}</Action>
                            </p>
                        )}
                    </li>
                ))}
            </ul>
        </>
    );
}

/** "10 Apr: sown, Radish, Bed 3" */
function inWords(entry: LoggedEntry, book: LogBook, known: LoggedEntry[]): string {
    const sowing = book.sowings.find((one) => one.key === entry.sowing);
    const began = known.find((one) => one.key === entry.sowing);
    const slug = entry.crop ?? sowing?.crop ?? began?.crop;
    const cue = book.cues.find((one) => one.id === entry.cue);
    const what = [
        book.crops.find((crop) => crop.slug === slug)?.name,
        entry.variety ?? sowing?.variety,
        cue && `${cue.plant}, ${cue.stage}`,
        entry.bed ?? sowing?.bed?.name ?? began?.bed,
        entry.text,
    ].filter(Boolean);
    return say(entry.taken_back ? 'log.line-taken-back' : 'log.line', {
        day: dateInShort(entry.on),
        act: say(`logged.${entry.act}`),
        what: what.join(', '),
    });
}
