/**
 * Splits a whole amount into `parts` whole amounts that differ by at most 1 and add up exactly; the smaller first.
 *
 * @param total whole grams, millilitres or pieces, zero or more
 * @param parts whole number, at least 1
 * @throws RangeError for anything else
 */
export function splitEvenly(total: number, parts: number): number[] {
  if (!Number.isInteger(total) || total < 0) throw new RangeError(`${total} is not a whole amount`);
  if (!Number.isInteger(parts) || parts < 1) throw new RangeError(`${parts} is not a count of parts`);
  const least = Math.floor(total / parts);
  const larger = total - least * parts;
  return Array.from({ length: parts }, (_, at) => (at < parts - larger ? least : least + 1));
}
