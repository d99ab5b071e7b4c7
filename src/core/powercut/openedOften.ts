const OFTEN = { seconds: 60, freezerH: 6, fridgeH: 4 } as const;

/**
 * Doors that were opened long or often: the published limit is halved.
 *
 * @param openings in order of time, hours after the cut began
 */
export function openedOften(
  kind: 'fridge' | 'freezer',
  openings: readonly { atH: number; seconds: number }[],
): boolean {
  const apart = kind === 'fridge' ? OFTEN.fridgeH : OFTEN.freezerH;
  return openings.some(
    ({ seconds, atH }, at) => seconds > OFTEN.seconds || atH - (openings[at - 1]?.atH ?? -Infinity) < apart,
  );
}
