/** Names out of "Ann, Ben and Cy", none twice. */
export function namesOf(text: string): string[] {
  const names = text.split(/\s*(?:,|;|\n|\band\b|&)\s*/i).map((name) => name.trim());
  return [...new Map(names.filter((name) => name !== '').map((name) => [name.toLowerCase(), name])).values()];
}
