export type Search = Promise<Record<string, string | string[] | undefined>>;

/** A search longer than this is cut: no food is called so. */
const LONGEST = 120;

/** What a page's address tells under each of these names; what is empty or told twice counts as not told. */
export async function textsOf<Name extends string>(
  search: Search,
  ...names: Name[]
): Promise<Record<Name, string | undefined>> {
  const told = await search;
  const textOf = (name: Name): string | undefined => {
    const value = told[name];
    return typeof value === 'string' && value !== '' ? value.slice(0, LONGEST) : undefined;
  };
  return Object.fromEntries(names.map((name) => [name, textOf(name)])) as Record<Name, string | undefined>;
}
