/** Figures that stand in many places, each once. */

/** 40 °F, °C: above it germs grow (public outage charts). */
export const SAFE_CHILL_C = 4.4;

/** Up to here food stays hard frozen, and a zone counts as a freezer, °C. */
export const HARD_FROZEN_C = -3;

/** Above it nothing stays frozen, °C (K9). */
export const THAWS_C = -2;

/** The most packages one line or lot may make. */
export const MOST_PACKS = 200;

/** The most lines of a haul, also of one stored at once or pasted. */
export const MOST_LINES = 200;

/** The most packages that one command may make. */
export const MOST_MADE = 1000;

/** The most packages that are put away at once. */
export const MOST_AWAY = 400;

/** The most zones of a drawing. */
export const MOST_ZONES = 250;

/** The number of a package's code that is far from those of any household: all before it would be spent for it. */
export const FURTHEST_CODE = 1_000_000;

/** The longest note a package carries. */
export const MOST_NOTE = 200;

/** The longest line that is read, characters. */
export const MAX_LINE_LENGTH = 2000;

/** The largest table that is imported: rows, columns, and characters in a row that is read as a cook types it. */
export const MAX_TABLE = { rows: 20_000, columns: 60, spokenLength: 500 } as const;
