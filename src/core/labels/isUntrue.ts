import type { Package } from '../model/package';

/** True when the label of something that is here says a later date than it has by now: opened, thawed, warmed or found since. */
export const isUntrue = ({
  labelled,
  governingDate,
  gone,
}: Pick<Package, 'labelled' | 'governingDate' | 'gone'>): boolean =>
  gone === null && labelled !== undefined && labelled > governingDate;
