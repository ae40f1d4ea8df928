/** Words as they are compared: lower case without accents, with one space between them. */
function plain(text: string): string {
    return text
        .normalize('NFD')
        .replace(/\p{M}/gu, '')
        .toLowerCase()
        .replace(/[\s-]+/g, ' ')
        .trim();
}

/** Whether what somebody types is in one of the names, at the beginning of a word first, so "pea" does not mean pear. */
export function isCalled(names: (string | null | undefined)[], asked: string): boolean {
    const wanted = plain(asked);
    if (wanted === '') return true;
    return names.some((name) => name && ` ${plain(name)}`.includes(` ${wanted}`));
}
