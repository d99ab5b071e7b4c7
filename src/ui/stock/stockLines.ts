import type { PackageView } from '@/services/stock/packageView';
import type { GroupView } from '@/services/stock/stockGroups';

/** A line of the list: a group, a single package, or what stands for packages on their way. */
export type StockLine =
  | { kind: 'group'; key: string; group: GroupView; open: boolean }
  | { kind: 'package'; key: string; view: PackageView; inside: boolean }
  | { kind: 'words'; key: string; words: string };

export const COLUMNS = [
  ['sizes', 'How many'],
  ['where', 'Where and since when'],
  ['comes', 'Comes to'],
  ['code', 'Code'],
  ['date', 'Date'],
] as const;
