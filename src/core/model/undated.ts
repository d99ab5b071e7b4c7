import type { Package } from './package';

/** What a package is before its dates are known. */
export type UndatedPackage = Omit<
  Package,
  | 'state'
  | 'startOn'
  | 'openedOn'
  | 'useBy'
  | 'bestBy'
  | 'governingDate'
  | 'governingKind'
  | 'condemned'
  | 'celsius'
  | 'counterMinutes'
  | 'trail'
>;
