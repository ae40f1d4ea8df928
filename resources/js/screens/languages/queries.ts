import { useQueryClient } from '@tanstack/react-query';
import { api, unwrap } from '../../api/client';
import { useUndoable } from '../../api/undoable';
import { say } from '../../words/words';

/** Characters of a text by which a notice names it. */
const SHOWN = 40;

export type Said = { language: string; text: string; translation: string; before: string | null };

export function useTranslate() {
    const queries = useQueryClient();
    return useUndoable({
        send: (body: Said) => unwrap(api.PUT('/api/translations', { body })),
        saved: () => queries.invalidateQueries({ queryKey: ['translations'] }),
        done: ({ text }) => say('notice.translated', { text: text.slice(0, SHOWN) }),
        undo:
            ({ sent: { language, text, translation, before } }, again) =>
            () =>
                again({ language, text, translation: before ?? '', before: translation }),
    });
}
