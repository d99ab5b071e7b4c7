/** Names of what is kept for a house without network. */
export const PAGES_CACHE = 'orderly-frost-pages';
export const READS_CACHE = 'orderly-frost-reads';
/** Whose they are. */
export const WHOSE_CACHE = 'orderly-frost-whose';
