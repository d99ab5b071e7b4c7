import { householdJson } from './householdJson';
import { logReadings } from './logReadings';
import { tableCells } from './tableCells';

/** Files that are read beside the server: one that means no good holds up nobody else. */
export const FILE_WORK = { householdJson, logReadings, tableCells } as const;
