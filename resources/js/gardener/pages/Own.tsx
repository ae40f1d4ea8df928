import { isUntranslated, own } from '../../words/words';

/** What a person wrote: in the reader's language, or marked as what it is, so that it is read out rightly. */
export function Own({ text }: { text: string }) {
    return isUntranslated(text) ? <span lang="en">{own(text)}</span> : own(text);
}
