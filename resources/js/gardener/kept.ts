/** Where a browser keeps a zone to read offline. */
export const KEPT = 'anthesis-kept';

/** A zone has about 140 pages in a reading; this leaves room for a few zones. */
export const MOST_PAGES = 700;

/** How long to wait for a slow network, seconds. */
export const PATIENCE_S = 4;
