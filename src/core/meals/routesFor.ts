import routes from './routes.json';

/** A way for what is turning: no recipe, what it takes and how long it then keeps (our own table, on the short side of public advice). */
export interface Route {
  name: string;
  /** Groups of foods that it takes. */
  takes: string[];
  from: string;
  keeps: string;
}

/** Ways that take any of these groups of foods, those that take the most of them first. */
export function routesFor(groups: readonly string[]): (Route & { fits: number })[] {
  return (routes as Route[])
    .map((route) => ({ ...route, fits: groups.filter((group) => route.takes.includes(group)).length }))
    .filter(({ fits }) => fits > 0)
    .sort((a, b) => b.fits - a.fits);
}
