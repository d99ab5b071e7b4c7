import { sayPlainDate } from '../../calendar/sayDate';
import type { CommandKind } from '../../model/command';
import { happened } from '../../model/decision';
import type { LedgerEvent } from '../../model/package';
import { HOUSEHOLD_MAY } from '../../model/role';
import type { World } from '../../model/world';

/** Packages get a label that says their date as it is; nothing else of them changes, so their version stays. */
function printLabels({ codes }: { codes: string[] }, world: World): LedgerEvent[] {
  return codes.flatMap((code): LedgerEvent[] => {
    const before = world.carrying(code);
    if (before.gone !== null) return [];
    const after = { ...before, labelled: before.governingDate };
    const says = `${before.called} ${before.code} has a label: ${sayPlainDate(after.labelled)}.`;
    return [{ type: 'package.labelled', before, after, says }];
  });
}

export const printLabelsCommand: CommandKind<{ codes: string[] }> = {
  type: 'labels.print',
  may: HOUSEHOLD_MAY,
  needs: ({ codes }) => ({ carrying: codes }),
  decide: (command, world) => happened(printLabels(command, world)),
  says: ({ events }) =>
    events.length > 1 ? `${events.length} packages have a label.` : (events[0]?.says ?? 'Nothing to label.'),
};
