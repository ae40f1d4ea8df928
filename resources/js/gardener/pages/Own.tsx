import { isUntranslated, own } from '../../words/words';

/** What a person wrote: in the reader's language, or marked with its own language, so it is read out correctly. */
export function Own({ text }: { text: string }) {
    return isUntranslated(text) ? <span lang="en">{own(text)}</span> : own(text);
}
