import type { Taking } from '@/core/ledger/package/reduced';
import { partOf } from '../../schemas/words';
import { cookedLineSchema, type RawLine, toLine } from '../../schemas/line';
import { cookPackageCommand } from '@/core/ledger/package/cookPackage';
import { atDoor } from '../../atDoor';

/** As the API takes it. */
type Raw = Taking & { into: RawLine | null };

export const cookPackageDoor = atDoor(
  cookPackageCommand,
  {
    ...partOf,
    into: cookedLineSchema
      .allow(null)
      .default(null)
      .description('what came of it; null: eaten as it was cooked'),
  },
  ({ into, ...told }: Raw) => ({
    ...told,
    into: into && toLine(into),
  }),
);
