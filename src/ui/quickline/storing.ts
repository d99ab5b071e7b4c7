import type { QuickReading } from '@/core/quickline/quickLine';
import { toApiLine } from '@/services/door/apiLine';
import type { NewCommand } from '../door/doorClient';

/** The commands that store a line, its own food first if it makes one. */
export function storing({ line, ownFood }: QuickReading, anyway = false): NewCommand[] {
  if (!line) return [];
  const store = { type: 'haul.store', lines: [{ ...toApiLine(line), anyway }] };
  return ownFood ? [{ type: 'food.add', ...ownFood }, store] : [store];
}
