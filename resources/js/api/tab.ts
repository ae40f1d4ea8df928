/** The office this tab works in: drafts of one office are not drafts of another. */
export const tab = { office: '' };
