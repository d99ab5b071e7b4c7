import { RowReader, type TableFault, type TableRow } from '../foods/readTable';
import { FREEZER_VERDICTS, type OutageClass } from '../model/outageClass';

/** Turns the rows of outage.csv into classes, with every fault found (see `readFoods`). */
export function readOutageClasses(
  file: string,
  rows: readonly TableRow[],
): { classes: Map<string, OutageClass>; faults: TableFault[] } {
  const faults: TableFault[] = [];
  const classes = new Map<string, OutageClass>();
  rows.forEach((cells, at) => {
    const row = new RowReader(file, at + 2, cells, faults);
    const id = row.needed('id');
    const fridgeVerdict = row.choice('fridge_verdict', ['discard', 'keep'] as const);
    const fridgeThresholdC = row.number('fridge_threshold_c', -5, 30);
    const fridgeLimitHours = row.number('fridge_limit_hours', 0, 240);
    if ((fridgeVerdict === 'discard') !== (fridgeThresholdC !== null && fridgeLimitHours !== null)) {
      row.fault(
        'fridge_threshold_c',
        'threshold and hours stand where the class is discarded, and only there',
      );
    }
    const freezerThawedVerdict = row.choice('freezer_thawed_verdict', FREEZER_VERDICTS);
    const freezerThawedLimitHours = row.number('freezer_thawed_limit_hours', 0, 240);
    if ((freezerThawedVerdict === 'discard') !== (freezerThawedLimitHours !== null)) {
      row.fault('freezer_thawed_limit_hours', 'stands where a thawed one is discarded, and only there');
    }
    if (classes.has(id)) row.fault('id', `"${id}" stands twice`);
    classes.set(id, {
      id,
      title: row.needed('title'),
      examples: row.text('examples'),
      fridgeVerdict,
      fridgeThresholdC,
      fridgeLimitHours,
      freezerIcyVerdict: row.choice('freezer_icy_verdict', FREEZER_VERDICTS),
      freezerThawedVerdict,
      freezerThawedLimitHours,
      mouldCheck: row.choice('mould_check', ['yes', 'no'] as const) === 'yes',
      note: row.text('note'),
      source: row.needed('source'),
    });
  });
  return { classes, faults };
}
