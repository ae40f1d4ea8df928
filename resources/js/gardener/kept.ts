/** Where a browser keeps a zone for reading without a signal. */
export const KEPT = 'anthesis-kept';

/** A zone has some 140 pages in a reading; this is room for a few. */
export const MOST_PAGES = 700;

/** How long a slow network is waited for, seconds. */
export const PATIENCE_S = 4;
