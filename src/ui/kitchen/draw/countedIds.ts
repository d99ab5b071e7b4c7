/** Ids for a picture of a shape: the same each time. */
export function countedIds(lead: string): () => string {
  let count = 0;
  return () => `${lead}${count++}`;
}
