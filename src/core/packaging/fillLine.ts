import headspaces from './headspaces.json';

export const MOUTHS = ['wide', 'narrow'] as const;
export type Mouth = (typeof MOUTHS)[number];
/** What goes in: a liquid or something in one, pieces without liquid, juice. */
export type Filling = keyof typeof headspaces;

/** A jar, glass or tub that is filled. */
export interface FillVessel {
  capacityMl: number;
  mouth: Mouth;
  /** Inner height, mm; `null`: as usual for its size. */
  heightMm: number | null;
}

/** How far a vessel is filled. */
export interface FillLine {
  /** Room left below the rim, mm. */
  headspaceMm: number;
  fillMl: number;
}

/** The table knows about 500 ml and about 1 l; from here on the larger counts. */
const LARGE_ML = 750;
/** Inner heights of usual jars, mm, where nobody measured; the lower one leaves more room free (our own figures). */
const USUAL_HEIGHT_MM = { small: 120, large: 160 } as const;
/** Water grows by so much when it freezes. */
const GROWTH = 0.09;

/**
 * How far a vessel may be filled before it is frozen: the public headspace for its mouth and size, and never so much that the
 * frozen content would need more than its capacity.
 *
 * @param water share of the content, 0 to 1
 * Source: headspace table of the public guidance (reference: Headspace); straight-sided vessels count as wide.
 */
export function fillLine(
  { capacityMl, mouth, heightMm }: FillVessel,
  filling: Filling,
  water: number,
): FillLine {
  const size = capacityMl < LARGE_ML ? 'small' : 'large';
  const headspaceMm = headspaces[filling][mouth][size];
  const height = heightMm ?? USUAL_HEIGHT_MM[size];
  const byLine = capacityMl * Math.max(0, 1 - headspaceMm / height);
  const byGrowth = capacityMl / (1 + GROWTH * water);
  return { headspaceMm, fillMl: Math.floor(Math.min(byLine, byGrowth)) };
}
