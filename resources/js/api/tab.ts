/** What this tab works in: drafts of one office are no drafts of another. */
export const tab = { office: '' };
