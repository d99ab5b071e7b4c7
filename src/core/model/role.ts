/** What a member may do in a household, the most first. */
export const ROLES = ['cook', 'household', 'guest', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/** Who may tell a command besides a cook: whoever lives there. */
export const HOUSEHOLD_MAY: readonly Role[] = ['household'];

/** Whoever lives there, and a guest who helps herself. */
export const GUESTS_MAY: readonly Role[] = ['household', 'guest'];

/** Each role in a word, and what it lets one do. */
export const ROLE_WORDS: Readonly<Record<Role, { name: string; may: string }>> = {
  cook: { name: 'Cook', may: 'do everything, keys, kitchen and settings too' },
  household: {
    name: 'Household',
    may: 'store, take, move, bin and find food, shop, plan meals and run a power cut',
  },
  guest: { name: 'Guest', may: 'take what is under “Help yourself”, and read a label that is scanned' },
  reader: { name: 'Reader', may: 'look at everything, change nothing' },
};
